package dipstick.server.outreach;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * Eight weeks of records by chance, and for every person and week what must be told: who joined, who left, and by which
 * cause. What must be told is worked out here from the rows alone, by the plainest reading of the criteria.
 */
class RandomWeeksTest {
    private static final LocalDate START = LocalDate.of(2026, 1, 5);
    private static final int WEEKS = 8;
    private static final int PEOPLE = 40;

    private static final String SET = ("{'format': 'dipstick-criteria/1', 'id': 'weeks', 'name': 'Weeks', 'include':"
                    + " [{'id': 'old', 'test': {'age': {'from': 65}}}], 'exclude': [{'id': 'moved', 'unsure': 'fails',"
                    + " 'test': {'field': 'status', 'in': ['moved away']}}], 'shouldHave': {'rule': 'any', 'of': [{'id':"
                    + " 'check', 'test': {'events': {'kinds': ['check'], 'window': {'last': 'P12M'}}}}]}}")
            .replace('\'', '"');

    /** Somebody as the rows have them. */
    private static final class Person {
        private LocalDate born;
        private String status = "";
        private String deceased = "";
        private int week;

        boolean isDeadOn(LocalDate day) {
            return !deceased.isEmpty() && !LocalDate.parse(deceased).isAfter(day);
        }
    }

    private record Check(String person, LocalDate on, boolean inError) {}

    /** All rows, as they are after a week. */
    private final Map<String, Person> people = new TreeMap<>();

    private final Map<String, Check> checks = new TreeMap<>();
    private int nextPerson;
    private int nextCheck;

    private boolean isOnList(String id, LocalDate day) {
        Person person = people.get(id);
        return person != null
                && !person.isDeadOn(day)
                && !person.born.plusYears(65).isAfter(day)
                && !person.status.equals("moved away")
                && checks.values().stream().noneMatch(check -> counts(check, id, day));
    }

    private static boolean counts(Check check, String id, LocalDate day) {
        return check.person().equals(id)
                && !check.inError()
                && !check.on().isAfter(day)
                && !check.on().isBefore(day.minusMonths(12));
    }

    /** The cause that must be told of somebody who joined or left in a week. */
    private String cause(String id, boolean joined, LocalDate before, LocalDate now, int week) {
        Person person = people.get(id);
        if (person == null) {
            return "RECORDS Is not on file any more.";
        }
        if (joined) {
            boolean isNew = person.week == week;
            return isNew ? "RECORDS New on file: " : isOnList(id, before) ? "RECORDS The records changed: " : "TIME ";
        }
        if (person.isDeadOn(now)) {
            return "DIED ";
        }
        return person.born.plusYears(65).isAfter(now)
                ? "RECORDS "
                : person.status.equals("moved away")
                        ? "EXEMPT Exempt: Status is moved away."
                        : "DONE Now on record: Check on ";
    }

    /** What comes in in a week; an empty file does not come. */
    private record Files(String people, String checks, boolean everybody) {}

    /** Changes rows by chance: in odd weeks of people, in even ones of checks, so that there is one reading a week. */
    private Files weekOf(SplittableRandom chance, LocalDate now, int week) {
        return new Files(
                week % 2 == 1 || week == 0 ? peopleOf(chance, now, week) : "",
                week % 2 == 0 ? checksOf(chance, now, week) : "",
                everybody);
    }

    /** Whether the people of the week are everybody. */
    private boolean everybody;

    private String peopleOf(SplittableRandom chance, LocalDate now, int week) {
        Set<String> touched = new HashSet<>();
        int newPeople = week == 0 ? PEOPLE : chance.nextInt(3);
        for (int i = 0; i < newPeople; i++) {
            Person person = new Person();
            person.week = week;
            // Around the age that counts, so that some come of it in these weeks.
            person.born = now.minusYears(65).plusDays(chance.nextInt(-4000, 60));
            String id = "w" + nextPerson++;
            people.put(id, person);
            touched.add(id);
        }
        for (String id : List.copyOf(people.keySet())) {
            Person person = people.get(id);
            int what = week == 0 ? 99 : chance.nextInt(40);
            if (what == 0) {
                person.status = person.status.isEmpty() ? "moved away" : "";
                touched.add(id);
            } else if (what == 1) {
                person.deceased = now.minusDays(chance.nextInt(10)).toString();
                touched.add(id);
            } else if (what == 2) {
                person.born = now.minusYears(65).plusDays(chance.nextInt(-300, 300));
                touched.add(id);
            }
        }
        everybody = week > 0 && chance.nextInt(3) == 0;
        if (everybody) {
            people.keySet().removeIf(_ -> chance.nextInt(20) == 0);
            touched.addAll(people.keySet());
        }
        return touched.stream()
                .filter(people::containsKey)
                .map(id -> id + "," + people.get(id).born + "," + people.get(id).status + "," + people.get(id).deceased
                        + "\n")
                .collect(Collectors.joining());
    }

    private String checksOf(SplittableRandom chance, LocalDate now, int week) {
        Set<String> changed = new HashSet<>();
        for (String id : people.keySet()) {
            if (chance.nextInt(week == 0 ? 2 : 12) == 0) {
                String check = "c" + nextCheck++;
                // Just about a year ago, or lately; never ahead.
                int days = chance.nextBoolean() ? chance.nextInt(330, 372) : chance.nextInt(0, 14);
                checks.put(check, new Check(id, now.minusDays(days), false));
                changed.add(check);
            }
        }
        for (String check : List.copyOf(checks.keySet())) {
            if (week > 0 && chance.nextInt(25) == 0) {
                Check old = checks.get(check);
                checks.put(check, new Check(old.person(), old.on(), !old.inError()));
                changed.add(check);
            }
        }
        return changed.stream()
                .map(id -> id + "," + checks.get(id).person() + ",check,"
                        + checks.get(id).on() + "," + (checks.get(id).inError() ? "entered-in-error" : "final") + "\n")
                .collect(Collectors.joining());
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13})
    void every_joined_and_left_and_why(long seed, @TempDir Path folder) throws Exception {
        SplittableRandom chance = new SplittableRandom(seed);
        SetClock clock = SetClock.onThe(START);
        RunningServer server = RunningServer.over(folder, clock);
        Visitor orla = server.signedIn("orla", Role.COORDINATOR);
        Set<String> was = new HashSet<>();
        long before = 0;
        for (int week = 0; week <= WEEKS; week++) {
            LocalDate now = START.plusWeeks(week);
            clock.set(now);
            Files files = weekOf(chance, now, week);
            bringIn(orla, files);
            if (week == 0) {
                People.publish(orla, "weeks", SET);
            }
            JsonNode reading = orla.post("/api/lists/weeks/readings", "").json();
            Set<String> is =
                    people.keySet().stream().filter(id -> isOnList(id, now)).collect(Collectors.toSet());
            assertThat(reading.get("onList").asInt())
                    .as("on the list in week %d", week)
                    .isEqualTo(is.size());
            if (week > 0) {
                assertMoves(orla, before, reading.get("id").asLong(), was, is, week);
                assertDesk(orla, was, is);
            }
            before = reading.get("id").asLong();
            was = is;
        }
        server.stop();
    }

    private static void bringIn(Visitor orla, Files files) throws Exception {
        if (!files.checks().isEmpty()) {
            People.bringIn(orla, "id,person_id,kind,on,status\n" + files.checks());
        }
        String header = "id,birth_date,status,deceased_on\n";
        if (files.everybody() && !files.people().isEmpty()) {
            People.bringInEverybody(orla, header + files.people());
        } else if (!files.people().isEmpty()) {
            People.bringIn(orla, header + files.people());
        }
    }

    private void assertMoves(Visitor orla, long from, long to, Set<String> was, Set<String> is, int week)
            throws Exception {
        JsonNode compared = orla.get("/api/lists/weeks/readings-compared?from=" + from + "&to=" + to)
                .json();
        Map<String, String> told = new TreeMap<>();
        for (JsonNode one : compared.get("people")) {
            if (!one.get("was").equals(one.get("nowIs"))) {
                told.put(
                        one.at("/person/id").asString(),
                        one.get("cause").asString() + " " + one.get("words").asString());
            }
        }
        Set<String> moved = new HashSet<>(was);
        moved.addAll(is);
        moved.removeIf(id -> was.contains(id) == is.contains(id));
        assertThat(told.keySet()).as("who joined or left in week %d", week).isEqualTo(moved);
        LocalDate now = START.plusWeeks(week);
        for (String id : moved) {
            assertThat(told.get(id))
                    .as("%s in week %d", id, week)
                    .startsWith(cause(id, is.contains(id), now.minusWeeks(1), now, week));
        }
    }

    /** At the desk they are to be contacted, done with, or gone, as the reading said. */
    private void assertDesk(Visitor orla, Set<String> was, Set<String> is) throws Exception {
        Map<String, String> states = new TreeMap<>();
        for (JsonNode row : orla.get("/api/lists/weeks/desk").json().get("rows")) {
            states.put(
                    row.at("/person/id").asString(),
                    row.get("state").asString() + " " + row.get("why").asString());
        }
        List<String> wrong = new ArrayList<>();
        for (String id : was) {
            String state = Objects.requireNonNullElse(states.get(id), "nowhere");
            boolean left = !is.contains(id);
            boolean done = left && state.startsWith("DONE Now on record: ");
            if (left && !done && !state.startsWith("LEFT ")) {
                wrong.add(id + " left and is " + state);
            }
        }
        for (String id : is) {
            if (!Objects.requireNonNullElse(states.get(id), "nowhere").startsWith("TO_CONTACT ")) {
                wrong.add(id + " is on the list and is " + states.get(id));
            }
        }
        assertThat(wrong).isEmpty();
    }
}
