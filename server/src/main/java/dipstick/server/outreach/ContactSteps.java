package dipstick.server.outreach;

import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.plan.Step;
import org.springframework.stereotype.Service;

/** What the contact plan of a list says of what is written to people. */
@Service
public class ContactSteps {
    /** Where the plan has nothing after a letter. */
    private static final int USUAL_DAYS = 28;

    private final Manners manners;

    ContactSteps(Manners manners) {
        this.manners = manners;
    }

    /** How many days lie between something that is written and the next step. */
    public int daysAfterWriting(String set) {
        var steps = manners.of(set).plan().steps();
        for (int i = 0; i + 1 < steps.size(); i++) {
            if (steps.get(i).step() == Step.LETTER) {
                return Math.max(1, steps.get(i + 1).afterDays());
            }
        }
        return USUAL_DAYS;
    }

    /** What a list is called to the people on it; empty where nobody said so. */
    public String nameForPeople(String set) {
        return manners.of(set).called();
    }
}
