package dipstick.server.outreach.excused;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class ExcusalTest {
    private static final LocalDate FROM = LocalDate.of(2026, 11, 1);

    private static Excusal excusal(String set, String until, boolean ended) {
        return new Excusal(1, 2, set, "p", "abroad", FROM, until, "tam", ended);
    }

    @Test
    void it_holds_up_to_and_on_its_last_day_and_then_ends_by_itself() {
        Excusal excusal = excusal("kidney", "2026-11-20", false);
        assertThat(excusal.holdsOn(LocalDate.of(2026, 11, 20))).isTrue();
        assertThat(excusal.holdsOn(LocalDate.of(2026, 11, 21))).isFalse();
    }

    @Test
    void for_good_is_for_good_until_somebody_is_brought_back() {
        assertThat(excusal("kidney", "", false).holdsOn(LocalDate.of(2099, 1, 1)))
                .isTrue();
        assertThat(excusal("kidney", "", true).holdsOn(FROM)).isFalse();
    }

    @Test
    void it_is_of_one_list_or_of_all() {
        assertThat(excusal("kidney", "", false).holds("kidney", FROM)).isTrue();
        assertThat(excusal("kidney", "", false).holds("hearing", FROM)).isFalse();
        assertThat(excusal("", "", false).holds("hearing", FROM)).isTrue();
    }

    @Test
    void it_says_until_when_why_and_who() {
        assertThat(excusal("kidney", "2026-11-20", false).words("Tam")).isEqualTo("until 20 Nov 2026: abroad (Tam)");
        assertThat(excusal("", "", false).words("Tam")).isEqualTo("From all lists for good: abroad (Tam)");
    }
}
