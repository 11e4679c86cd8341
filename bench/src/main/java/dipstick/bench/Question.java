package dipstick.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * One question, as a criteria document and as SQL.
 *
 * @param parts the document besides format, id and name, with single quotes for double ones
 * @param sql selects {@code id}, and {@code band} where the document has bands, as of a day
 * @param days the as-of dates that it is asked for, one after another
 * @param tables statements that make what the SQL names besides people and events
 * @param ofDays one statement that counts the list as of all of them, in their order, where there is one
 */
record Question(
        String name,
        String parts,
        Function<LocalDate, String> sql,
        List<LocalDate> days,
        List<String> tables,
        Optional<String> ofDays) {
    Question(String name, String parts, Function<LocalDate, String> sql) {
        this(name, parts, sql, List.of(Region.AS_OF));
    }

    Question(String name, String parts, Function<LocalDate, String> sql, List<LocalDate> days) {
        this(name, parts, sql, days, List.of(), Optional.empty());
    }

    boolean hasBands() {
        return parts.contains("'bands'");
    }

    String document() {
        return ("{'format': 'dipstick-criteria/1', 'id': 'q', 'name': 'Q', " + parts + "}").replace('\'', '"');
    }
}
