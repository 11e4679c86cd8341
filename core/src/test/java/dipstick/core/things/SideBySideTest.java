package dipstick.core.things;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.core.things.Pairing.Compared;
import dipstick.core.things.Pairing.Pair;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SideBySideTest {
    private static Things things(String header, String... rows) {
        return new Things(
                List.of(header.split("\\|")),
                List.of(rows).stream().map(row -> List.of(row.split("\\|", -1))).toList());
    }

    private static Compared compared(String here, String there, String split) {
        return new Compared(new Pair(here, there), Optional.of(split).filter(one -> !one.isEmpty()));
    }

    @Test
    void each_row_is_in_one_pile_and_cells_are_compared_as_text_and_numbers_are() {
        Things yesterday = things(
                "Number|Name|Weight",
                "1|Quillfeather|4.10",
                "2|Marl|5",
                "3|Żółć |6",
                "007|Bond|1",
                "|nobody|2",
                "8|twice|1",
                "8|twice|2");
        Things today = things(
                "NUMBER|Full name|weight",
                "1|quillfeather|4.1",
                "2|Marl|5.5",
                "4|New|1",
                "3|ŻÓŁĆ|6",
                "7|Other|1",
                "8|twice|1");
        SideBySide laid = SideBySide.of(
                yesterday,
                today,
                new Pairing(
                        List.of(new Pair("number", "number")),
                        List.of(compared("Name", "Full name", ""), compared("Weight", "weight", ""))));
        assertThat(laid.onlyHere()).containsExactly(3);
        assertThat(laid.onlyThere()).containsExactly(2, 4);
        assertThat(laid.same()).containsExactly(new SideBySide.Pair(0, 0), new SideBySide.Pair(2, 3));
        assertThat(laid.differing())
                .containsExactly(new SideBySide.Differing(
                        new SideBySide.Pair(1, 1),
                        List.of(new SideBySide.Difference(1, List.of("5"), List.of("5.5")))));
        assertThat(laid.several()).containsExactly(new SideBySide.Several(List.of(5, 6), List.of(5)));
        assertThat(laid.unknownHere()).containsExactly(4);
        assertThat(laid.unknownThere()).isEmpty();
    }

    @Test
    void several_things_in_a_cell_are_held_beside_each_other_one_by_one() {
        Things yesterday = things("id|allergies", "1|oak, ash ,elm", "2|oak", "3|");
        Things today = things("id|allergies", "1|elm,Oak,,birch", "2| OAK ", "3|yew");
        SideBySide laid = SideBySide.of(
                yesterday,
                today,
                new Pairing(List.of(new Pair("id", "id")), List.of(compared("allergies", "allergies", ","))));
        assertThat(laid.same()).containsExactly(new SideBySide.Pair(1, 1));
        assertThat(laid.differing().stream().flatMap(one -> one.differences().stream()))
                .containsExactly(
                        new SideBySide.Difference(0, List.of("ash"), List.of("birch")),
                        new SideBySide.Difference(0, List.of(), List.of("yew")));
    }

    @Test
    void a_key_of_several_columns_is_compared_cell_by_cell() {
        Things one = things("a|b", "x|yz", "xy|z", "|z", "|");
        Things other = things("a|b", "xy|z", "|z");
        SideBySide laid =
                SideBySide.of(one, other, new Pairing(List.of(new Pair("a", "a"), new Pair("b", "b")), List.of()));
        assertThat(laid.onlyHere()).containsExactly(0);
        assertThat(laid.same()).hasSize(2);
        assertThat(laid.unknownHere()).containsExactly(3);
        assertThatThrownBy(() -> SideBySide.of(one, other, new Pairing(List.of(new Pair("a", "c")), List.of())))
                .hasMessage("There is no column “c”.");
        assertThatThrownBy(() -> SideBySide.of(one, other, new Pairing(List.of(), List.of())))
                .hasMessage("A key has at least one column.");
    }

    /** Whatever the lists, each row of both stands once, and two that are paired have the same key. */
    @Test
    void no_row_is_lost_and_none_stands_twice() {
        Random random = new Random(71);
        for (int round = 0; round < 200; round++) {
            Things here = anyThings(random);
            Things there = anyThings(random);
            SideBySide laid = SideBySide.of(
                    here,
                    there,
                    new Pairing(
                            List.of(new Pair("k", "k")), List.of(compared("v", "v", random.nextBoolean() ? "," : ""))));
            List<Integer> ofHere = new ArrayList<>(laid.onlyHere());
            List<Integer> ofThere = new ArrayList<>(laid.onlyThere());
            ofHere.addAll(laid.unknownHere());
            ofThere.addAll(laid.unknownThere());
            laid.several().forEach(several -> {
                ofHere.addAll(several.here());
                ofThere.addAll(several.there());
            });
            List<SideBySide.Pair> pairs = new ArrayList<>(laid.same());
            laid.differing().forEach(one -> pairs.add(one.rows()));
            pairs.forEach(pair -> {
                ofHere.add(pair.here());
                ofThere.add(pair.there());
                assertThat(here.rows().get(pair.here()).getFirst())
                        .isEqualToIgnoringCase(there.rows().get(pair.there()).getFirst());
            });
            assertEachOnce(ofHere, here.rows().size());
            assertEachOnce(ofThere, there.rows().size());
        }
    }

    private static void assertEachOnce(List<Integer> rows, int all) {
        BitSet seen = new BitSet();
        rows.forEach(seen::set);
        assertThat(rows).hasSize(all);
        assertThat(seen.cardinality()).isEqualTo(all);
    }

    private static Things anyThings(Random random) {
        List<List<String>> rows = new ArrayList<>();
        int size = random.nextInt(20);
        for (int row = 0; row < size; row++) {
            String key = random.nextInt(6) == 0 ? " " : (random.nextBoolean() ? "k" : "K") + random.nextInt(15);
            rows.add(List.of(key, random.nextInt(3) + (random.nextBoolean() ? "," + random.nextInt(3) : "")));
        }
        return new Things(List.of("k", "v"), rows);
    }
}
