package dipstick.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** What is asked of everyone. In SQL a day is a whole number, so that one text fits all databases. */
final class Questions {
    private static final String TERM_SETS = "'termSets': ["
            + IntStream.rangeClosed(1, 4).mapToObj(Questions::termSets).collect(Collectors.joining(", "))
            + "], ";

    /** Names and days of birth of people who asked not to be written to. */
    private static final List<Object[]> ROSTER = IntStream.range(0, 400)
            .mapToObj(i -> new Object[] {"Name" + i * 7, Region.AS_OF.minusDays(9000 + i * 31L)})
            .toList();

    private Questions() {}

    private static String termSets(int code) {
        return List.of("R", "S", "V", "A").stream()
                .map(letter -> "{'id': '" + letter + code + "', 'members': [{'code': '" + letter + "0" + code + "'}]}")
                .collect(Collectors.joining(", "));
    }

    static List<Question> all() {
        return List.of(
                lookbackLack("lookback lack", List.of(Region.AS_OF)),
                twoAlternatives(),
                seenThenLapsed(),
                countByDay(),
                latestWithoutFollowUp(),
                contactSinceNewYear(),
                dosesBeforeBirthday(),
                rosterExclusion(),
                allOfThreeWithBands(),
                lookbackLack(
                        "25 monthly as-of dates",
                        IntStream.range(0, 25)
                                .mapToObj(Region.AS_OF::minusMonths)
                                .toList()),
                halfOfEverybody());
    }

    private static Question lookbackLack(String name, List<LocalDate> days) {
        return new Question(
                name,
                TERM_SETS + """
                        'include': [{'id': 'age', 'test': {'age': {'from': 50, 'through': 74}}}],
                        'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test':
                          {'events': {'kinds': ['result'], 'terms': ['R2'], 'window': {'last': 'P2Y'}}}}]}""",
                day -> people(day) + aged(day, 50, 74) + " AND NOT " + exists("result", "R02", day.minusYears(2), day),
                days);
    }

    private static Question twoAlternatives() {
        return new Question(
                "two alternatives",
                TERM_SETS + """
                        'include': [{'id': 'age', 'test': {'age': {'from': 40}}}],
                        'shouldHave': {'rule': 'any', 'of': [
                          {'id': 'a', 'test': {'events': {'kinds': ['result'], 'terms': ['R3'], 'window': {'last': 'P1Y'}}}},
                          {'id': 'b', 'test': {'events': {'kinds': ['visit'], 'terms': ['S4'], 'window': {'last': 'P5Y'}}}}]}""",
                day -> people(day) + " AND p.born <= " + day.minusYears(40).toEpochDay() + " AND NOT "
                        + exists("result", "R03", day.minusYears(1), day) + " AND NOT "
                        + exists("visit", "S04", day.minusYears(5), day));
    }

    private static Question seenThenLapsed() {
        return new Question(
                "seen, then lapsed, none booked",
                TERM_SETS + """
                        'include': [{'id': 'seen', 'test': {'events': {'kinds': ['visit'], 'terms': ['S1'],
                          'window': {'ago': ['P3Y', 'P1Y']}}}}],
                        'exclude': [{'id': 'booked', 'test': {'events': {'kinds': ['appointment'],
                          'where': [{'field': 'status', 'in': ['booked']}], 'window': {'next': 'P6M'}}}}],
                        'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test':
                          {'events': {'kinds': ['visit'], 'terms': ['S1'], 'window': {'last': 'P12M'}}}}]}""",
                day -> people(day) + " AND " + exists("visit", "S01", day.minusYears(3), day.minusYears(1))
                        + " AND NOT " + exists("visit", "S01", day.minusMonths(12), day)
                        + " AND NOT EXISTS (SELECT 1 FROM events e WHERE e.person = p.id AND e.kind = 'appointment'"
                        + " AND e.status = 'booked'" + between("e.on_day", day, day.plusMonths(6)) + ")");
    }

    private static Question countByDay() {
        return new Question(
                "three or more days in a year",
                """
                'include': [{'id': 'often', 'test': {'events': {'kinds': ['visit'], 'window': {'last': 'P12M'}},
                  'count': {'atLeast': 3}, 'per': 'day'}}]""",
                day -> people(day) + " AND p.id IN (SELECT e.person FROM events e WHERE e.kind = 'visit'"
                        + between("e.on_day", day.minusMonths(12), day)
                        + " GROUP BY e.person HAVING count(DISTINCT e.on_day) >= 3)");
    }

    private static Question latestWithoutFollowUp() {
        return new Question("latest value high, no follow-up", TERM_SETS + """
                        'include': [{'id': 'high', 'test': {'latest': {'kinds': ['result'], 'terms': ['R4'],
                          'window': {'last': 'P2Y'}}, 'is': [{'field': 'value', 'above': 150}]}}],
                        'exclude': [{'id': 'followed', 'test': {'after': {'kinds': ['result'], 'terms': ['R4'],
                          'window': {'last': 'P2Y'}}, 'expect': {'kinds': ['visit'], 'terms': ['S2']},
                          'within': 'P90D'}}]""", Questions::latestWithoutFollowUp);
    }

    /** Of several on the same latest day all must agree, and none may be followed up: as the criteria page has it. */
    private static String latestWithoutFollowUp(LocalDate day) {
        return "WITH found AS (SELECT person, on_day, amount FROM events WHERE kind = 'result' AND code = 'R04'"
                + between("on_day", day.minusYears(2), day)
                + "), newest AS (SELECT person, max(on_day) AS on_day FROM found GROUP BY person),"
                + " high AS (SELECT f.person, f.on_day FROM found f JOIN newest l ON f.person = l.person AND f.on_day = l.on_day"
                + " GROUP BY f.person, f.on_day HAVING min(f.amount) > 150)"
                + " SELECT p.id FROM people p JOIN high h ON h.person = p.id WHERE " + living(day)
                + " AND NOT EXISTS (SELECT 1 FROM events e WHERE e.person = h.person AND e.kind = 'visit'"
                + " AND e.code = 'S02' AND e.on_day BETWEEN h.on_day AND h.on_day + 90)";
    }

    private static Question contactSinceNewYear() {
        return new Question(
                "not reached since the year began",
                """
                'include': [{'id': 'adult', 'test': {'age': {'from': 18}}}],
                'shouldHave': {'rule': 'any', 'of': [{'id': 'reached', 'test': {'events': {'kinds': ['contact'],
                  'where': [{'field': 'status', 'in': ['reached']}], 'window': {'sinceStartOf': 'year'}}}}]}""",
                day -> people(day) + " AND p.born <= " + day.minusYears(18).toEpochDay()
                        + " AND NOT EXISTS (SELECT 1 FROM events e WHERE e.person = p.id AND e.kind = 'contact'"
                        + " AND e.status = 'reached'" + between("e.on_day", day.withDayOfYear(1), day) + ")");
    }

    private static Question dosesBeforeBirthday() {
        return new Question(
                "two doses before the second birthday",
                TERM_SETS + """
                        'include': [{'id': 'age', 'test': {'age': {'from': 2, 'through': 9}}}],
                        'shouldHave': {'rule': 'any', 'of': [{'id': 'doses', 'test': {'events': {'kinds': ['vaccination'],
                          'terms': ['V1', 'V2'], 'window': {'atAge': {'through': 23, 'unit': 'months'}}},
                          'count': {'atLeast': 2}}}]}""",
                day -> people(day) + aged(day, 2, 9)
                        + " AND (SELECT count(*) FROM events e WHERE e.person = p.id AND e.kind = 'vaccination'"
                        + " AND e.code IN ('V01', 'V02') AND e.on_day >= p.born AND e.on_day < p.two) < 2");
    }

    private static Question rosterExclusion() {
        String rows = ROSTER.stream()
                .map(row -> "['" + row[0] + "', '" + row[1] + "']")
                .collect(Collectors.joining(", "));
        String values = ROSTER.stream()
                .map(row -> "('" + row[0] + "', " + ((LocalDate) row[1]).toEpochDay() + ")")
                .collect(Collectors.joining(", "));
        return new Question(
                "roster by name and birth",
                TERM_SETS + "'rosters': [{'id': 'no', 'key': ['family_name', 'birth_date'], 'rows': [" + rows + "]}],"
                        + """
                        'include': [{'id': 'adult', 'test': {'age': {'from': 18}}}],
                        'exclude': [{'id': 'no', 'test': {'roster': 'no'}}],
                        'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test':
                          {'events': {'kinds': ['vaccination'], 'terms': ['V3'], 'window': {'last': 'P10Y'}}}}]}""",
                day -> "WITH roster (family_name, born) AS (VALUES " + values + ") " + people(day)
                        + " AND p.born <= " + day.minusYears(18).toEpochDay()
                        + " AND NOT EXISTS (SELECT 1 FROM roster r WHERE r.family_name = p.family_name AND r.born = p.born)"
                        + " AND NOT " + exists("vaccination", "V03", day.minusYears(10), day));
    }

    private static Question allOfThreeWithBands() {
        return new Question("all of three, with bands", TERM_SETS + """
                        'include': [{'id': 'problem', 'test': {'events': {'kinds': ['problem'], 'active': true,
                          'where': [{'field': 'code', 'in': ['P01']}]}}}],
                        'shouldHave': {'rule': 'all', 'of': [
                          {'id': 'a', 'test': {'events': {'kinds': ['result'], 'terms': ['R1'], 'window': {'last': 'P6M'}}}},
                          {'id': 'b', 'test': {'events': {'kinds': ['result'], 'terms': ['R2'], 'window': {'last': 'P12M'}}}},
                          {'id': 'c', 'test': {'events': {'kinds': ['visit'], 'terms': ['S1'], 'window': {'last': 'P12M'}}}}]},
                        'bands': [{'name': 'never', 'when': {'overdue': 'never'}},
                                  {'name': 'late', 'when': {'overdue': {'atLeast': 'P6M'}}},
                                  {'name': 'due', 'when': {'overdue': {'atLeast': 'P0D'}}}]""", Questions::allOfThreeWithBands);
    }

    private static String allOfThreeWithBands(LocalDate day) {
        LocalDate late = day.minusMonths(6);
        return "WITH lasts AS (SELECT p.id, "
                + latest("result", "R01", day) + " AS a, " + latest("result", "R02", day) + " AS b, "
                + latest("visit", "S01", day) + " AS c FROM people p WHERE " + living(day)
                + " AND EXISTS (SELECT 1 FROM events e WHERE e.person = p.id AND e.kind = 'problem' AND e.code = 'P01'"
                + " AND e.status = 'active' AND e.on_day <= " + day.toEpochDay() + "))"
                + " SELECT id, CASE WHEN a IS NULL OR b IS NULL OR c IS NULL THEN 'never'"
                + " WHEN a < " + late.minusMonths(6).toEpochDay() + " OR b < "
                + late.minusMonths(12).toEpochDay()
                + " OR c < " + late.minusMonths(12).toEpochDay() + " THEN 'late' ELSE 'due' END AS band FROM lasts"
                + " WHERE a IS NULL OR b IS NULL OR c IS NULL OR a < "
                + day.minusMonths(6).toEpochDay()
                + " OR b < " + day.minusMonths(12).toEpochDay() + " OR c < "
                + day.minusMonths(12).toEpochDay();
    }

    private static Question halfOfEverybody() {
        return new Question(
                "half of everybody, ids delivered",
                TERM_SETS + """
                        'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test':
                          {'events': {'kinds': ['result'], 'terms': ['R1'], 'window': {'last': 'P4Y'}}}}]}""",
                day -> people(day) + " AND NOT " + exists("result", "R01", day.minusYears(4), day));
    }

    /** A document of these parts, which may name the term sets of the questions. */
    static String document(String parts) {
        return new Question("", TERM_SETS + parts, any -> "").document();
    }

    /** Four criteria, whose levels are asked for after one of them was changed. */
    static String levelsDocument(String lookback) {
        return ("{'format': 'dipstick-criteria/1', 'id': 'q', 'name': 'Q', " + TERM_SETS + """
                        'include': [{'id': 'age', 'test': {'age': {'from': 40, 'through': 79}}},
                          {'id': 'seen', 'test': {'events': {'kinds': ['visit'], 'terms': ['S1'], 'window': {'last': 'P3Y'}}}}],
                        'exclude': [{'id': 'moved', 'test': {'field': 'status', 'in': ['moved away']}}],
                        'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test':
                          {'events': {'kinds': ['result'], 'terms': ['R1'], 'window': {'last': '""" + lookback + "'}}}}]}}")
                .replace('\'', '"');
    }

    /** The sizes of the same levels: after the ages, those seen, those still here, those who have it. */
    static String levelsSql(LocalDate day, LocalDate lookback) {
        return "SELECT count(*), count(CASE WHEN seen THEN 1 END), count(CASE WHEN seen AND here THEN 1 END),"
                + " count(CASE WHEN seen AND here AND has THEN 1 END) FROM (SELECT "
                + exists("visit", "S01", day.minusYears(3), day) + " AS seen, p.status <> 'moved away' AS here, "
                + exists("result", "R01", lookback, day) + " AS has FROM people p WHERE " + living(day)
                + aged(day, 40, 79) + ") AS levels";
    }

    static String people(LocalDate day) {
        return "SELECT p.id FROM people p WHERE " + living(day);
    }

    private static String living(LocalDate day) {
        return "p.status <> 'deceased' AND p.deceased_on > " + day.toEpochDay();
    }

    private static String aged(LocalDate day, int from, int through) {
        return " AND p.born > " + day.minusYears(through + 1L).toEpochDay() + " AND p.born <= "
                + day.minusYears(from).toEpochDay();
    }

    private static String exists(String kind, String code, LocalDate first, LocalDate last) {
        return "EXISTS (SELECT 1 FROM events e WHERE e.person = p.id AND e.kind = '" + kind + "' AND e.code = '" + code
                + "'" + between("e.on_day", first, last) + ")";
    }

    private static String latest(String kind, String code, LocalDate day) {
        return "(SELECT max(e.on_day) FROM events e WHERE e.person = p.id AND e.kind = '" + kind + "' AND e.code = '"
                + code + "' AND e.on_day <= " + day.toEpochDay() + ")";
    }

    private static String between(String column, LocalDate first, LocalDate last) {
        return " AND " + column + " BETWEEN " + first.toEpochDay() + " AND " + last.toEpochDay();
    }
}
