package dipstick.intake.messages;

import dipstick.core.records.EventRecord;
import dipstick.intake.messages.MessageRecords.Read;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Vaccinations (VXU^V04, HL7 v2.5.1 chapter 4.17). */
final class Vaccinations {
    /** Table 0322: what was not given never counts, and keeps its word. */
    private static final Map<String, String> NOT_GIVEN = Map.of("NA", "not given", "RE", "refused");

    /** The code that says that there was none (CVX 998), and the number that orders without one bear. */
    private static final String NONE = "998";

    private static final String NO_ORDER = "9999";

    private Vaccinations() {}

    static List<Read> of(Message message, Group group) {
        List<Read> rows = new ArrayList<>();
        Optional<Segment> order = Optional.empty();
        for (Segment segment : group.segments()) {
            if (segment.name().equals("ORC")) {
                order = Optional.of(segment);
            } else if (segment.name().equals("RXA")) {
                rows.add(new Read(segment.line(), row(message, order, segment)));
            }
        }
        return rows;
    }

    private static OwnRow row(Message message, Optional<Segment> order, Segment rxa) {
        if (rxa.get(5).equals(NONE)) {
            return OwnRow.of(message.type()).passedOver("Message that says that no vaccine was given");
        }
        String number = order.map(orc -> orc.first(3, 2))
                .filter(one -> !one.equals(NO_ORDER))
                .orElse("");
        String notGiven = NOT_GIVEN.getOrDefault(rxa.get(20), rxa.get(21).equals("D") ? "deleted" : "");
        OwnRow row = OwnRow.of(message.type())
                .put(OwnColumn.KIND, "vaccination")
                .put(OwnColumn.RECORD_ID, number.isEmpty() ? "" : "vaccination/" + number)
                .put(OwnColumn.ON, rxa.get(3))
                .put(OwnColumn.STATUS, notGiven.isEmpty() ? "done" : EventRecord.ENTERED_IN_ERROR)
                .put(OwnColumn.KEYWORDS, notGiven)
                .put(OwnColumn.PROVIDER, rxa.clinician(10))
                .put(OwnColumn.SITE, rxa.get(11, 4))
                .put(
                        OwnColumn.RECORDED_ON,
                        rxa.get(22).isEmpty() ? message.header().get(7) : rxa.get(22));
        Coded.putInto(row, rxa, 5);
        return row;
    }
}
