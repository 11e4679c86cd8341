package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.core.proof.NaiveEvaluator.Row;
import dipstick.core.proof.RandomRecords.Made;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What must not change the answer, or must change it in a way that is known beforehand. */
class MetamorphicTest {
    private static final int CASES = 60;
    private static final int PEOPLE = 20;

    /** The calendar repeats after as many years, which are whole weeks. */
    private static final int CALENDAR_YEARS = 400;

    private static final Pattern YEAR = Pattern.compile("\\b(20\\d\\d)(?=-\\d\\d|\\b(?!\\.))");

    private record Case(List<ObjectNode> sets, Made records, LocalDate asOf, Random random) {
        Reading read() {
            return read(records);
        }

        Reading read(Made other) {
            Population population = Records.of(other.peopleFile(), other.eventsFile());
            CriteriaSet set = Records.sets(population, sets);
            return new Evaluator(population, asOf).read(set);
        }
    }

    @Test
    void two_halves_add_up_to_the_whole() {
        forEachCase(one -> {
            List<Row> people = one.records().people();
            Reading left = one.read(new Made(people.subList(0, 7), one.records().events()));
            Reading right = one.read(
                    new Made(people.subList(7, people.size()), one.records().events()));
            assertThat(LevelCounts.of(left).plus(LevelCounts.of(right))).isEqualTo(LevelCounts.of(one.read()));
            Map<String, String> both = new TreeMap<>(members(left));
            both.putAll(members(right));
            assertThat(both).isEqualTo(members(one.read()));
            return one;
        });
    }

    @Test
    void the_order_of_rows_does_not_matter() {
        forEachCase(one -> {
            List<Row> people = new ArrayList<>(one.records().people());
            Collections.shuffle(people, one.random());
            Map<String, List<Row>> events = new HashMap<>();
            one.records().events().forEach((person, rows) -> {
                List<Row> shuffled = new ArrayList<>(rows);
                Collections.shuffle(shuffled, one.random());
                events.put(person, shuffled);
            });
            Reading shuffled = one.read(new Made(people, events));
            assertThat(members(shuffled)).isEqualTo(members(one.read()));
            assertThat(LevelCounts.of(shuffled)).isEqualTo(LevelCounts.of(one.read()));
            return one;
        });
    }

    @Test
    void a_record_entered_in_error_changes_nothing() {
        forEachCase(one -> {
            Map<String, List<Row>> events = new HashMap<>();
            one.records().events().forEach((person, rows) -> {
                List<Row> more = new ArrayList<>(rows);
                rows.stream().findFirst().ifPresent(row -> {
                    Map<String, String> cells = new HashMap<>(row.cells());
                    cells.put("status", "Entered-in-Error");
                    more.add(0, new Row(cells));
                });
                events.put(person, more);
            });
            Reading more = one.read(new Made(one.records().people(), events));
            assertThat(members(more)).isEqualTo(members(one.read()));
            return one;
        });
    }

    @Test
    void everything_moved_by_whole_weeks_stays_as_it_is() {
        forEachCase(one -> {
            Map<String, List<Row>> events = new HashMap<>();
            one.records()
                    .events()
                    .forEach((person, rows) -> events.put(
                            person, rows.stream().map(MetamorphicTest::later).toList()));
            List<Row> people =
                    one.records().people().stream().map(MetamorphicTest::later).toList();
            List<ObjectNode> sets = one.sets().stream()
                    .map(set -> (ObjectNode) JsonMapper.shared().readTree(later(set.toString())))
                    .toList();
            Case moved = new Case(sets, new Made(people, events), one.asOf().plusYears(CALENDAR_YEARS), one.random());
            assertThat(LevelCounts.of(moved.read())).isEqualTo(LevelCounts.of(one.read()));
            Map<String, String> back = new TreeMap<>();
            members(one.read()).forEach((person, line) -> back.put(person, later(line)));
            assertThat(members(moved.read())).isEqualTo(back);
            return one;
        });
    }

    @Test
    void so_many_people_that_they_are_split_over_cores_count_as_often() {
        Case one = make(5);
        int times = 900;
        List<Row> people = new ArrayList<>();
        Map<String, List<Row>> events = new HashMap<>();
        for (int copy = 0; copy < times; copy++) {
            for (Row row : one.records().people()) {
                String id = row.cells().get("id") + "-" + copy;
                people.add(with(row, "id", id));
                events.put(
                        id,
                        one.records().of(row).stream()
                                .map(event -> with(event, "person_id", id))
                                .toList());
            }
        }
        LevelCounts many = LevelCounts.of(one.read(new Made(people, events)));
        LevelCounts few = LevelCounts.of(one.read());
        LevelCounts added = few;
        for (int copy = 1; copy < times; copy++) {
            added = added.plus(few);
        }
        assertThat(people).hasSizeGreaterThan(2 << 13);
        assertThat(many).isEqualTo(added);
    }

    private static void forEachCase(Function<Case, Case> check) {
        for (int seed = 1; seed <= CASES; seed++) {
            int at = seed;
            assertThat(check.apply(make(at))).as("seed %d", at).isNotNull();
        }
    }

    private static Case make(int seed) {
        Random random = new Random(seed);
        LocalDate asOf = RandomRecords.asOf(random);
        RandomRecords maker = new RandomRecords(random, asOf);
        Made records = maker.make(PEOPLE);
        return new Case(new RandomDocuments(random, maker, asOf).make(), records, asOf, random);
    }

    /** State, due date and band of everybody on the list, by id. */
    private static Map<String, String> members(Reading reading) {
        Map<String, String> members = new TreeMap<>();
        Evaluator evaluator = new Evaluator(reading.records(), reading.asOf());
        for (ListMember member : evaluator.members(reading)) {
            members.put(
                    reading.records().idOf(member.person()), member.state() + " " + member.due() + " " + member.band());
        }
        return members;
    }

    private static Row with(Row row, String field, String cell) {
        Map<String, String> cells = new HashMap<>(row.cells());
        cells.put(field, cell);
        return new Row(cells);
    }

    private static Row later(Row row) {
        Map<String, String> cells = new HashMap<>();
        row.cells().forEach((field, cell) -> cells.put(field, later(cell)));
        return new Row(cells);
    }

    private static String later(String text) {
        return YEAR.matcher(text).replaceAll(year -> String.valueOf(Integer.parseInt(year.group()) + CALENDAR_YEARS));
    }
}
