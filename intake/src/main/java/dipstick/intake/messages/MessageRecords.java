package dipstick.intake.messages;

import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What a message says: its people, and their records by its type. */
final class MessageRecords {
    private static final Set<String> OF_PEOPLE = Set.of("A01", "A04", "A08", "A28", "A31", "A40");

    /** Those that begin a visit, or change it. */
    private static final Set<String> OF_VISITS = Set.of("A01", "A04", "A08");

    /** News of a person, which may be of a visit as well. */
    private static final String CHANGE = "A08";

    private static final Set<String> OF_APPOINTMENTS = Set.of("S12", "S13", "S14", "S15", "S26");

    private MessageRecords() {}

    /** @param line of the segment of which it was read */
    record Read(long line, OwnRow row) {}

    static List<Read> of(Message message) {
        String type = message.type();
        String trigger = type.substring(type.indexOf('^') + 1);
        String kind = type.substring(0, type.indexOf('^'));
        boolean isKnown = switch (kind) {
            case "ADT" -> OF_PEOPLE.contains(trigger);
            case "SIU" -> OF_APPOINTMENTS.contains(trigger);
            case "ORU" -> trigger.equals("R01") || trigger.isEmpty();
            case "VXU" -> trigger.equals("V04");
            case "MDM" -> trigger.equals("T02");
            default -> false;
        };
        if (!isKnown) {
            return List.of(new Read(
                    message.header().line(),
                    OwnRow.of(type).passedOver("Message " + type + ", of which nothing is read")));
        }
        List<Read> read = new ArrayList<>();
        for (Group group : Group.of(message)) {
            OwnRow person = PersonOf.row(type, group.pid(), group.first("PD1"));
            read.add(new Read(group.pid().line(), person));
            if (person.get(OwnColumn.PASSED_OVER).isEmpty()) {
                String number = person.get(OwnColumn.NUMBER);
                person.put(
                        OwnColumn.MERGED_NUMBERS,
                        group.first("MRG")
                                .map(merged -> PersonOf.numbers(merged, 1))
                                .orElse(List.of()));
                records(kind, trigger, message, group)
                        .forEach(one -> read.add(new Read(one.line(), one.row().put(OwnColumn.NUMBER, number))));
            }
        }
        if (read.isEmpty()) {
            read.add(new Read(
                    message.header().line(),
                    OwnRow.of(type).passedOver("Message that does not say of which person it is")));
        }
        return read;
    }

    private static List<Read> records(String kind, String trigger, Message message, Group group) {
        return switch (kind) {
            case "ADT" ->
                OF_VISITS.contains(trigger)
                        ? visit(message, group, trigger).stream().toList()
                        : List.of();
            case "SIU" -> Appointments.of(message, group, trigger);
            case "VXU" -> Vaccinations.of(message, group);
            case "MDM" -> Documents.of(message, group);
            default -> Results.of(message, group);
        };
    }

    private static Optional<Read> visit(Message message, Group group, String trigger) {
        return group.first("PV1")
                .filter(visit -> !trigger.equals(CHANGE)
                        || !visit.get(44).isEmpty()
                        || !visit.get(19).isEmpty())
                .map(visit -> new Read(
                        visit.line(),
                        OwnRow.of(message.type())
                                .put(OwnColumn.KIND, "visit")
                                .put(OwnColumn.RECORD_ID, visit.get(19).isEmpty() ? "" : "visit/" + visit.get(19))
                                .put(OwnColumn.TEXT, "visit")
                                .put(OwnColumn.ON, visit.get(44).isEmpty() ? eventTime(message) : visit.get(44))
                                .put(OwnColumn.UNTIL, visit.get(45))
                                .put(OwnColumn.KEYWORDS, visit.get(2))
                                .put(OwnColumn.PROVIDER, visit.clinician(7, 9, 17))
                                .put(OwnColumn.SITE, visit.get(3, 4).isEmpty() ? visit.get(3) : visit.get(3, 4))
                                .put(OwnColumn.RECORDED_ON, message.header().get(7))));
    }

    private static String eventTime(Message message) {
        return message.first("EVN")
                .map(event -> event.first(6, 2))
                .filter(time -> !time.isEmpty())
                .orElseGet(() -> message.header().get(7));
    }
}
