package dipstick.core.twice;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.population.Population;
import dipstick.core.twice.LikelyPair.Alike;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LikelyPairsTest {
    private static final String HEADER = "id,family_name,given_name,birth_date,phone,mobile\n";

    private static List<String> pairs(String rows) {
        Population population = Records.of(HEADER + rows, "id,person_id,kind,on\n");
        return LikelyPairs.of(population).stream()
                .map(pair -> population.idOf(pair.one()) + "+" + population.idOf(pair.other()) + " "
                        + pair.alike().stream().sorted().map(Alike::name).collect(Collectors.joining(",")))
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "Marl,Ada,Marl,Ada",
        "Marl,Ada,MARL,ada",
        "Márl,Ada,Marl,Ada",
        "Placewell,Jon,Placewell,John",
        "Marl-Hook,Ada,Marl,Ada",
        "Marl,Ada,Ada,Marl",
        "Marl,A.,Marl,Ada",
        "Marl,Ada Rose,Marl,Rose",
        "Мерл,Ада,мерл,Ада",
        "Quillfeather,Ada,Quilfeather,Ada",
        "Oak,Carl,Oak,Karl",
    })
    void one_born_on_the_same_day_with_nearly_the_same_name_may_be_the_other(
            String family, String given, String otherFamily, String otherGiven) {
        assertThat(pairs("1," + family + "," + given + ",1961-05-17,,\n2," + otherFamily + "," + otherGiven
                        + ",1961-05-17,,\n"))
                .containsExactly("1+2 NAME_AND_BIRTH");
    }

    @ParameterizedTest
    @CsvSource({
        "Marl,Ada,1961-05-17,Marl,Ada,1961-05-18",
        "Marl,Ada,1961-05-17,Marl,Tom,1961-05-17",
        "Marl,Ada,1961-05-17,Hook,Ada,1961-05-17",
        "Marl,Ada,1961-05,Marl,Ada,1961-05",
        "Marl,Ada,,Marl,Ada,",
        ",,1961-05-17,,,1961-05-17",
        "Marl,,1961-05-17,Marl,,1961-05-17",
    })
    void others_are_two(String family, String given, String born, String otherFamily, String otherGiven, String then) {
        assertThat(pairs("1," + row(family, given, born) + "\n2," + row(otherFamily, otherGiven, then) + "\n"))
                .isEmpty();
    }

    private static String row(String family, String given, String born) {
        return String.join(",", blank(family), blank(given), blank(born), "", "");
    }

    private static String blank(String cell) {
        return cell == null ? "" : cell;
    }

    @Test
    void a_telephone_number_in_common_is_enough_with_the_birth_date_however_it_is_written() {
        assertThat(pairs("""
                1,Marl,Ada,1961-05-17,+44 (0)7700 900123,
                2,Hook,Beate,1961-05-17,,07700-900123
                3,Oak,Carl,1961-05-18,,07700 900123
                4,Ash,Dora,1961-05-17,123,
                5,Elm,Emil,1961-05-17,123,
                """)).containsExactly("1+2 PHONE_AND_BIRTH");
    }

    @Test
    void zeros_at_the_front_do_not_make_another_number_unless_the_birth_dates_do() {
        assertThat(pairs("""
                00123,Marl,Ada,1961-05-17,,
                123,,,,,
                00124,Oak,Carl,1961-05-18,,
                124,Ash,Dora,1970-05-18,,
                0,Elm,Emil,,,
                000,Fir,Fritz,,,
                """)).containsExactly("00123+123 NUMBER", "0+000 NUMBER");
    }

    @Test
    void the_pair_of_whom_most_speaks_for_it_comes_first_and_three_are_three_pairs() {
        assertThat(pairs("""
                a,Oak,Carl,1980-01-01,,
                b,Oak,Karl,1980-01-01,,
                c,Marl,Ada,1961-05-17,0170 1234567,
                d,Marl,Tom,1961-05-17,0170 1234567,
                e,Marl,Ada,1961-05-17,0170 1234567,
                """))
                .containsExactly(
                        "c+e NAME_AND_BIRTH,PHONE_AND_BIRTH",
                        "a+b NAME_AND_BIRTH",
                        "c+d PHONE_AND_BIRTH",
                        "d+e PHONE_AND_BIRTH");
    }
}
