package dipstick.intake.messages;

import dipstick.core.records.EventRecord;
import dipstick.intake.messages.MessageRecords.Read;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Appointments (SIU, HL7 v2.5.1 chapter 10.4). */
final class Appointments {
    /** Table 0278. */
    private static final Map<String, String> STATUSES = Map.of(
            "pending", "proposed",
            "waitlist", "proposed",
            "started", "done",
            "complete", "done",
            "cancelled", "cancelled",
            "dc", "cancelled",
            "deleted", EventRecord.ENTERED_IN_ERROR,
            "noshow", "no show");

    private Appointments() {}

    static List<Read> of(Message message, Group group, String trigger) {
        Optional<Segment> schedule = group.first("SCH");
        if (schedule.isEmpty()) {
            return List.of(new Read(
                    group.pid().line(),
                    OwnRow.of(message.type()).passedOver("Message of an appointment that does not say which")));
        }
        Segment sch = schedule.get();
        Optional<Segment> service = group.first("AIS");
        OwnRow row = OwnRow.of(message.type())
                .put(OwnColumn.KIND, "appointment")
                .put(OwnColumn.RECORD_ID, sch.first(2, 1).isEmpty() ? "" : "appointment/" + sch.first(2, 1))
                .put(OwnColumn.ON, start(sch, group))
                .put(OwnColumn.UNTIL, sch.get(11, 5))
                .put(OwnColumn.STATUS, status(sch, trigger))
                .put(OwnColumn.PROVIDER, provider(sch, group))
                .put(
                        OwnColumn.SITE,
                        group.first("AIL")
                                .map(place -> place.get(3, 4).isEmpty() ? place.get(3) : place.get(3, 4))
                                .orElse(""))
                .put(OwnColumn.RECORDED_ON, message.header().get(7));
        if (isSaid(sch, 8)) {
            Coded.putInto(row, sch, 8);
        } else if (service.filter(one -> isSaid(one, 3)).isPresent()) {
            Coded.putInto(row, service.get(), 3);
        } else {
            Coded.putInto(row, sch, 7);
        }
        return List.of(new Read(sch.line(), row));
    }

    private static boolean isSaid(Segment segment, int field) {
        return !segment.get(field, 1).isEmpty() || !segment.get(field, 2).isEmpty();
    }

    private static String start(Segment sch, Group group) {
        return Stream.of(
                        Optional.of(sch.get(11, 4)),
                        group.first("TQ1").map(one -> one.get(7)),
                        group.first("AIS").map(one -> one.get(4)),
                        group.first("AIP").map(one -> one.get(6)),
                        group.first("AIL").map(one -> one.get(6)))
                .flatMap(Optional::stream)
                .filter(said -> !said.isEmpty())
                .findFirst()
                .orElse("");
    }

    private static String provider(Segment sch, Group group) {
        return group.first("AIP")
                .map(one -> one.clinician(3))
                .filter(name -> !name.isEmpty())
                .orElseGet(() -> sch.clinician(12));
    }

    /** The message itself says that it is off, or that nobody came. */
    private static String status(Segment sch, String trigger) {
        return switch (trigger) {
            case "S15" -> "cancelled";
            case "S26" -> "no show";
            default -> STATUSES.getOrDefault(sch.get(25).toLowerCase(Locale.ROOT), "booked");
        };
    }
}
