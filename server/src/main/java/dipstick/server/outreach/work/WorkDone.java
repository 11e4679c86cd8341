package dipstick.server.outreach.work;

import java.util.List;

/**
 * What came of work on a list.
 *
 * @param done the people about whom it was done
 * @param refused those about whom nothing was changed, each with why
 */
public record WorkDone(List<String> done, List<Refusal> refused) {
    record Refusal(String person, String why) {}
}
