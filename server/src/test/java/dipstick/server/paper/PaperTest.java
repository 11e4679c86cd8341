package dipstick.server.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No name is lost on paper, and everybody can read what is printed. */
class PaperTest {
    private static final Typefaces FACES = new Typefaces(Path.of("/usr/share/fonts"));
    private static final Paper PAPER = new Paper(new Printer(FACES), FACES);
    private static final String DOT =
            "data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==";
    private static final Letterhead HEAD = new Letterhead(
            "Otterbrook Family Practice",
            "1 Mill Lane\nOtterbrook OB1 1QX",
            "01632 960100",
            "desk@example.org",
            "The outreach desk",
            DOT);

    private static final List<String> NAMES = List.of(
            "Ångström Žluťoučký Łódź",
            "Nguyễn Văn Ðỗ",
            "Ελένη Παπαδοπούλου Ἀθῆναι",
            "Кириллица Їжакевич",
            "فاطمة الزهراء",
            "שלום כהן",
            "प्रिया कृष्ण",
            "山田さくら カタカナ",
            "张伟",
            "김철수");

    private static Paper.Letter letter(String name) {
        return new Paper.Letter(
                PAPER.inWindow(List.of(name, "1 Alder Walk", "OB1 1QX Otterbrook"))
                        .orElseThrow(),
                "en",
                "26 November 2026",
                "About " + name,
                "Dear " + name + ",\n\nplease call us.\nThank you.\n\nWith kind regards");
    }

    @Test
    void letters_print_every_script_and_are_readable_by_everybody() throws Exception {
        byte[] pdf = PAPER.letters(NAMES.stream().map(PaperTest::letter).toList(), HEAD, "Letters, 26 Nov 2026");
        keep("letters.pdf", pdf);
        List<String> pages = Pdf.pages(pdf);
        assertThat(pages).hasSize(NAMES.size());
        for (int i = 0; i < NAMES.size(); i++) {
            for (String word : NAMES.get(i).split(" ")) {
                assertThat(pages.get(i)).contains(word);
            }
            assertThat(pages.get(i))
                    .contains("01632 960100", "The outreach desk")
                    .doesNotContain("#");
        }
        assertThat(Pdf.inaccessible(pdf)).isEmpty();
    }

    @Test
    void labels_and_tables_are_readable_by_everybody() throws Exception {
        List<Fitted> addresses = IntStream.range(0, 30)
                .mapToObj(i -> PAPER.onLabel(List.of(NAMES.get(i % NAMES.size()), i + " Alder Walk", "Otterbrook"))
                        .orElseThrow())
                .toList();
        byte[] labels = PAPER.labels(addresses, "Labels");
        keep("labels.pdf", labels);
        assertThat(Pdf.pages(labels)).hasSize(2).first().asString().contains("23 Alder Walk");
        assertThat(Pdf.inaccessible(labels)).isEmpty();
        byte[] table = PAPER.table(
                "Call sheet: Hearing",
                List.of(new Paper.Column("Name", 3), new Paper.Column("Why", 5), new Paper.Column("Outcome", 2)),
                NAMES.stream()
                        .map(name -> List.of(name, "No record <since> & 2024", ""))
                        .toList(),
                "Hearing · Orla · call them");
        keep("table.pdf", table);
        assertThat(Pdf.pages(table)).singleElement().asString().contains("No record <since> & 2024", "call them");
        assertThat(Pdf.inaccessible(table)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"𠮷野", "Ada 😀", "ᚠᚢᚦ", "Marl\u0007"})
    void what_cannot_be_printed_is_known_before(String name) {
        assertThat(PAPER.unprintable(name)).isPresent();
    }

    @Test
    void what_can_be_printed_is_not_left_out() {
        assertThat(NAMES.stream().flatMap(name -> PAPER.unprintable(name).stream()))
                .isEmpty();
        assertThat(PAPER.unprintable("decomposed e\u0301, marks \u200Eof order\u200F and a\ttab\nand a line"))
                .isEmpty();
    }

    @Test
    void long_addresses_are_set_smaller_and_in_more_lines_and_never_cut() {
        List<String> usual = List.of("Ada Marl", "1 Alder Walk", "Otterbrook");
        assertThat(PAPER.inWindow(usual)).contains(new Fitted(usual, 11));
        List<String> longLine =
                List.of("Ada Marl", "Flat 12, The Old Granary at the Far End of the Very Long Mill Lane");
        Fitted fitted = PAPER.onLabel(longLine).orElseThrow();
        assertThat(String.join(" ", fitted.lines())).isEqualTo(String.join(" ", longLine));
        assertThat(fitted.lines()).hasSizeGreaterThan(2);
        assertThat(PAPER.inWindow(List.of("A".repeat(80))))
                .as("one word that is too wide")
                .isEmpty();
        List<String> many = IntStream.range(0, 20).mapToObj(i -> "Line " + i).toList();
        assertThat(PAPER.onLabel(many)).as("too many lines").isEmpty();
        Fitted eight = PAPER.inWindow(many.subList(0, 9)).orElseThrow();
        assertThat(eight.size()).isLessThan(11);
    }

    private static void keep(String name, byte[] pdf) throws Exception {
        Files.write(Files.createDirectories(Path.of("target/paper")).resolve(name), pdf);
    }
}
