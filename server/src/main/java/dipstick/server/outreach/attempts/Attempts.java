package dipstick.server.outreach.attempts;

import dipstick.core.records.EventRecord;
import dipstick.core.time.DateRange;
import dipstick.server.outreach.entries.AttemptOutcome;
import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.records.OwnRecords;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Writes attempts to people's time lines, as records of the kind “contact”: the code is the outcome's id in the system
 * “dipstick”, the text its name, the keywords the lists that it was made for.
 */
@Component
public class Attempts {
    static final String KIND = "contact";
    static final String SYSTEM = "dipstick";

    private final OwnRecords records;

    Attempts(OwnRecords records) {
        this.records = records;
    }

    /** @param lists the names of the lists */
    public void write(long act, DeskAct attempt, AttemptOutcome outcome, List<String> lists) {
        write(act, attempt, outcome, lists, "completed");
    }

    /** Keeps the record, marked as one that never counts. */
    public void strike(DeskAct attempt, AttemptOutcome outcome) {
        write(attempt.id(), attempt, outcome, List.of(), "entered-in-error");
    }

    private void write(long act, DeskAct attempt, AttemptOutcome outcome, List<String> lists, String status) {
        records.write(EventRecord.of(attempt.person(), KIND)
                .text("id", "dipstick-attempt-" + act)
                .text("code", outcome.id())
                .text("system", SYSTEM)
                .text("text", outcome.name())
                .date("on", Optional.of(DateRange.day(attempt.onDay())))
                .text("status", status)
                .texts("keywords", lists)
                .text("source", SYSTEM)
                .build());
    }
}
