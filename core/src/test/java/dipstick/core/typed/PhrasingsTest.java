package dipstick.core.typed;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.RecordFields;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;

/** Lines as people of a practice say them, each with all that it may mean; a question mark where it is refused. */
class PhrasingsTest {
    private static final double MOSTLY = 0.95;

    private static final Map<String, List<String>> VALUES = Map.of(
            "sex", List.of("female", "male"),
            "status", List.of("active", "moved away", "deceased"),
            "site", List.of("Mill Lane", "Harbour Row", "Mill End", "Up on the hill"),
            "provider", List.of("Dr Sandlake", "Nurse Cindermoor", "Dr Tolliver-Reed"),
            "language", List.of("en", "pt"),
            "city", List.of("Otterbrook", "Harbour Row"),
            "contact_by", List.of("phone", "letter"));

    private static final Vocabulary WORDS = Vocabulary.of(
                    JsonMapper.shared().readTree("""
                            {"termSets": [{"id": "hc", "name": "hearing check"}, {"id": "bp", "name": "Blood pressure"},
                                {"id": "asthma", "name": "asthma"}, {"id": "review", "name": "asthma review"},
                                {"id": "flu", "name": "flu"}, {"id": "lithium", "name": "Lithium"},
                                {"id": "level", "name": "lithium level"}, {"id": "fracture", "name": "fracture"},
                                {"id": "scan", "name": "bone density scan"}],
                             "rosters": [{"id": "r", "name": "No letters, please"}]}"""),
                    RecordFields.withCustom(
                            List.of(
                                    new Field("wears_aid", FieldType.FLAG),
                                    new Field("frailty", FieldType.NUMBER),
                                    new Field("registered_on", FieldType.DATE)),
                            List.of()),
                    List.of("fitting", "lab report"),
                    List.of(new Vocabulary.Named("set-1", "Asthma review due")))
            .with(new OnRecord(LocalDate.of(2026, 11, 26), true, field -> VALUES.getOrDefault(field, List.of())));

    record Phrasing(String typed, List<String> means) {
        @Override
        public String toString() {
            return typed;
        }
    }

    @ParameterizedTest
    @MethodSource("phrasings")
    void what_people_say_means_what_it_means(Phrasing said) {
        assertThat(TypedCriteria.meanings(said.typed(), WORDS)).isEqualTo(said.means());
    }

    @Test
    void most_of_them_are_understood() throws IOException {
        List<Phrasing> all = phrasings().toList();
        assertThat(all).hasSizeGreaterThan(400);
        assertThat(all.stream().filter(one -> !one.means().isEmpty()).count())
                .isGreaterThanOrEqualTo(Math.round(MOSTLY * all.size()));
    }

    @ParameterizedTest
    @MethodSource("mends")
    void what_is_not_understood_is_mended(Phrasing said) {
        assertThat(TypedCriteria.meanings(said.typed(), WORDS)).isEmpty();
        assertThat(TypedCriteria.mends(said.typed(), WORDS).lines()).isEqualTo(said.means());
    }

    @Test
    void the_beginning_that_was_understood_is_told_and_names_that_are_none_are_found() {
        assertThat(TypedCriteria.mends("aged 65 or over and pregnant", WORDS).understood())
                .contains("aged 65 or over");
        assertThat(TypedCriteria.mends("latest serum potassium above 5.5 at Mill Lane", WORDS)
                        .unknown())
                .containsExactly("serum potassium");
    }

    @Test
    void whatever_is_typed_is_read_or_refused() throws IOException {
        List<String> words = phrasings()
                .flatMap(one -> Stream.of(one.typed().split(" ")))
                .distinct()
                .toList();
        Random random = new Random(14);
        for (int line = 0; line < 60; line++) {
            String typed = random.ints(random.nextInt(1, 40), 0, words.size())
                    .mapToObj(words::get)
                    .collect(Collectors.joining(" "));
            assertRead(typed);
        }
        for (String again :
                List.of("value ", "is ", "the ", "or ", "not ", "visit ", "99999999999 ", "1 ", "a ", "who is ")) {
            assertRead("visit " + again.repeat(390 / again.length()));
        }
    }

    private static void assertRead(String typed) {
        for (String meaning : TypedCriteria.meanings(typed, WORDS)) {
            assertThat(TypedCriteria.meanings(meaning, WORDS)).as(typed).contains(meaning);
        }
        assertThat(TypedCriteria.mends(typed, WORDS).lines()).as(typed).hasSizeLessThan(3);
    }

    private static Stream<Phrasing> phrasings() throws IOException {
        return read("phrasings.txt");
    }

    private static Stream<Phrasing> mends() throws IOException {
        return read("mends.txt");
    }

    private static Stream<Phrasing> read(String file) throws IOException {
        return Files.readAllLines(Path.of("src/test/resources/typed/" + file)).stream()
                .map(line -> line.split(" => ", 2))
                .map(parts -> new Phrasing(
                        parts[0],
                        parts[1].equals("?") || parts[1].equals("-")
                                ? List.of()
                                : List.of(parts[1].split(" \\|\\| "))));
    }
}
