package dipstick.server.deliveries;

import dipstick.core.records.EventRecord;
import dipstick.core.records.PersonRecord;
import dipstick.intake.make.MadeSink;
import dipstick.intake.make.Trouble;

/** What is taken was seen when it was tried. */
enum Unwatched implements MadeSink {
    HERE;

    @Override
    public void person(PersonRecord person) {
        // It was seen when it was tried.
    }

    @Override
    public void event(EventRecord event) {
        // It was seen when it was tried.
    }

    @Override
    public void trouble(Trouble trouble) {
        // It was told when it was tried.
    }
}
