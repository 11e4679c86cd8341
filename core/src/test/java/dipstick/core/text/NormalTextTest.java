package dipstick.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NormalTextTest {
    @ParameterizedTest
    @CsvSource(
            value = {
                "' Mill   LANE '|mill lane",
                "'Ｍａｒｌ'|marl",
                "'Ve\u0301l'|v\u00e9l",
                "'ΜΕΛΚΆΡΟΣ'|μελκάρος",
                "'a\u00a0\u2003b'|a b",
                "'a\u2028b'|a b",
                "' \t '|''",
                "'İ'|i\u0307",
            },
            delimiter = '|')
    void is_composed_lower_case_and_gathered(String written, String compared) {
        assertThat(NormalText.of(written)).isEqualTo(compared);
    }

    @Test
    void an_identifier_is_trimmed_only() {
        assertThat(NormalText.identifier(" P 2\u00a0\t")).isEqualTo("P 2");
    }

    @ParameterizedTest
    @CsvSource({"1e1, 10", "4.0, 4", "007, 7", "-0.5, -0.5", "-0, 0", "' 12 ', 12"})
    void numbers_are_written_as_in_json(String written, double number) {
        assertThat(WrittenNumber.parse(written)).hasValue(number);
    }

    @ParameterizedTest
    @ValueSource(strings = {"+1", "1,5", ".5", "5.", "1e400", "0x10", "NaN", ""})
    void what_is_no_such_number_is_nothing(String written) {
        assertThat(WrittenNumber.parse(written)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"TRUE, true", "Yes, true", "1, true", "no, false", "0, false", "False, false"})
    void flags_have_three_spellings_each(String written, boolean flag) {
        assertThat(WrittenFlag.parse(written)).contains(flag);
    }

    @Test
    void no_other_word_is_a_flag() {
        assertThat(WrittenFlag.parse("maybe")).isEmpty();
    }
}
