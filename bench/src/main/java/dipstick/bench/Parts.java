package dipstick.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Makes criteria of every shape: about rare and common records, by code and by wording, in windows of all kinds. */
final class Parts {
    private final SplittableRandom random;
    private int named;
    private final List<String> termSets = new ArrayList<>();
    private final List<String> rosters = new ArrayList<>();
    private final List<String> tables = new ArrayList<>();

    Parts(SplittableRandom random) {
        this.random = random;
    }

    /** What a selection of events finds: as JSON, and as a condition on a row {@code e} of events besides its day. */
    private record Terms(String selection, String sql) {}

    private record Span(String window, LocalDate first, LocalDate last) {
        String sql(String column) {
            return column + " BETWEEN " + first.toEpochDay() + " AND " + last.toEpochDay();
        }
    }

    private interface SpanOf {
        Span at(LocalDate day);
    }

    Part ofPeople() {
        return switch (random.nextInt(3)) {
            case 0 -> age();
            case 1 -> {
                String sex = random.nextBoolean() ? "female" : "male";
                yield Part.ofAnyDay("{'field': 'sex', 'in': ['" + sex + "']}", "p.sex = '" + sex + "'");
            }
            default -> {
                List<String> sites = IntStream.range(0, 1 + random.nextInt(6))
                        .mapToObj(i -> "'site " + random.nextInt(Region.SITES) + "'")
                        .distinct()
                        .toList();
                String list = String.join(", ", sites);
                yield Part.ofAnyDay("{'field': 'site', 'in': [" + list + "]}", "p.site IN (" + list + ")");
            }
        };
    }

    Part age() {
        int from = random.nextInt(70);
        int through = from + 5 + random.nextInt(40);
        String test = "{'age': {'from': " + from + ", 'through': " + through + "}}";
        Function<LocalDate, LocalDate> after = day -> day.minusYears(through + 1L);
        Function<LocalDate, LocalDate> until = day -> day.minusYears(from);
        Function<LocalDate, String> sql = day -> born(
                String.valueOf(after.apply(day).toEpochDay()),
                String.valueOf(until.apply(day).toEpochDay()));
        return new Part(test, sql, sql, Optional.of(days -> born(days.day(after), days.day(until))));
    }

    private static String born(String after, String until) {
        return "p.born > " + after + " AND p.born <= " + until;
    }

    Part ofEvents() {
        return switch (random.nextInt(8)) {
            case 0 -> counted();
            case 1 -> onDifferentDays();
            case 2 -> latestIs();
            case 3 -> followed();
            case 4 -> valued();
            default -> any();
        };
    }

    /** Whether there is one. */
    Part any() {
        Terms terms = terms();
        SpanOf span = span();
        Function<LocalDate, String> sql = day -> exists(terms, span.at(day), "");
        return new Part(
                "{'events': {" + terms.selection() + ", 'window': "
                        + span.at(Region.AS_OF).window() + "}}",
                sql,
                sql,
                Optional.of(days -> days.any(
                        terms.sql(),
                        day -> span.at(day).first(),
                        day -> span.at(day).last())));
    }

    private Part valued() {
        Terms terms = of("result", "R");
        SpanOf span = span();
        int above = 20 + random.nextInt(170);
        return new Part(
                "{'events': {" + terms.selection() + ", 'where': [{'field': 'value', 'above': " + above
                        + "}], 'window': " + span.at(Region.AS_OF).window() + "}}",
                day -> exists(terms, span.at(day), " AND e.amount > " + above));
    }

    private Part counted() {
        Terms terms = terms();
        SpanOf span = span();
        int least = 2 + random.nextInt(4);
        return new Part(
                "{'events': {" + terms.selection() + ", 'window': "
                        + span.at(Region.AS_OF).window() + "}, 'count': {'atLeast': " + least + "}}",
                day -> "p.id IN (SELECT e.person FROM events e WHERE " + terms.sql() + " AND "
                        + span.at(day).sql("e.on_day") + " GROUP BY e.person HAVING count(*) >= " + least + ")");
    }

    private Part onDifferentDays() {
        Terms terms = terms();
        SpanOf span = span();
        int least = 2 + random.nextInt(3);
        return new Part(
                "{'events': {" + terms.selection() + ", 'window': "
                        + span.at(Region.AS_OF).window() + "}, 'count': {'atLeast': " + least + "}, 'per': 'day'}",
                day -> "p.id IN (SELECT e.person FROM events e WHERE " + terms.sql() + " AND "
                        + span.at(day).sql("e.on_day") + " GROUP BY e.person HAVING count(DISTINCT e.on_day) >= "
                        + least + ")");
    }

    /** Where several are on the latest day and do not agree, it can't be told. */
    private Part latestIs() {
        Terms terms = of("result", "R");
        SpanOf span = span();
        int above = 20 + random.nextInt(170);
        return new Part(
                "{'latest': {" + terms.selection() + ", 'window': "
                        + span.at(Region.AS_OF).window() + "}, 'is': [{'field': 'value', 'above': " + above + "}]}",
                day -> latestAbove(terms, span.at(day), "min", above),
                day -> latestAbove(terms, span.at(day), "max", above),
                Optional.empty());
    }

    private static String latestAbove(Terms terms, Span span, String which, int above) {
        return "p.id IN (" + latest(terms, span) + " SELECT f.person FROM found f JOIN newest l"
                + " ON f.person = l.person AND f.on_day = l.on_day GROUP BY f.person HAVING " + which + "(f.amount) > "
                + above + ")";
    }

    /** Those on one day are followed by the same. */
    private Part followed() {
        Terms anchor = of("result", "R");
        Terms expected = of("visit", "S");
        SpanOf span = span();
        int within = 14 + random.nextInt(120);
        return new Part(
                "{'after': {" + anchor.selection() + ", 'window': "
                        + span.at(Region.AS_OF).window() + "}, 'expect': {" + expected.selection() + "}, 'within': 'P"
                        + within + "D'}",
                day -> "p.id IN (" + latest(anchor, span.at(day)) + " SELECT l.person FROM newest l WHERE EXISTS"
                        + " (SELECT 1 FROM events e WHERE e.person = l.person AND " + expected.sql()
                        + " AND e.on_day BETWEEN l.on_day AND l.on_day + " + within + "))");
    }

    private static String latest(Terms terms, Span span) {
        return "WITH found AS (SELECT e.person, e.on_day, e.amount FROM events e WHERE " + terms.sql() + " AND "
                + span.sql("e.on_day")
                + "), newest AS (SELECT person, max(on_day) AS on_day FROM found GROUP BY person)";
    }

    Part roster() {
        int rows = (int) (100 * Math.pow(500, random.nextDouble()));
        String id = "r" + named++;
        SplittableRandom chance = random.split();
        List<String> familyNames = IntStream.range(0, rows)
                .mapToObj(i -> "Name" + chance.nextInt(Region.NAMES))
                .toList();
        List<LocalDate> born = IntStream.range(0, rows)
                .mapToObj(i -> Region.AS_OF.minusDays(1 + chance.nextInt(95 * 365)))
                .toList();
        String json = IntStream.range(0, rows)
                .mapToObj(i -> "['" + familyNames.get(i) + "', '" + born.get(i) + "']")
                .collect(Collectors.joining(","));
        String values = IntStream.range(0, rows)
                .mapToObj(i -> "('" + familyNames.get(i) + "', " + born.get(i).toEpochDay() + ")")
                .collect(Collectors.joining(","));
        rosters.add("{'id': '" + id + "', 'key': ['family_name', 'birth_date'], 'rows': [" + json + "]}");
        tables.addAll(List.of(
                "DROP TABLE IF EXISTS " + id,
                "CREATE TABLE " + id + " (family_name VARCHAR(20), born INTEGER)",
                "INSERT INTO " + id + " VALUES " + values));
        return Part.ofAnyDay(
                "{'roster': '" + id + "'}",
                "EXISTS (SELECT 1 FROM " + id + " r WHERE r.family_name = p.family_name AND r.born = p.born)");
    }

    private static String exists(Terms terms, Span span, String more) {
        return "EXISTS (SELECT 1 FROM events e WHERE e.person = p.id AND " + terms.sql() + " AND "
                + span.sql("e.on_day") + more + ")";
    }

    private Terms terms() {
        Region.Kind kind = Region.KINDS.get(random.nextInt(Region.KINDS.size()));
        return of(kind.name(), kind.letter());
    }

    /** Everything of a kind, some of its codes, or those whose wording begins in some way or that have a keyword. */
    private Terms of(String kind, String letter) {
        int codes = Region.KINDS.stream()
                .filter(one -> one.name().equals(kind))
                .findFirst()
                .orElseThrow()
                .codes();
        String ofKind = "'kinds': ['" + kind + "']";
        String sqlOfKind = "e.kind = '" + kind + "'";
        return switch (random.nextInt(8)) {
            case 0 -> new Terms(ofKind, sqlOfKind);
            case 1 -> {
                String start = letter + random.nextInt(10);
                yield new Terms(
                        ofKind + terms("{'text': 'Wording of " + start + "', 'match': 'startsWith'}"),
                        sqlOfKind + " AND e.code LIKE '" + start + "%'");
            }
            case 2 -> {
                String topic = Region.topic(random.nextInt(Region.TOPICS));
                yield new Terms(
                        ofKind + terms("{'keyword': '" + topic + "'}"), sqlOfKind + " AND e.topic = '" + topic + "'");
            }
            default -> {
                List<String> some = IntStream.range(0, 1 + random.nextInt(3))
                        .mapToObj(i -> Region.code(letter, 1 + random.nextInt(codes)))
                        .distinct()
                        .toList();
                yield new Terms(
                        ofKind
                                + terms(some.stream()
                                        .map(code -> "{'code': '" + code + "'}")
                                        .collect(Collectors.joining(", "))),
                        sqlOfKind + " AND e.code IN ("
                                + some.stream().map(code -> "'" + code + "'").collect(Collectors.joining(", ")) + ")");
            }
        };
    }

    private String terms(String members) {
        String id = "t" + named++;
        termSets.add("{'id': '" + id + "', 'members': [" + members + "]}");
        return ", 'terms': ['" + id + "']";
    }

    /** The term sets and rosters that the parts made so far name, as the beginning of a document. */
    String named() {
        return "'termSets': [" + String.join(", ", termSets) + "], 'rosters': [" + String.join(", ", rosters) + "], ";
    }

    /** What makes the tables that the conditions name, as a document brings its rosters along. */
    List<String> tables() {
        return List.copyOf(tables);
    }

    private SpanOf span() {
        int months = 1 + random.nextInt(60);
        return switch (random.nextInt(6)) {
            case 0 -> {
                int from = months + 1 + random.nextInt(36);
                yield day -> new Span(
                        "{'ago': ['P" + from + "M', 'P" + months + "M']}",
                        day.minusMonths(from),
                        day.minusMonths(months));
            }
            case 1 -> day -> new Span("{'sinceStartOf': 'year'}", day.withDayOfYear(1), day);
            case 2 -> day -> new Span("{'ever': true}", LocalDate.of(1900, 1, 1), day);
            case 3 -> day -> new Span("{'last': 'P" + 10 * months + "D'}", day.minusDays(10L * months), day);
            default -> day -> new Span("{'last': 'P" + months + "M'}", day.minusMonths(months), day);
        };
    }
}
