package dipstick.region.evaluate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class SmallNumbersTest {
    private static final int BELOW = 5;

    private static ObjectNode levels(int people, int remaining, int has) {
        return (ObjectNode) JsonMapper.shared()
                .readTree("""
                {"population": {"people": %d, "deceased": 0},
                 "levels": [{"section": "include", "alone": {"yes": %d, "unsure": 0},
                             "remaining": {"yes": %d, "unsure": 0}}],
                 "eligible": {"yes": %d, "unsure": 0}, "has": {"yes": %d, "unsure": 0},
                 "list": {"yes": %d, "unsure": 0}}
                """.formatted(people, remaining, remaining, remaining, has, remaining - has));
    }

    private static ObjectNode sum(List<ObjectNode> practices) {
        int people = 0;
        int remaining = 0;
        int has = 0;
        for (JsonNode one : practices) {
            people += one.at("/population/people").asInt();
            remaining += one.at("/eligible/yes").asInt();
            has += one.at("/has/yes").asInt();
        }
        return levels(people, remaining, has);
    }

    @Test
    void a_small_number_is_hidden_with_what_tells_it() {
        List<ObjectNode> practices = List.of(levels(500, 100, 97), levels(500, 90, 60), levels(700, 300, 200));
        ObjectNode all = sum(practices);
        SmallNumbers.hide(BELOW, all, practices);
        assertThat(practices.getFirst().at("/list/yes").isNull()).isTrue();
        assertThat(practices.getFirst().at("/has/yes").isNull()).isTrue();
        assertThat(practices.getFirst().at("/eligible/yes").asInt()).isEqualTo(100);
        // Else the list of the first is what the others leave of the whole.
        assertThat(practices.get(1).at("/list/yes").isNull()).isTrue();
        assertThat(practices.get(2).at("/list/yes").asInt()).isEqualTo(100);
        assertThat(all.at("/list/yes").asInt()).isEqualTo(133);
    }

    @Test
    void few_who_fall_at_a_level_are_hidden_too() {
        List<ObjectNode> practices = List.of(levels(100, 98, 40));
        ObjectNode all = sum(practices);
        SmallNumbers.hide(BELOW, all, practices);
        for (ObjectNode one : List.of(all, practices.getFirst())) {
            assertThat(one.at("/levels/0/remaining/yes").isNull()).isTrue();
            assertThat(one.at("/levels/0/alone/yes").isNull()).isTrue();
            assertThat(one.at("/eligible/yes").isNull()).isTrue();
            assertThat(one.at("/population/people").asInt()).isEqualTo(100);
        }
    }

    /** Of whatever practices: no small number is shown, and what is hidden of one number never adds up to a small one. */
    @Test
    void nothing_small_is_told_by_what_is_left_of_the_whole() {
        Random random = new Random(4);
        for (int round = 0; round < 500; round++) {
            List<ObjectNode> practices = new ArrayList<>();
            for (int i = 1 + random.nextInt(5); i > 0; i--) {
                int people = random.nextInt(40);
                int remaining = random.nextInt(people + 1);
                practices.add(levels(people, remaining, random.nextInt(remaining + 1)));
            }
            List<ObjectNode> before =
                    practices.stream().map(ObjectNode::deepCopy).toList();
            ObjectNode all = sum(practices);
            SmallNumbers.hide(BELOW, all, practices);
            practices.forEach(SmallNumbersTest::requireNothingIsLeftToWorkOut);
            requireNothingIsLeftToWorkOut(all);
            for (String at : List.of("/list/yes", "/has/yes", "/eligible/yes", "/levels/0/alone/yes")) {
                int hiddenPeople = 0;
                int hidden = 0;
                for (int i = 0; i < practices.size(); i++) {
                    JsonNode shown = practices.get(i).at(at);
                    int number = before.get(i).at(at).asInt();
                    if (shown.isNull()) {
                        hidden++;
                        hiddenPeople += number;
                    } else {
                        assertThat(number).matches(one -> one == 0 || one >= BELOW);
                    }
                }
                if (hidden > 0 && !all.at(at).isNull()) {
                    assertThat(hidden).isGreaterThan(1);
                    assertThat(hiddenPeople).matches(one -> one == 0 || one >= BELOW);
                }
            }
        }
    }

    /** Whoever is eligible has it or is on the list: of the three, one alone is never hidden. */
    private static void requireNothingIsLeftToWorkOut(JsonNode levels) {
        boolean eligible = levels.at("/eligible/yes").isNull();
        boolean has = levels.at("/has/yes").isNull();
        assertThat(levels.at("/list/yes").isNull()).isEqualTo(has);
        assertThat(levels.at("/levels/0/remaining/yes").isNull()).isEqualTo(eligible);
        assertThat(has || !eligible).as(levels.toString()).isTrue();
    }
}
