package dipstick.core.state;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.criteria.CriteriaReader;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.records.RecordFields;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class AskedFieldsTest {
    private static CriteriaSet set(String include, String off) throws InvalidCriteria {
        String document = """
                {"format": "dipstick-criteria/1", "id": "x", "name": "x",
                 "termSets": [{"id": "k", "name": "k", "members": [{"code": "K1"}]}],
                 "rosters": [{"id": "r", "name": "r", "key": ["postcode"], "rows": []}],
                 "include": [{"id": "a", %s "test": %s}]}""".formatted(off, include);
        return CriteriaReader.read(
                List.of(CriteriaSource.parse("x", document)), Map.of(), RecordFields.KNOWN, ZoneOffset.UTC);
    }

    private static CriteriaSet set(String include) throws InvalidCriteria {
        return set(include, "");
    }

    @Test
    void a_field_of_people_is_asked_by_itself_by_an_age_or_by_the_key_of_a_roster() throws Exception {
        assertThat(AskedFields.ofPeople(set("{\"field\": \"sex\", \"in\": [\"female\"]}"), "sex"))
                .isTrue();
        assertThat(AskedFields.ofPeople(set("{\"field\": \"sex\", \"in\": [\"female\"]}"), "status"))
                .isFalse();
        assertThat(AskedFields.ofPeople(set("{\"not\": {\"all\": [{\"age\": {\"from\": 18}}]}}"), "birth_date"))
                .isTrue();
        assertThat(AskedFields.ofPeople(set("{\"roster\": \"r\"}"), "postcode")).isTrue();
        assertThat(AskedFields.ofPeople(set("{\"roster\": \"r\"}", "\"off\": true,"), "postcode"))
                .as("one that is switched off asks for nothing")
                .isFalse();
    }

    @Test
    void a_field_of_records_is_asked_where_such_records_are_looked_at() throws Exception {
        CriteriaSet latest = set("{\"latest\": {\"kinds\": [\"Result\"], \"terms\": [\"k\"]},"
                + " \"is\": [{\"field\": \"value\", \"above\": 6}]}");
        assertThat(AskedFields.ofRecords(latest, "result", "value")).isTrue();
        assertThat(AskedFields.ofRecords(latest, "result", "code")).isTrue();
        assertThat(AskedFields.ofRecords(latest, "result", "on")).isTrue();
        assertThat(AskedFields.ofRecords(latest, "result", "unit")).isFalse();
        assertThat(AskedFields.ofRecords(latest, "visit", "value")).isFalse();
        CriteriaSet anyDay = set("{\"events\": {\"window\": {\"any\": true}}}");
        assertThat(AskedFields.ofRecords(anyDay, "visit", "on")).isFalse();
        assertThat(AskedFields.ofRecords(anyDay, "visit", "code")).isFalse();
    }
}
