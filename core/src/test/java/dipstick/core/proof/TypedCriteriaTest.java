package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.population.Population;
import dipstick.core.typed.Mistake;
import dipstick.core.typed.SetText;
import dipstick.core.typed.SetTextReader;
import dipstick.core.typed.TypedCriteria;
import dipstick.core.typed.Vocabulary;
import dipstick.core.wording.SentencePrinter;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Whatever is printed reads back as the same test, and as the same set. */
class TypedCriteriaTest {
    private static final int POPULATIONS = 150;
    private static final List<Vocabulary.Named> SETS =
            List.of(new Vocabulary.Named("middle", "Set middle"), new Vocabulary.Named("inner", "Set inner"));

    @Test
    void a_printed_sentence_reads_back_as_the_same_test() throws Mistake {
        for (int seed = 1; seed <= POPULATIONS; seed++) {
            RandomCase one = RandomCase.of(seed, 4);
            RandomTests tests = new RandomTests(one.random(), one.maker(), one.asOf(), List.of(), List.of());
            JsonNode names = JsonMapper.shared().readTree("{\"termSets\": " + RandomDocuments.TERM_SETS + "}");
            Vocabulary vocabulary = Vocabulary.of(names, one.population().fields(), List.of("fitting"), List.of());
            for (int i = 0; i < 25; i++) {
                ObjectNode json = tests.test(3);
                dipstick.core.criteria.Test test = read(one.population(), json);
                for (String printed : List.of(
                        new SentencePrinter(one.asOf()).print(test).text(),
                        SentencePrinter.undated(test, json, Set.of()).text())) {
                    assertThat(read(one.population(), TypedCriteria.read(printed, vocabulary)))
                            .as("seed %d: %s", seed, printed)
                            .isEqualTo(test);
                }
            }
        }
    }

    @Test
    void a_printed_set_reads_back_as_the_same_set() {
        for (int seed = 1; seed <= POPULATIONS; seed++) {
            RandomCase one = RandomCase.of(seed, 4);
            List<ObjectNode> documents = one.documents().make();
            readBack(seed, one, documents, documents.getFirst());
        }
    }

    @Test
    void a_set_with_odd_names_reads_back_as_the_same_set() {
        for (int seed = 1; seed <= 4 * POPULATIONS; seed++) {
            RandomCase one = RandomCase.of(seed, 4);
            List<ObjectNode> documents = one.documents().make();
            ObjectNode outer = new OddNames(one.random()).give(documents.getFirst());
            ObjectNode again = readBack(seed, one, documents, outer);
            assertThat(again.path("name")).as("seed %d", seed).isEqualTo(outer.path("name"));
            assertThat(again.path("purpose")).as("seed %d", seed).isEqualTo(outer.path("purpose"));
            assertThat(again.findValues("label"))
                    .as("seed %d", seed)
                    .containsExactlyInAnyOrderElementsOf(outer.findValues("label"));
        }
    }

    /** What the printed text of a set reads back as, with no mistake and as the same set. */
    private static ObjectNode readBack(int seed, RandomCase one, List<ObjectNode> documents, ObjectNode outer) {
        CriteriaSet set = Records.sets(one.population(), documents);
        String text = SetText.of(outer, set, vocabulary(outer, one.population()).sharedNames());
        SetTextReader.Result back = SetTextReader.read(text, outer, document -> vocabulary(document, one.population()));
        assertThat(back.mistakes())
                .as("seed %d: %s", seed, text)
                .extracting(Mistake::said)
                .isEmpty();
        ObjectNode again = back.document().orElseThrow();
        assertThat(Records.sets(one.population(), List.of(again, documents.get(1), documents.get(2))))
                .as("seed %d: %s", seed, text)
                .isEqualTo(set);
        return again;
    }

    @Test
    void a_criterion_with_odd_names_is_typed_as_it_is_printed() throws Mistake {
        for (int seed = 1; seed <= 4 * POPULATIONS; seed++) {
            RandomCase one = RandomCase.of(seed, 4);
            List<ObjectNode> documents = one.documents().make();
            ObjectNode outer = new OddNames(one.random()).give(documents.getFirst());
            CriteriaSet set = Records.sets(one.population(), documents);
            Vocabulary vocabulary = vocabulary(outer, one.population());
            for (int i = 0; i < set.include().size(); i++) {
                JsonNode json = outer.path("include").path(i).path("test");
                String printed = SentencePrinter.undated(set.include().get(i).test(), json, vocabulary.sharedNames())
                        .text();
                ObjectNode again = outer.deepCopy();
                ((ObjectNode) again.path("include").path(i)).set("test", TypedCriteria.read(printed, vocabulary));
                assertThat(Records.sets(one.population(), List.of(again, documents.get(1), documents.get(2))))
                        .as("seed %d: %s", seed, printed)
                        .isEqualTo(set);
            }
        }
    }

    private static Vocabulary vocabulary(JsonNode document, Population population) {
        return Vocabulary.of(document, population.fields(), List.of(), SETS);
    }

    private static dipstick.core.criteria.Test read(Population population, JsonNode test) {
        return Records.set(
                        population,
                        "\"termSets\": " + RandomDocuments.TERM_SETS + ", \"include\": [{\"id\": \"a\", \"test\": "
                                + test + "}]")
                .include()
                .getFirst()
                .test();
    }
}
