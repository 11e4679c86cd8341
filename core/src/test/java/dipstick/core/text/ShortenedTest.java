package dipstick.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class ShortenedTest {
    @Test
    void text_that_has_room_stays_and_longer_text_is_cut() {
        assertThat(Shortened.to(4, "ears")).isEqualTo("ears");
        assertThat(Shortened.to(3, "ears")).isEqualTo("ear");
        assertThat(Shortened.to(0, "ears")).isEmpty();
        assertThat(Shortened.toldSo(4, "ears")).isEqualTo("ears");
        assertThat(Shortened.toldSo(6, "ears due")).isEqualTo("ears…");
    }

    @Test
    void a_character_of_two_units_stays_whole_or_goes() {
        String ears = "a👂b";
        assertThat(Shortened.to(1, ears)).isEqualTo("a");
        assertThat(Shortened.to(2, ears)).isEqualTo("a");
        assertThat(Shortened.to(3, ears)).isEqualTo("a👂");
        assertThat(Shortened.toldSo(3, ears)).isEqualTo("a…");
    }
}
