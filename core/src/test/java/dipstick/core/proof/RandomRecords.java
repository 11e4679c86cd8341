package dipstick.core.proof;

import dipstick.core.proof.NaiveEvaluator.Row;
import java.time.LocalDate;
import java.time.Period;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;

/** Small made-up populations whose dates fall on boundaries on purpose, and whose cells are often blank. */
final class RandomRecords {
    static final List<String> KINDS = List.of("visit", "result", "problem", "odd kind");
    static final List<String> CODES = List.of("HC1", "HC2", "KF1");
    static final List<String> SYSTEMS = List.of("local", "lab");
    static final List<String> TEXTS = List.of("Hearing check", "hearing  CHECK, yearly", "Kidney panel");
    static final List<String> STATUSES = List.of("done", "Cancelled", "active", "resolved", "entered-in-error");
    static final List<String> KEYWORDS = List.of("audiogram", "left ear", "Spine;audiogram");
    static final List<String> ALSO_CODED =
            List.of("HC1|Local", "KF1", "hc2|lab; HC1", "|local;KF1|lab|x", "HC1|lab; ;");
    static final List<String> ROOMS = List.of("Attic  room", "CELLAR");
    static final List<String> SITES = List.of("Mill Lane", "Harbour Row");
    static final List<String> NAMES = List.of("Marl", "ARDLE", "Tove");
    static final List<String> UNITS = List.of("mmHg", "mg/L");

    /** Days on which months end, leap days fall and weeks, quarters and years begin. */
    private static final List<LocalDate> AS_OF_DAYS = List.of(
            LocalDate.of(2024, 2, 29),
            LocalDate.of(2026, 2, 28),
            LocalDate.of(2026, 8, 31),
            LocalDate.of(2026, 11, 23),
            LocalDate.of(2027, 1, 1),
            LocalDate.of(2025, 3, 31),
            LocalDate.of(2026, 3, 1));

    private static final List<String> PERIODS =
            List.of("P0D", "P1D", "P30D", "P1M", "P3M", "P6M", "P1Y", "P2Y", "P1M1D");

    private static final List<String> PERSON_COLUMNS = List.of(
            "id", "family_name", "birth_date", "sex", "status", "deceased_on", "site", "frailty", "seen", "aid");
    private static final List<String> EVENT_COLUMNS = List.of(
            "id",
            "person_id",
            "kind",
            "code",
            "system",
            "text",
            "on",
            "until",
            "status",
            "value",
            "unit",
            "keywords",
            "recorded_on",
            "also_coded",
            "room",
            "wait",
            "reviewed",
            "phoned");

    private final Random random;
    private final LocalDate asOf;
    private int eventsMade;

    /** People with their events, as the naive evaluator and as files see them. */
    record Made(List<Row> people, Map<String, List<Row>> events) {
        /** A person's events. */
        List<Row> of(Row person) {
            return events.get(person.cells().get("id"));
        }

        String peopleFile() {
            return file(
                    PERSON_COLUMNS,
                    "id,family_name,birth_date,sex,status,deceased_on,site,frailty:number,seen:date,aid:flag",
                    people);
        }

        String eventsFile() {
            List<Row> all = people.stream()
                    .flatMap(person -> events.get(person.cells().get("id")).stream())
                    .toList();
            return file(
                    EVENT_COLUMNS,
                    String.join(",", EVENT_COLUMNS)
                            .replace("wait,reviewed,phoned", "wait:number,reviewed:date,phoned:flag"),
                    all);
        }

        private static String file(List<String> columns, String header, List<Row> rows) {
            return header + "\n"
                    + rows.stream()
                            .map(row -> columns.stream()
                                    .map(column -> "\"" + row.cell(column).orElse("") + "\"")
                                    .collect(Collectors.joining(",")))
                            .collect(Collectors.joining("\n"));
        }
    }

    RandomRecords(Random random, LocalDate asOf) {
        this.random = random;
        this.asOf = asOf;
    }

    static LocalDate asOf(Random random) {
        return AS_OF_DAYS.get(random.nextInt(AS_OF_DAYS.size()));
    }

    Made make(int people) {
        List<Row> made = new ArrayList<>();
        Map<String, List<Row>> events = new HashMap<>();
        for (int i = 0; i < people; i++) {
            Map<String, String> cells = new HashMap<>();
            String id = "p" + i;
            put(cells, "id", id, 0);
            put(cells, "family_name", of(NAMES), 10);
            put(cells, "birth_date", birth(), 8);
            put(cells, "sex", of(List.of("female", "male")), 20);
            put(cells, "status", of(List.of("active", "Moved  away", "DECEASED")), 60);
            put(cells, "deceased_on", date(), 90);
            put(cells, "site", of(SITES), 20);
            put(cells, "frailty", of(List.of("1", "2.5", "3", "1e1")), 20);
            put(cells, "seen", date(), 20);
            put(cells, "aid", of(List.of("yes", "no")), 20);
            made.add(new Row(cells));
            List<Row> own = new ArrayList<>();
            int count = random.nextInt(7);
            for (int event = 0; event < count; event++) {
                own.add(event(id));
            }
            events.put(id, own);
        }
        return new Made(made, events);
    }

    private Row event(String person) {
        Map<String, String> cells = new HashMap<>();
        put(cells, "id", "e" + eventsMade++, 0);
        put(cells, "person_id", person, 0);
        put(cells, "kind", of(KINDS), 0);
        put(cells, "code", of(CODES), 30);
        put(cells, "system", of(SYSTEMS), 30);
        put(cells, "text", of(TEXTS), 30);
        put(cells, "on", date(), 10);
        put(cells, "until", date(), 60);
        put(cells, "status", of(STATUSES), 30);
        put(cells, "value", of(List.of("120", "150", "151.5")), 40);
        put(cells, "unit", of(UNITS), 30);
        put(cells, "keywords", of(KEYWORDS), 60);
        put(cells, "recorded_on", date(), 30);
        put(cells, "also_coded", of(ALSO_CODED), 50);
        put(cells, "room", of(ROOMS), 30);
        put(cells, "wait", of(List.of("3", "7.5", "14")), 30);
        put(cells, "reviewed", date(), 30);
        put(cells, "phoned", of(List.of("yes", "no")), 30);
        return new Row(cells);
    }

    private void put(Map<String, String> cells, String column, String cell, int blankPercent) {
        if (random.nextInt(100) >= blankPercent) {
            cells.put(column, cell);
        }
    }

    /** Born so that the ages of the tests change about the as-of date. */
    String birth() {
        LocalDate day =
                asOf.minusMonths(of(List.of(6, 12, 18, 24, 60, 120, 144))).plusDays(random.nextInt(-2, 3));
        return partly(random.nextInt(4) == 0 ? day.with(TemporalAdjusters.lastDayOfMonth()) : day, 12);
    }

    /** A day a period before or after the as-of date, or a day beside it. */
    String date() {
        Period period = Period.parse(of(PERIODS));
        LocalDate day = random.nextInt(4) == 0 ? asOf.plus(period) : asOf.minus(period);
        LocalDate beside = day.plusDays(random.nextInt(-1, 2));
        return partly(random.nextInt(6) == 0 ? beside.with(TemporalAdjusters.lastDayOfMonth()) : beside, 20);
    }

    private String partly(LocalDate day, int partialPercent) {
        String written = day.toString();
        if (random.nextInt(100) >= partialPercent) {
            return written;
        }
        return random.nextBoolean() ? written.substring(0, 4) : written.substring(0, 7);
    }

    <T> T of(List<T> choices) {
        return choices.get(random.nextInt(choices.size()));
    }

    String period() {
        return of(PERIODS);
    }
}
