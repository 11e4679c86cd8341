package dipstick.intake.messages;

import dipstick.core.records.EventRecord;
import dipstick.intake.messages.MessageRecords.Read;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Results (ORU^R01, HL7 v2.5.1 chapter 7.3): a record for each observation, and for an order without one. */
final class Results {
    private static final int VALUE = 5;

    /** Table 0085; what is wrong, deleted or was not made never counts, and keeps its word. */
    private static final Map<String, String> STATUSES = Map.of(
            "F",
            "final",
            "C",
            "final",
            "U",
            "final",
            "P",
            "preliminary",
            "R",
            "preliminary",
            "S",
            "preliminary",
            "I",
            "preliminary");

    private static final Map<String, String> NO_RESULTS =
            Map.of("W", "wrong", "D", "deleted", "X", "not obtained", "N", "not asked for", "O", "order only");

    private final Message message;
    private final List<Read> rows = new ArrayList<>();
    private final Map<String, Integer> seen = new HashMap<>();
    private Optional<Segment> order = Optional.empty();
    private int ofOrder;
    /** Which text the last row is, if it is one. */
    private String lastText = "";

    private Results(Message message) {
        this.message = message;
    }

    static List<Read> of(Message message, Group group) {
        Results results = new Results(message);
        for (Segment segment : group.segments()) {
            switch (segment.name()) {
                case "OBR" -> results.order(segment);
                case "OBX" -> results.observation(segment);
                default -> {
                    // Notes, specimens and visits say nothing of a result that is kept.
                }
            }
        }
        results.endOfOrder();
        return results.rows;
    }

    private void order(Segment obr) {
        endOfOrder();
        order = Optional.of(obr);
        ofOrder = 0;
        seen.clear();
    }

    /** An order of which nothing was observed is a record itself. */
    private void endOfOrder() {
        if (order.isPresent() && ofOrder == 0) {
            Segment obr = order.get();
            OwnRow row = row().put(OwnColumn.RECORD_ID, orderNumber().isEmpty() ? "" : orderNumber() + "/");
            Coded.putInto(row, obr, 4);
            status(row, obr.get(25));
            rows.add(new Read(obr.line(), row));
        }
    }

    private void observation(Segment obx) {
        ofOrder++;
        if (isMoreOfText(obx)) {
            OwnRow last = rows.getLast().row();
            last.put(OwnColumn.VALUE, last.get(OwnColumn.VALUE) + "\n" + value(obx));
            return;
        }
        String what = (obx.get(3).isEmpty() ? obx.get(3, 4) : obx.get(3)) + "/" + obx.get(4);
        int times = seen.merge(what, 1, Integer::sum);
        OwnRow row = row();
        if (!orderNumber().isEmpty()) {
            row.put(OwnColumn.RECORD_ID, orderNumber() + "/" + what + (times == 1 ? "" : "/" + times));
        }
        if (obx.get(3).isEmpty() && obx.get(3, 2).isEmpty() && order.isPresent()) {
            Coded.putInto(row, order.get(), 4);
        } else {
            Coded.putInto(row, obx, 3);
        }
        row.put(OwnColumn.ON, obx.get(14))
                .put(OwnColumn.VALUE, value(obx))
                .put(OwnColumn.UNIT, obx.get(6))
                .put(OwnColumn.KEYWORDS, obx.all(8))
                .put(OwnColumn.PROVIDER, obx.clinician(16))
                .put(OwnColumn.SITE, obx.get(23));
        status(row, obx.get(11));
        rows.add(new Read(obx.line(), row));
        lastText = isText(obx) ? what : "";
    }

    /** A long text stands in several segments, each with the code of the first. */
    private boolean isMoreOfText(Segment obx) {
        return isText(obx) && ofOrder > 1 && lastText.equals(obx.get(3) + "/" + obx.get(4));
    }

    private static boolean isText(Segment obx) {
        return obx.get(2).equals("TX") || obx.get(2).equals("FT");
    }

    private OwnRow row() {
        OwnRow row = OwnRow.of(message.type()).put(OwnColumn.KIND, "result");
        row.put(OwnColumn.RECORDED_ON, message.header().get(7));
        order.ifPresent(obr -> row.put(OwnColumn.ON, obr.first(7, 8))
                .put(OwnColumn.RECORDED_ON, obr.get(22))
                .put(OwnColumn.PROVIDER, obr.clinician(16)));
        return row;
    }

    private String orderNumber() {
        return order.map(obr -> obr.first(3, 2)).orElse("");
    }

    private static void status(OwnRow row, String theirs) {
        if (NO_RESULTS.containsKey(theirs)) {
            row.put(OwnColumn.STATUS, EventRecord.ENTERED_IN_ERROR).put(OwnColumn.KEYWORDS, NO_RESULTS.get(theirs));
        } else {
            row.put(OwnColumn.STATUS, STATUSES.getOrDefault(theirs, ""));
        }
    }

    /** A number with what compares it (SN), words of a code, or the text as it is; several parted by a space. */
    private static String value(Segment obx) {
        return IntStream.range(0, obx.repetitions(VALUE))
                .mapToObj(i -> switch (obx.get(2)) {
                    case "SN" ->
                        Stream.of(1, 2, 3, 4)
                                .map(component -> obx.get(VALUE, i, component))
                                .collect(Collectors.joining());
                    case "CE", "CWE", "CNE", "CF" ->
                        obx.get(VALUE, i, 2).isEmpty() ? obx.get(VALUE, i, 1) : obx.get(VALUE, i, 2);
                    default -> obx.get(VALUE, i, 1);
                })
                .filter(value -> !value.isEmpty())
                .collect(Collectors.joining(" "));
    }
}
