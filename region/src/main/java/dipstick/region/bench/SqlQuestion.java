package dipstick.region.bench;

import java.util.List;

/**
 * A question as a criteria document and as hand-written SQL of Spark, as of {@value #AS_OF}. Records are such as
 * the other benchmarks make: clean, every date exact.
 *
 * @param parts the document besides format, id and name, with single quotes for double ones
 * @param condition of the living {@code p}; {@code MINE} joins an event {@code e} to the same person
 */
record SqlQuestion(String name, String parts, String condition) {
    static final String AS_OF = "2026-11-23";

    private static final String LIVING =
            "p.status <> 'deceased' AND (p.deceased_on IS NULL OR p.deceased_on > DATE'" + AS_OF + "')";
    private static final String MINE = "e.practice = p.practice AND e.part = p.part AND e.person_id = p.id";
    private static final String PERSON = "practice, part, person_id";

    static List<SqlQuestion> all() {
        return List.of(
                new SqlQuestion("lookback lack", """
                        'termSets': [{'id': 'a', 'members': [{'code': 'R02'}]}],
                        'include': [{'id': 'age', 'test': {'age': {'from': 50, 'through': 74}}}],
                        'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test':
                          {'events': {'kinds': ['result'], 'terms': ['a'], 'window': {'last': 'P2Y'}}}}]}""", """
                        p.birth_date <= DATE'1976-11-23' AND p.birth_date > DATE'1951-11-23' AND NOT EXISTS (
                          SELECT 1 FROM events e WHERE MINE AND e.kind = 'result' AND e.code = 'R02'
                            AND e.on BETWEEN DATE'2024-11-23' AND DATE'2026-11-23')"""),
                new SqlQuestion("two alternatives", """
                        'termSets': [{'id': 'a', 'members': [{'code': 'R03'}]}, {'id': 'b', 'members': [{'code': 'S04'}]}],
                        'include': [{'id': 'age', 'test': {'age': {'from': 40}}}],
                        'shouldHave': {'rule': 'any', 'of': [
                          {'id': 'a', 'test': {'events': {'kinds': ['result'], 'terms': ['a'], 'window': {'last': 'P1Y'}}}},
                          {'id': 'b', 'test': {'events': {'kinds': ['visit'], 'terms': ['b'], 'window': {'last': 'P5Y'}}}}]}""", """
                        p.birth_date <= DATE'1986-11-23'
                        AND NOT EXISTS (SELECT 1 FROM events e WHERE MINE AND e.kind = 'result' AND e.code = 'R03'
                          AND e.on BETWEEN DATE'2025-11-23' AND DATE'2026-11-23')
                        AND NOT EXISTS (SELECT 1 FROM events e WHERE MINE AND e.kind = 'visit' AND e.code = 'S04'
                          AND e.on BETWEEN DATE'2021-11-23' AND DATE'2026-11-23')"""),
                new SqlQuestion("seen, then lapsed, none booked", """
                        'termSets': [{'id': 'a', 'members': [{'code': 'S01'}]}],
                        'include': [{'id': 'seen', 'test': {'events': {'kinds': ['visit'], 'terms': ['a'],
                          'window': {'ago': ['P3Y', 'P1Y']}}}}],
                        'exclude': [{'id': 'booked', 'test': {'events': {'kinds': ['appointment'],
                          'where': [{'field': 'status', 'in': ['booked']}], 'window': {'next': 'P6M'}}}}],
                        'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test':
                          {'events': {'kinds': ['visit'], 'terms': ['a'], 'window': {'last': 'P12M'}}}}]}""", """
                        EXISTS (SELECT 1 FROM events e WHERE MINE AND e.kind = 'visit' AND e.code = 'S01'
                          AND e.on BETWEEN DATE'2023-11-23' AND DATE'2025-11-23')
                        AND NOT EXISTS (SELECT 1 FROM events e WHERE MINE AND e.kind = 'visit' AND e.code = 'S01'
                          AND e.on BETWEEN DATE'2025-11-23' AND DATE'2026-11-23')
                        AND NOT EXISTS (SELECT 1 FROM events e WHERE MINE AND e.kind = 'appointment'
                          AND e.status = 'booked' AND e.on BETWEEN DATE'2026-11-23' AND DATE'2027-05-23')"""),
                new SqlQuestion("three or more days in a year", """
                        'include': [{'id': 'often', 'test': {'events': {'kinds': ['visit'], 'window': {'last': 'P12M'}},
                          'count': {'atLeast': 3}, 'per': 'day'}}]""", """
                        (p.practice, p.part, p.id) IN (SELECT PERSON FROM events e WHERE e.kind = 'visit'
                          AND e.on BETWEEN DATE'2025-11-23' AND DATE'2026-11-23'
                          GROUP BY PERSON HAVING count(DISTINCT e.on) >= 3)"""),
                new SqlQuestion("latest value high", """
                        'termSets': [{'id': 'a', 'members': [{'code': 'R04'}]}],
                        'include': [{'id': 'high', 'test': {'latest': {'kinds': ['result'], 'terms': ['a'],
                          'window': {'last': 'P2Y'}}, 'is': [{'field': 'value', 'above': 150}]}}]""", """
                        (p.practice, p.part, p.id) IN (SELECT PERSON FROM (
                          SELECT PERSON, value, rank() OVER (PARTITION BY PERSON ORDER BY on DESC) AS place FROM events e
                          WHERE e.kind = 'result' AND e.code = 'R04' AND e.on BETWEEN DATE'2024-11-23' AND DATE'2026-11-23')
                          WHERE place = 1 GROUP BY PERSON HAVING min(value) > 150)"""),
                new SqlQuestion("a keyword in five years", """
                        'termSets': [{'id': 'a', 'members': [{'keyword': 'topic 3'}]}],
                        'include': [{'id': 'age', 'test': {'age': {'from': 18}}}],
                        'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test':
                          {'events': {'terms': ['a'], 'window': {'last': 'P5Y'}}}}]}""", """
                        p.birth_date <= DATE'2008-11-23' AND NOT EXISTS (SELECT 1 FROM events e WHERE MINE
                          AND e.keywords = 'topic 3' AND e.on BETWEEN DATE'2021-11-23' AND DATE'2026-11-23')"""));
    }

    String document() {
        return ("{'format': 'dipstick-criteria/1', 'id': 'q', 'name': 'Q', " + parts + "}").replace('\'', '"');
    }

    String sql() {
        return "SELECT count(*) FROM people p WHERE " + LIVING + " AND "
                + condition.replace("MINE", MINE).replace("PERSON", PERSON);
    }
}
