package dipstick.server.outreach.entries;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class EntryMapperTest {
    @Test
    void what_is_open_in_the_database_is_what_is_open_in_the_code() {
        String open = Arrays.stream(Entry.State.values())
                .filter(Entry.State::isOpen)
                .map(state -> "'" + state + "'")
                .collect(Collectors.joining(", "));
        assertThat(EntryMapper.OPEN).isEqualTo("state IN (" + open + ")");
    }
}
