package dipstick.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.records.Fields;
import dipstick.server.WrittenFile;
import java.util.List;
import org.junit.jupiter.api.Test;

class KnownFieldsTest {
    private record Known(List<String> person, List<String> event) {}

    /** Written by {@code -Dfields.write=true}. */
    @Test
    void pages_have_the_fields_that_are_known_by_name() throws Exception {
        WrittenFile.sameAs(
                "web/src/fields.json", new Known(Fields.PERSON.names(), Fields.EVENT.names()), "fields.write");
    }

    @Test
    void a_day_takes_two_columns_and_what_has_none_is_in_one_more() {
        assertThat(KnownColumns.PERSON.names())
                .containsSubsequence("id", "birth_first", "birth_last", "deceased_first", "deceased_last")
                .endsWith("custom");
        assertThat(KnownColumns.EVENT.names())
                .containsSubsequence(
                        "on_first", "on_last", "until_first", "until_last", "event_value", "recorded_first")
                .endsWith("custom");
    }
}
