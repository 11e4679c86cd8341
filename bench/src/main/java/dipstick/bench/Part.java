package dipstick.bench;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.Function;

/**
 * One criterion of a generated question, as a test in a document and as a condition on a row {@code p} of people.
 *
 * @param test as JSON, with single quotes for double ones
 * @param sql the condition as of a day, of those who surely meet it
 * @param possible of those, and of those of whom it can't be told
 * @param ofDays the condition in a statement for many days; nothing where it is only asked of one
 */
record Part(
        String test,
        Function<LocalDate, String> sql,
        Function<LocalDate, String> possible,
        Optional<Function<ManyDays, String>> ofDays) {
    Part(String test, Function<LocalDate, String> sql) {
        this(test, sql, sql, Optional.empty());
    }

    /** The day makes no difference. */
    static Part ofAnyDay(String test, String sql) {
        return new Part(test, _ -> sql, _ -> sql, Optional.of(days -> days.ofAnyDay(sql)));
    }

    String criterion(String id) {
        return "{'id': '" + id + "', 'test': " + test + "}";
    }
}
