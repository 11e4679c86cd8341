package dipstick.server.lists;

import dipstick.core.evaluate.Due;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.ListMember.State;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.ListLayout;
import dipstick.core.export.ReadingExport;
import dipstick.server.people.PersonLine;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * Somebody on a list.
 *
 * @param due a date, "never", or empty where there is no due date
 * @param overdueDays days since the due date, negative before it; nothing without one
 * @param beyondTop whether they are on the list, and the set shows only so many before them
 * @param shown what the set shows besides, in the order of its header
 */
record ListRow(
        PersonLine person,
        State state,
        String due,
        Optional<Long> overdueDays,
        String band,
        boolean beyondTop,
        List<String> shown) {
    static ListRow of(Reading reading, ListMember member, boolean beyondTop, ListLayout layout) {
        return new ListRow(
                PersonLine.of(reading.records(), member.person(), reading.asOf()),
                member.state(),
                ReadingExport.dueText(member.due()),
                member.due() instanceof Due.On(var day)
                        ? Optional.of(ChronoUnit.DAYS.between(day, reading.asOf()))
                        : Optional.empty(),
                member.band().orElse(""),
                beyondTop,
                layout.cells(member));
    }
}
