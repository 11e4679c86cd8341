package dipstick.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ReadingProgressTest {
    private long now;

    @Test
    void it_is_told_after_each_million_how_long_the_rest_takes() {
        List<String> told = told(4_500_000, Duration.ofSeconds(50));

        assertThat(told)
                .containsExactly(
                        "1 of 4 million records are read, about 4 minutes left",
                        "2 of 4 million records are read, about 3 minutes left",
                        "3 of 4 million records are read, about 2 minutes left",
                        "4 of 4 million records are read, about a minute left");
    }

    @Test
    void little_is_read_without_a_word() {
        assertThat(told(1_000_000, Duration.ofSeconds(90))).isEmpty();
        assertThat(told(0, Duration.ZERO)).isEmpty();
    }

    private List<String> told(long total, Duration aMillion) {
        ReadingProgress progress = new ReadingProgress(total, () -> now);
        List<String> told = new ArrayList<>();
        for (long read = 1; read <= total; read++) {
            now = aMillion.toNanos() * read / 1_000_000;
            progress.next().ifPresent(told::add);
        }
        return told;
    }
}
