package dipstick.core.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.population.Population;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What says a lack is turned to what is meant, in the document as in what is read of it. */
class LackTest {
    private static final Population RECORDS = Records.of("id\np1\n", "person_id,kind\np1,visit\n");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'events': {'kinds': ['result']}, 'count': {'none': true}} | {'events': {'kinds': ['result']}}",
                "{'events': {'kinds': ['result']}, 'count': {'atMost': 0}, 'per': 'day'} | {'events': {'kinds': ['result']}, 'per': 'day'}",
                "{'events': {'kinds': ['result']}, 'count': {'exactly': 0}} | {'events': {'kinds': ['result']}}",
                "{'not': {'events': {'kinds': ['result']}}} | {'events': {'kinds': ['result']}}",
                "{'not': {'latest': {'kinds': ['result']}, 'is': []}} | {'latest': {'kinds': ['result']}, 'is': []}",
                "{'after': {'kinds': ['visit']}, 'expect': {}, 'within': 'P90D', 'count': {'none': true}}"
                        + " | {'after': {'kinds': ['visit']}, 'expect': {}, 'within': 'P90D'}",
                "{'any': [{'events': {}, 'count': {'none': true}}, {'not': {'events': {'active': true}}}]}"
                        + " | {'all': [{'events': {}}, {'events': {'active': true}}]}",
                "{'all': [{'all': [{'events': {}, 'count': {'none': true}}]}]} | {'any': [{'any': [{'events': {}}]}]}",
                "{'atLeast': 2, 'of': [{'events': {}, 'count': {'none': true}}, {'field': 'phone', 'missing': true}, {'not': {'events': {}}}]}"
                        + " | {'atLeast': 2, 'of': [{'events': {}}, {'field': 'phone', 'missing': false}, {'events': {}}]}",
                "{'field': 'sex', 'missing': true} | {'field': 'sex', 'missing': false}",
                "{'not': {'field': 'sex', 'missing': false}} | {'field': 'sex', 'missing': false}",
            })
    void a_lack_is_turned(String lack, String meant) {
        JsonNode written = json(lack);
        Optional<ObjectNode> turned = Lack.turned(written, read(written));
        assertThat(turned.map(JsonNode.class::cast)).contains(json(meant));
        assertThat(Lack.turned(read(written))).contains(read(turned.orElseThrow()));
        assertThat(Lack.turned(read(turned.orElseThrow()))).as("once is enough").isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'events': {'kinds': ['result']}}",
                "{'events': {}, 'count': {'atMost': 2}}",
                "{'events': {}, 'count': {'exactly': 1}}",
                "{'not': {'age': {'from': 18}}}",
                "{'not': {'events': {}, 'count': {'atMost': 2}}}",
                "{'not': {'not': {'events': {}}}}",
                "{'all': []}",
                "{'all': [{'events': {}, 'count': {'none': true}}, {'age': {'from': 18}}]}",
                "{'not': {'events': {}, 'count': {'atLeast': 2}}}",
                "{'not': {'latest': {}, 'is': [{'field': 'value', 'above': 150}]}}",
                "{'field': 'sex', 'missing': false}",
                "{'field': 'sex', 'notIn': ['female']}",
            })
    void what_says_none_stays(String test) {
        assertThat(Lack.turned(read(json(test)))).isEmpty();
        assertThat(Lack.turned(json(test), read(json(test)))).isEmpty();
    }

    @Test
    void a_dial_stays_where_it_stands() {
        JsonNode written = json("{'events': {'window': {'last': {'dial': 'every'}}}, 'count': {'none': true}}");
        assertThat(Lack.turned(written, read(json("{'events': {}, 'count': {'none': true}}")))
                        .orElseThrow()
                        .at("/events/window/last/dial")
                        .asString())
                .isEqualTo("every");
    }

    private static dipstick.core.criteria.Test read(JsonNode test) {
        return Records.set(RECORDS, "\"include\": [{\"id\": \"a\", \"test\": " + test + "}]")
                .include()
                .getFirst()
                .test();
    }

    private static JsonNode json(String text) {
        return JsonMapper.shared().readTree(text.replace('\'', '"'));
    }
}
