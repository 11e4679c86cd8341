package dipstick.intake.messages;

import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The person of whom a message is: PID, and PD1 for who looks after them (HL7 v2.5.1 chapter 3.4). */
final class PersonOf {
    private static final int NUMBERS = 3;
    private static final int NAME = 5;
    private static final int ADDRESS = 11;
    private static final int HOME_PHONE = 13;
    private static final int OFFICE_PHONE = 14;

    private static final String RECORD_NUMBER = "MR";

    /** Table 0001. */
    private static final Map<String, String> SEXES =
            Map.of("F", "female", "M", "male", "O", "other", "A", "other", "U", "unknown");

    private PersonOf() {}

    /** The numbers in a field of identifiers (CX), a medical record number first. */
    static List<String> numbers(Segment segment, int field) {
        return IntStream.range(0, segment.repetitions(field))
                .boxed()
                .sorted(Comparator.comparing(
                        (Integer i) -> !segment.get(field, i, 5).equals(RECORD_NUMBER)))
                .map(i -> segment.get(field, i, 1))
                .filter(number -> !number.isEmpty())
                .distinct()
                .toList();
    }

    /** The person's own number first; empty where there is none. */
    static List<String> numbers(Segment pid) {
        List<String> numbers = numbers(pid, NUMBERS);
        return numbers.isEmpty() ? numbers(pid, 2) : numbers;
    }

    static OwnRow row(String from, Segment pid, Optional<Segment> careOf) {
        List<String> numbers = numbers(pid);
        if (numbers.isEmpty()) {
            return OwnRow.of(from).passedOver("Message of a person without a number");
        }
        OwnRow row = OwnRow.of(from)
                .put(OwnColumn.PERSON, "yes")
                .put(OwnColumn.NUMBER, numbers.getFirst())
                .put(OwnColumn.OTHER_NUMBERS, numbers.stream().skip(1).toList())
                .put(OwnColumn.BIRTH_DATE, pid.get(7))
                .put(OwnColumn.SEX, SEXES.getOrDefault(pid.get(8), pid.get(8)))
                .put(OwnColumn.LANGUAGE, pid.get(15, 2).isEmpty() ? pid.get(15) : pid.get(15, 2))
                .put(OwnColumn.DECEASED_ON, pid.get(29));
        if (pid.get(30).equals("Y") || !pid.get(29).isEmpty()) {
            row.put(OwnColumn.PERSON_STATUS, "deceased");
        }
        careOf.ifPresent(
                pd1 -> row.put(OwnColumn.OWN_PROVIDER, pd1.clinician(4)).put(OwnColumn.OWN_SITE, pd1.get(3)));
        name(pid, row);
        address(pid, row);
        contacts(pid, row);
        return row;
    }

    /** The legal name, or the first. */
    private static void name(Segment pid, OwnRow row) {
        place(pid, NAME, 7, List.of("L", "", "D"))
                .ifPresent(i -> row.put(OwnColumn.FAMILY_NAME, pid.get(NAME, i, 1))
                        .put(
                                OwnColumn.GIVEN_NAME,
                                Stream.of(pid.get(NAME, i, 2), pid.get(NAME, i, 3))
                                        .filter(part -> !part.isEmpty())
                                        .collect(Collectors.joining(" "))));
    }

    private static void address(Segment pid, OwnRow row) {
        place(pid, ADDRESS, 7, List.of("H", "L", "M", "", "P", "C"))
                .ifPresent(i -> row.put(
                                OwnColumn.ADDRESS,
                                Stream.of(pid.get(ADDRESS, i, 1), pid.get(ADDRESS, i, 2))
                                        .filter(part -> !part.isEmpty())
                                        .collect(Collectors.joining(", ")))
                        .put(OwnColumn.CITY, pid.get(ADDRESS, i, 3))
                        .put(OwnColumn.POSTCODE, pid.get(ADDRESS, i, 5)));
    }

    /** Which of the values has the first of these types; the first where none has. */
    private static Optional<Integer> place(Segment pid, int field, int typeAt, List<String> types) {
        List<Integer> all = IntStream.range(0, pid.repetitions(field)).boxed().toList();
        return types.stream()
                .flatMap(type ->
                        all.stream().filter(i -> pid.get(field, i, typeAt).equals(type)))
                .findFirst()
                .or(() -> all.stream().findFirst());
    }

    /** Numbers say of what they are (table 0202), or are of a telephone. */
    private static void contacts(Segment pid, OwnRow row) {
        List<String> phones = new ArrayList<>();
        for (int field : new int[] {HOME_PHONE, OFFICE_PHONE}) {
            for (int i = 0; i < pid.repetitions(field); i++) {
                String number = number(pid, field, i);
                String equipment = pid.get(field, i, 3);
                String email = pid.get(field, i, 4);
                if (!email.isEmpty() || number.contains("@")) {
                    row.put(OwnColumn.EMAIL, email.isEmpty() ? number : email);
                } else if (equipment.equals("CP")) {
                    row.put(OwnColumn.MOBILE, number);
                } else if (!number.isEmpty() && !equipment.equals("FX") && !equipment.equals("BP")) {
                    phones.add(number);
                }
            }
        }
        phones.stream().findFirst().ifPresent(phone -> row.put(OwnColumn.PHONE, phone));
    }

    private static String number(Segment pid, int field, int i) {
        String whole = pid.get(field, i, 12).isEmpty() ? pid.get(field, i, 1) : pid.get(field, i, 12);
        if (!whole.isEmpty()) {
            return whole;
        }
        return Stream.of(pid.get(field, i, 5), pid.get(field, i, 6), pid.get(field, i, 7))
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(" "));
    }
}
