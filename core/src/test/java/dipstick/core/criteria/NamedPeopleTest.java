package dipstick.core.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class NamedPeopleTest {
    private static JsonNode json(String parts) {
        return JsonMapper.shared().readTree("{" + parts.replace('\'', '"') + "}");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "'rosters': [{'id': 'a', 'rows': []}, {'id': 'b', 'rows': [['Marl']]}]",
                "'include': [{'id': 'a', 'test': {'field': 'id', 'in': ['7']}}]",
                "'exclude': [{'id': 'a', 'test': {'any': [{'age': {'from': 1}}, {'not': {'field': 'id', 'in': ['7']}}]}}]",
                "'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test': {'atLeast': 1, 'of': [{'field': 'id', 'in': ['7']}]}}]}",
                "'bands': [{'name': 'a', 'when': {'field': 'id', 'in': ['7']}}]",
            })
    void are_in_a_roster_that_has_rows_and_in_a_test_of_a_number(String parts) {
        assertThat(NamedPeople.areIn(json(parts))).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "'id': 'id'",
                "'rosters': [{'id': 'a', 'key': ['id'], 'rows': []}]",
                "'include': [{'id': 'id', 'test': {'field': 'sex', 'in': ['id']}}]",
                "'include': [{'id': 'a', 'test': {'events': {'where': [{'field': 'id', 'in': ['7']}]}}}]",
                "'include': [{'id': 'a', 'test': {'latest': {}, 'is': [{'field': 'id', 'in': ['7']}]}}]",
            })
    void are_in_no_test_of_a_records_own_number_nor_where_the_word_stands_for_something_else(String parts) {
        assertThat(NamedPeople.areIn(json(parts))).isFalse();
    }

    @Test
    void are_told_by_each_test_that_names_them() {
        JsonNode document = json("""
                'rosters': [{'id': 'a', 'field': 'id', 'rows': []}],
                'include': [{'id': 'a', 'test': {'field': 'id', 'in': ['7']}}],
                'exclude': [{'id': 'b', 'test': {'all': [{'field': 'id', 'in': ['8']}, {'field': 'sex', 'in': ['9']}]}}]""");
        assertThat(NamedPeople.tests(document).map(test -> test.at("/in/0").asString()))
                .containsExactly("7", "8");
    }
}
