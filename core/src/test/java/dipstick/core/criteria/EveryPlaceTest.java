package dipstick.core.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.population.Population;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.core.JsonPointer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A document with a mistake in one place, for each of its places: it is pointed at there, and nothing else comes of it. */
class EveryPlaceTest {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final String NONSENSE = "nonsense";
    private static final Population RECORDS =
            Records.of("id,family_name,birth_date,sex,site,frailty:number\n", "person_id,kind\n");

    /** One of each kind of thing that a document can hold. */
    private static final String WHOLE = """
            {"format": "dipstick-criteria/1", "id": "whole", "name": "Whole", "purpose": "All of it.",
             "population": "everyone",
             "dials": [
               {"name": "every", "label": "Every", "type": "period", "default": "P12M", "choices": ["P6M", "P12M"]},
               {"name": "least", "label": "Least", "type": "number", "default": 3},
               {"name": "places", "label": "Places", "type": "texts", "default": ["Mill Lane"], "choicesFrom": "site"}],
             "termSets": [{"id": "check", "name": "Check", "members": [
               {"system": "local", "code": "HC1"}, {"text": "check", "match": "contains"}, {"keyword": "check"}]}],
             "rosters": [{"id": "walk", "name": "Walk", "key": ["family_name", "birth_date"],
               "rows": [["Marl", "1950-02-03"], [null, "1951"]]}],
             "include": [
               {"id": "age", "label": "Age", "test": {"age": {"from": 18, "through": 90, "unit": "years", "on": "endOfYear"}}},
               {"id": "site", "unsure": "meets", "test": {"field": "site", "in": {"dial": "places"}}},
               {"id": "frail", "off": true, "test": {"field": "frailty", "atLeast": {"dial": "least"}, "below": 9}},
               {"id": "groups", "test": {"any": [{"all": [{"not": {"field": "sex", "missing": true}}]},
                 {"atLeast": 1, "of": [{"field": "birth_date", "from": "1950", "through": "1960-05"}]}]}},
               {"id": "latest", "test": {"latest": {"kinds": ["result"], "terms": ["check"], "window": {"ever": true}},
                 "is": [{"field": "value", "above": 5.5, "unit": "mmol/L"}]}},
               {"id": "earliest", "test": {"earliest": {"window": {"next": "P1M"}}, "is": []}},
               {"id": "after", "test": {"after": {"window": {"ago": ["P2Y", "P1Y"]}}, "pick": "each",
                 "expect": {"window": {"any": true}}, "within": "P90D", "notBefore": "P1D",
                 "count": {"atLeast": 2}, "per": "day"}}],
             "exclude": [
               {"id": "member", "unsure": "fails", "test": {"member": "other", "part": "eligible"}},
               {"id": "walk", "test": {"roster": "walk"}}],
             "shouldHave": {"rule": {"atLeast": 1}, "of": [
               {"id": "check", "test": {"events": {"kinds": ["visit"], "active": true,
                 "where": [{"field": "status", "notIn": ["planned"]}, {"field": "on", "from": "2020-01-01"}],
                 "window": {"last": {"dial": "every"}}}, "count": {"atLeast": 1}, "per": "record"}},
               {"id": "baby", "test": {"events": {"window": {"atAge": {"from": 0, "through": 23, "unit": "months"}}},
                 "count": {"exactly": 2}}},
               {"id": "year", "test": {"events": {"window": {"sinceStartOf": "year"}}, "count": {"atMost": 3}}},
               {"id": "dates", "test": {"events": {"window": {"dates": ["2026-01-01", null]}}, "count": {"none": true}}}]},
             "bands": [{"name": "Never", "when": {"overdue": "never"}},
               {"name": "Late", "when": {"overdue": {"atLeast": "P6M"}}},
               {"name": "Old", "when": {"age": {"from": 80}}}],
             "show": ["site", {"criterion": "check", "column": "latest"}],
             "order": [{"by": "due_on", "descending": true}, {"by": {"criterion": "check", "column": "count"}}],
             "top": 50}""";

    private static final CriteriaSource OTHER = Records.document("other", "'include': []");

    private static JsonNode whole() {
        return JSON.readTree(WHOLE);
    }

    static Stream<String> places() {
        return within(whole(), "");
    }

    static Stream<String> objects() {
        return places().filter(place -> whole().at(place).isObject());
    }

    private static Stream<String> within(JsonNode node, String here) {
        Stream<String> inner = node.isArray()
                ? Stream.iterate(0, i -> i < node.size(), i -> i + 1).flatMap(i -> within(node.get(i), here + "/" + i))
                : node.propertyStream().flatMap(part -> within(part.getValue(), here + "/" + part.getKey()));
        return Stream.concat(Stream.of(here), inner);
    }

    private static List<String> pointers(JsonNode document) {
        return Records.pointers(RECORDS, new CriteriaSource("whole", document), OTHER);
    }

    @Test
    void the_whole_is_right() {
        assertThat(pointers(whole())).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("objects")
    void a_key_that_nobody_knows_is_pointed_at(String place) {
        JsonNode document = whole();
        ((ObjectNode) document.at(place)).put(NONSENSE, 1);
        assertThat(pointers(document)).containsExactly(place + "/" + NONSENSE);
    }

    @ParameterizedTest
    @MethodSource("places")
    void what_has_no_shape_that_can_stand_there_is_pointed_at(String place) {
        for (String wrong : List.of("[[[]]]", "{\"nonsense\": {}}")) {
            assertThat(pointers(with(place, wrong)))
                    .as(wrong)
                    .isNotEmpty()
                    .anyMatch(pointer -> pointer.startsWith(place));
        }
    }

    @ParameterizedTest
    @MethodSource("places")
    void whatever_stands_there_is_read_or_pointed_at(String place) {
        for (String other :
                List.of("null", "true", "-1", "0", "1.5", "1e400", "\"\"", "\" \"", "\"P1D\"", "[]", "{}")) {
            assertThat(pointers(with(place, other)))
                    .as(other)
                    .allMatch(pointer -> !whole().at(
                                    JsonPointer.compile(pointer).head() == null
                                            ? ""
                                            : JsonPointer.compile(pointer)
                                                    .head()
                                                    .toString())
                            .isMissingNode());
        }
    }

    private static JsonNode with(String place, String written) {
        JsonNode document = whole();
        JsonNode other = JSON.readTree(written);
        if (place.isEmpty()) {
            return other;
        }
        JsonPointer at = JsonPointer.compile(place);
        switch (document.at(at.head())) {
            case ObjectNode object -> object.set(at.last().getMatchingProperty(), other);
            case ArrayNode array -> array.set(at.last().getMatchingIndex(), other);
            default -> throw new IllegalArgumentException(place);
        }
        return document;
    }
}
