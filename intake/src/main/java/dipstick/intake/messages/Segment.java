package dipstick.intake.messages;

import ca.uhn.hl7v2.HL7Exception;
import ca.uhn.hl7v2.util.Terser;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A segment of a message, its fields by their numbers as in the standard.
 *
 * @param line of the file in which it stands
 */
record Segment(String name, long line, ca.uhn.hl7v2.model.Segment parsed) {
    /** Two quotes say that a value is to go; nothing goes for that here. */
    private static final String DELETED = "\"\"";

    /** The first component of the first of its values. */
    String get(int field) {
        return get(field, 0, 1);
    }

    String get(int field, int component) {
        return get(field, 0, component);
    }

    /** @param repetition which of its values, counted from 0 */
    String get(int field, int repetition, int component) {
        return get(field, repetition, component, 1);
    }

    String get(int field, int repetition, int component, int part) {
        try {
            String said = Terser.get(parsed, field, repetition, component, part);
            return said == null || said.equals(DELETED) ? "" : said.strip();
        } catch (HL7Exception absent) {
            return "";
        }
    }

    int repetitions(int field) {
        try {
            return parsed.getField(field).length;
        } catch (HL7Exception absent) {
            return 0;
        }
    }

    /** All the values of a field, their first components. */
    List<String> all(int field) {
        return IntStream.range(0, repetitions(field))
                .mapToObj(i -> get(field, i, 1))
                .filter(one -> !one.isEmpty())
                .toList();
    }

    /** The first of these fields that says something. */
    String first(int... fields) {
        return IntStream.of(fields)
                .mapToObj(this::get)
                .filter(said -> !said.isEmpty())
                .findFirst()
                .orElse("");
    }

    /** Somebody's name where a number may stand before it (XCN): “Ada Marl”. */
    String clinician(int... fields) {
        return IntStream.of(fields)
                .mapToObj(field -> {
                    String parts = IntStream.of(6, 3, 4, 2)
                            .mapToObj(component -> get(field, component))
                            .filter(part -> !part.isEmpty())
                            .collect(Collectors.joining(" "));
                    return parts.isEmpty() ? get(field, 1) : parts;
                })
                .filter(said -> !said.isEmpty())
                .findFirst()
                .orElse("");
    }
}
