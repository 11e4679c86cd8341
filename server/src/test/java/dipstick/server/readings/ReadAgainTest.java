package dipstick.server.readings;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Verdict;
import dipstick.core.export.ReadingExport;
import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** However few are read again, a reading is what it would be if everybody were. */
class ReadAgainTest {
    private static final LocalDate START = LocalDate.of(2026, 3, 2);
    private static final int PEOPLE = 25;
    private static final int FILES = 45;

    private static final String SET = ("{'format': 'dipstick-criteria/1', 'id': 'again', 'name': 'Again', 'include':"
                    + " [{'id': 'old', 'test': {'age': {'from': 65}}}], 'exclude': [{'id': 'moved', 'test': {'field':"
                    + " 'status', 'in': ['moved away']}}], 'shouldHave': {'rule': 'any', 'of': [{'id': 'check', 'test':"
                    + " {'events': {'kinds': ['check'], 'window': {'last': 'P12M'}}}}]}, 'bands': [{'name': 'Never',"
                    + " 'when': {'overdue': 'never'}}, {'name': 'Late', 'when': {'overdue': {'atLeast': 'P1M'}}}]}")
            .replace('\'', '"');

    private RunningServer server;
    private int events;

    private String person(SplittableRandom chance, int number) {
        String born = chance.nextInt(8) == 0
                ? "1961"
                : chance.nextInt(8) == 0 ? "" : "19" + chance.nextInt(30, 90) + "-03-0" + chance.nextInt(1, 9);
        return "r" + number + "," + born + "," + (chance.nextInt(6) == 0 ? "moved away" : "") + ","
                + (chance.nextInt(9) == 0 ? "2026-01-01" : "") + "," + (chance.nextBoolean() ? "Dr A" : "dr a") + "\n";
    }

    private String file(SplittableRandom chance, int people) {
        StringBuilder rows = new StringBuilder();
        if (chance.nextBoolean()) {
            rows.append("id,birth_date,status,deceased_on,provider\n");
            for (int number :
                    new TreeSet<>(chance.ints(people, 0, PEOPLE + 3).boxed().toList())) {
                rows.append(person(chance, number));
            }
        } else {
            rows.append("id,person_id,kind,on,status\n");
            for (int i = 0; i < people; i++) {
                boolean again = events > 0 && chance.nextInt(4) == 0;
                rows.append(
                        "c" + (again ? chance.nextInt(events) : events++) + ",r" + chance.nextInt(PEOPLE) + ",check,"
                                + START.minusDays(chance.nextInt(800)) + ","
                                + (chance.nextInt(4) == 0 ? "entered-in-error" : "final") + "\n");
            }
        }
        return rows.toString();
    }

    @ParameterizedTest
    @ValueSource(longs = {5, 6, 7})
    void after_any_file(long seed, @TempDir Path folder) throws Exception {
        SplittableRandom chance = new SplittableRandom(seed);
        SetClock clock = SetClock.onThe(START);
        server = RunningServer.over(folder, clock);
        Visitor orla = server.signedIn("orla", Role.COORDINATOR);
        StringBuilder first = new StringBuilder("id,birth_date,status,deceased_on,provider\n");
        for (int i = 0; i < PEOPLE; i++) {
            first.append(person(chance, i));
        }
        People.bringIn(orla, first.toString());
        People.publish(orla, "again", SET);
        assertReadAsIfAnew(orla, Map.of());
        for (int i = 0; i < FILES; i++) {
            Map<String, String> before = states();
            if (chance.nextInt(9) == 0) {
                clock.set(START.plusDays(i));
            }
            People.bringIn(orla, file(chance, chance.nextInt(1, 4)));
            orla.post("/api/lists/again/readings", "");
            assertReadAsIfAnew(orla, before);
        }
        server.stop();
    }

    private TakenReading latest() {
        return server.bean(Readings.class).latest("again").orElseThrow();
    }

    private Map<String, String> states() {
        return server.bean(Readings.class).members(latest()).stream()
                .collect(Collectors.toMap(ReadMember::person, ReadMember::state, (one, _) -> one, TreeMap::new));
    }

    private void assertReadAsIfAnew(Visitor orla, Map<String, String> before) throws Exception {
        Evaluator evaluator = server.bean(Evaluators.class).asOf(Optional.empty());
        Reading now = evaluator.read(server.bean(ListCriteria.class)
                .of(
                        server.bean(CriteriaSets.class).getInForce("again"),
                        evaluator.population().fields()));
        List<ReadMember> members = evaluator.members(now).stream()
                .map(member -> new ReadMember(
                        now.records().idOf(member.person()),
                        member.state().word(),
                        ReadingExport.dueText(member.due()),
                        member.band().orElse(""),
                        Verdict.of(evaluator, now, member.person())))
                .sorted((one, other) -> one.person().compareTo(other.person()))
                .toList();
        TakenReading latest = latest();
        assertThat(server.bean(Readings.class).members(latest)).isEqualTo(members);
        assertThat(List.of(latest.onList(), latest.toCheck()))
                .containsExactly(now.list().yesCount(), now.list().unsureCount());
        if (!before.isEmpty()) {
            Map<String, String> after = states();
            Set<String> moved = new TreeSet<>(before.keySet());
            moved.addAll(after.keySet());
            moved.removeIf(person -> before.getOrDefault(person, "").equals(after.getOrDefault(person, "")));
            assertThat(server.bean(Readings.class).changes(latest))
                    .as("of the last of the readings of this file")
                    .allMatch(change -> moved.contains(change.person()));
        }
        assertDesk(orla, members);
    }

    private static void assertDesk(Visitor orla, List<ReadMember> members) throws Exception {
        Map<String, String> standing = new TreeMap<>();
        for (JsonNode row : orla.get("/api/lists/again/desk?size=1000").json().get("rows")) {
            if (!row.get("standing").asString().equals("OFF")) {
                standing.put(
                        row.at("/person/id").asString(),
                        row.get("standing").asString() + " " + row.get("due").asString() + " "
                                + row.get("band").asString());
            }
        }
        assertThat(standing)
                .isEqualTo(members.stream()
                        .collect(Collectors.toMap(
                                ReadMember::person,
                                member -> (member.state().equals(ListMember.State.ON.word()) ? "ON" : "CHECK") + " "
                                        + member.dueOn() + " " + member.band(),
                                (one, _) -> one,
                                TreeMap::new)));
    }
}
