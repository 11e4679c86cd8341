package dipstick.intake.messages;

import dipstick.intake.messages.MessageRecords.Read;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Documents (MDM^T02, HL7 v2.5.1 chapter 9.5). */
final class Documents {
    /** Table 0271. */
    private static final Map<String, String> STATUSES = Map.of(
            "AU",
            "final",
            "LA",
            "final",
            "DO",
            "final",
            "DI",
            "preliminary",
            "IN",
            "preliminary",
            "IP",
            "preliminary",
            "PA",
            "preliminary");

    private Documents() {}

    static List<Read> of(Message message, Group group) {
        Optional<Segment> header = group.first("TXA");
        if (header.isEmpty()) {
            return List.of(new Read(
                    group.pid().line(),
                    OwnRow.of(message.type()).passedOver("Message of a document that does not say which")));
        }
        Segment txa = header.get();
        OwnRow row = OwnRow.of(message.type())
                .put(OwnColumn.KIND, "document")
                .put(OwnColumn.RECORD_ID, txa.get(12).isEmpty() ? "" : "document/" + txa.get(12))
                .put(OwnColumn.ON, txa.first(4, 6, 7))
                .put(OwnColumn.STATUS, STATUSES.getOrDefault(txa.get(17), ""))
                .put(OwnColumn.PROVIDER, txa.clinician(9, 5, 22))
                .put(
                        OwnColumn.RECORDED_ON,
                        txa.get(6).isEmpty() ? message.header().get(7) : txa.get(6));
        group.first("OBX").ifPresentOrElse(obx -> Coded.putInto(row, obx, 3), () -> Coded.putInto(row, txa, 2));
        if (row.get(OwnColumn.CODE).isEmpty()) {
            Coded.putInto(row, txa, 2);
        }
        row.put(OwnColumn.KEYWORDS, txa.get(2));
        return List.of(new Read(txa.line(), row));
    }
}
