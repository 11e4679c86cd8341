package dipstick.server.paper;

import static dipstick.server.paper.Fo.mm;
import static dipstick.server.paper.Fo.pt;

import dipstick.server.paper.Fitted.Area;
import dipstick.server.paper.Printer.Document;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.xml.sax.SAXException;

/** What is printed on A4: letters in window envelopes, sheets of labels, and tables. */
@Component
public class Paper {
    private static final double PAGE_WIDTH = 210;
    private static final double PAGE_HEIGHT = 297;
    private static final double MARGIN = 20;
    private static final double POINTS = 72 / 25.4;

    /** Where the window of an envelope is (ISO 269 DL; the address field of DIN 5008, form B). */
    private static final double WINDOW_TOP = 45;

    private static final double WINDOW_WIDTH = 85;
    private static final double WINDOW_HEIGHT = 45;
    private static final double BODY_TOP = 100;

    /** Of the window, for the line that says who sends it. */
    private static final double SENDER_HEIGHT = 8;

    private static final Area WINDOW = new Area(WINDOW_WIDTH * POINTS, (WINDOW_HEIGHT - SENDER_HEIGHT) * POINTS, 11, 8);

    /** Sheets of 3 by 8 labels, 70 by 37 mm. */
    private static final int LABEL_COLUMNS = 3;

    private static final int LABEL_ROWS = 8;
    private static final double LABEL_WIDTH = PAGE_WIDTH / LABEL_COLUMNS;
    private static final double LABEL_HEIGHT = PAGE_HEIGHT / LABEL_ROWS;
    private static final double LABEL_MARGIN = 5;
    private static final Area LABEL =
            new Area((LABEL_WIDTH - 2 * LABEL_MARGIN) * POINTS, (LABEL_HEIGHT - 2 * LABEL_MARGIN) * POINTS, 11, 7);

    private final Printer printer;
    private final Typefaces faces;

    Paper(Printer printer, Typefaces faces) {
        this.printer = printer;
        this.faces = faces;
    }

    /** The first character of a text that cannot be printed; nothing where all can be. */
    public Optional<String> unprintable(String text) {
        return faces.unprintable(text);
    }

    /** Lines of an address as they fit into the window of an envelope; nothing where they do not. */
    public Optional<Fitted> inWindow(List<String> lines) {
        return Fitted.into(WINDOW, lines, faces);
    }

    /** Lines of an address as they fit onto a label; nothing where they do not. */
    public Optional<Fitted> onLabel(List<String> lines) {
        return Fitted.into(LABEL, lines, faces);
    }

    /**
     * A letter to somebody.
     *
     * @param language in which it is written, as BCP 47 names it
     * @param day on which it is written, in words of that language's readers
     */
    public record Letter(Fitted address, String language, String day, String subject, String body) {}

    /** Each letter begins a page, with its address where the envelope's window is. */
    public byte[] letters(List<Letter> letters, Letterhead head, String title) {
        return printer.print(
                new Document(title, letters.getFirst().language()),
                fo -> page(fo, "letter", PAGE_WIDTH, PAGE_HEIGHT, MARGIN),
                fo -> {
                    for (Letter letter : letters) {
                        sequence(fo, "letter", letter.language(), inside -> letter(inside, letter, head));
                    }
                });
    }

    private static void letter(Fo fo, Letter letter, Letterhead head) throws SAXException {
        fo.element("block-container", Map.of("height", mm(BODY_TOP - MARGIN)), top -> {
            top.at(PAGE_WIDTH / 2 - MARGIN, 0, PAGE_WIDTH / 2 - MARGIN, WINDOW_TOP - MARGIN, inside -> {
                inside.block(Map.of("font-weight", "bold", "text-align", "end", "font-size", "13pt"), head.practice());
                for (String line : lines(head.address() + "\n" + head.phone() + "\n" + head.email())) {
                    inside.block(Map.of("text-align", "end", "font-size", "9pt"), line);
                }
            });
            top.at(0, WINDOW_TOP - MARGIN, WINDOW_WIDTH, WINDOW_HEIGHT, inside -> {
                inside.block(
                        Map.of(
                                "font-size",
                                "7pt",
                                "space-after",
                                "6pt",
                                "wrap-option",
                                "no-wrap",
                                "overflow",
                                "hidden"),
                        head.practice());
                address(inside, letter.address());
            });
        });
        fo.block(Map.of("text-align", "end", "font-size", "11pt", "space-after", "14pt"), letter.day());
        fo.block(
                Map.of("font-weight", "bold", "font-size", "11pt", "space-after", "11pt", "role", "H1"),
                letter.subject());
        for (String paragraph : letter.body().strip().split("\n\\s*\n")) {
            for (String line : paragraph.split("\n")) {
                fo.block(Map.of("font-size", "11pt", "line-height", "1.35"), line);
            }
            fo.element("block", Map.of("font-size", "11pt", "space-after", "9pt"), Fo.Content.NONE);
        }
        signature(fo, head);
    }

    private static void signature(Fo fo, Letterhead head) throws SAXException {
        if (!head.signature().isEmpty()) {
            fo.element(
                    "block",
                    Map.of("space-before", "6pt", "keep-with-previous", "always"),
                    inside -> inside.element(
                            "external-graphic",
                            Map.of(
                                    "src",
                                    "url('" + head.signature() + "')",
                                    "content-height",
                                    "scale-down-to-fit",
                                    "content-width",
                                    "scale-down-to-fit",
                                    "max-height",
                                    mm(20),
                                    "height",
                                    mm(20),
                                    "width",
                                    mm(60),
                                    "scaling",
                                    "uniform",
                                    "fox:alt-text",
                                    "Signature"),
                            Fo.Content.NONE));
        }
        for (String line : lines(head.signedBy())) {
            fo.block(Map.of("font-size", "11pt", "keep-with-previous", "always"), line);
        }
    }

    private static void address(Fo fo, Fitted address) throws SAXException {
        for (String line : address.lines()) {
            fo.line(Map.of("font-size", pt(address.size()), "line-height", pt(address.size() * Fitted.LEADING)), line);
        }
    }

    private static List<String> lines(String text) {
        return text.lines().map(String::strip).filter(line -> !line.isEmpty()).toList();
    }

    public byte[] labels(List<Fitted> addresses, String title) {
        int onPage = LABEL_COLUMNS * LABEL_ROWS;
        return printer.print(new Document(title, "en"), fo -> page(fo, "labels", PAGE_WIDTH, PAGE_HEIGHT, 0), fo -> {
            for (int from = 0; from < addresses.size(); from += onPage) {
                List<Fitted> some = addresses.subList(from, Math.min(addresses.size(), from + onPage));
                sequence(fo, "labels", "en", inside -> {
                    for (int i = 0; i < some.size(); i++) {
                        Fitted address = some.get(i);
                        int row = i / LABEL_COLUMNS;
                        inside.at(
                                i % LABEL_COLUMNS * LABEL_WIDTH + LABEL_MARGIN,
                                row * LABEL_HEIGHT + LABEL_MARGIN,
                                LABEL_WIDTH - 2 * LABEL_MARGIN,
                                LABEL_HEIGHT - 2 * LABEL_MARGIN,
                                label -> address(label, address));
                    }
                    inside.element("block", Map.of(), Fo.Content.NONE);
                });
            }
        });
    }

    /** A column of a table, as wide beside the others as it says. */
    public record Column(String header, int width) {}

    /** @param title above it; empty for none */
    public record Table(String title, List<Column> columns, List<List<String>> rows) {}

    /**
     * A table for staff, as wide as the page lies.
     *
     * @param footer who printed it, when and why
     */
    public byte[] table(String title, List<Column> columns, List<List<String>> rows, String footer) {
        return tables(title, List.of(new Table("", columns, rows)), "", footer);
    }

    /**
     * As {@link #table}, one after the other.
     *
     * @param none what is printed where there are no tables
     */
    public byte[] tables(String title, List<Table> tables, String none, String footer) {
        return printer.print(
                new Document(title, "en"), fo -> page(fo, "table", PAGE_HEIGHT, PAGE_WIDTH, MARGIN * 0.75), fo -> {
                    fo.element("page-sequence", Map.of("master-reference", "table", "xml:lang", "en"), inside -> {
                        inside.element(
                                "static-content",
                                Map.of("flow-name", "xsl-region-after"),
                                foot -> foot.block(
                                        Map.of("font-size", "7pt", "start-indent", mm(MARGIN * 0.75)), footer));
                        inside.element("flow", Map.of("flow-name", "xsl-region-body"), flow -> {
                            heading(flow, "H1", "13pt", title);
                            if (tables.isEmpty()) {
                                flow.block(Map.of(), none);
                            }
                            for (Table table : tables) {
                                if (!table.title().isEmpty()) {
                                    heading(flow, "H2", "11pt", table.title());
                                }
                                table(flow, table.columns(), table.rows());
                            }
                        });
                    });
                });
    }

    private static void heading(Fo fo, String role, String size, String text) throws SAXException {
        fo.block(
                Map.of(
                        "font-size",
                        size,
                        "font-weight",
                        "bold",
                        "space-before",
                        "8pt",
                        "space-after",
                        "8pt",
                        "role",
                        role,
                        "keep-with-next",
                        "always"),
                text);
    }

    private static void table(Fo fo, List<Column> columns, List<List<String>> rows) throws SAXException {
        fo.element("table", Map.of("table-layout", "fixed", "width", "100%", "font-size", "9pt"), table -> {
            for (Column column : columns) {
                table.element(
                        "table-column",
                        Map.of("column-width", "proportional-column-width(" + column.width() + ")"),
                        Fo.Content.NONE);
            }
            table.element(
                    "table-header",
                    Map.of("font-weight", "bold"),
                    head -> head.element("table-row", Map.of(), row -> {
                        for (Column column : columns) {
                            cell(row, column.header());
                        }
                    }));
            table.element("table-body", Map.of(), body -> {
                for (List<String> cells : rows) {
                    body.element("table-row", Map.of("keep-together.within-page", "always"), row -> {
                        for (String text : cells) {
                            cell(row, text);
                        }
                    });
                }
            });
        });
    }

    private static void cell(Fo row, String text) throws SAXException {
        row.element(
                "table-cell",
                Map.of("border", "0.3pt solid #888888", "padding", "2pt"),
                cell -> cell.block(Map.of(), text));
    }

    private static void page(Fo fo, String name, double width, double height, double margin) throws SAXException {
        fo.element(
                "simple-page-master",
                Map.of("master-name", name, "page-width", mm(width), "page-height", mm(height)),
                master -> {
                    master.element("region-body", Map.of("margin", mm(margin)), Fo.Content.NONE);
                    if (margin > 0) {
                        master.element(
                                "region-after",
                                Map.of("extent", mm(margin * 0.75), "display-align", "before"),
                                Fo.Content.NONE);
                    }
                });
    }

    private static void sequence(Fo fo, String master, String language, Fo.Content inside) throws SAXException {
        fo.element(
                "page-sequence",
                Map.of(
                        "master-reference",
                        master,
                        "xml:lang",
                        language,
                        "initial-page-number",
                        "1",
                        "force-page-count",
                        "no-force"),
                sequence -> sequence.element("flow", Map.of("flow-name", "xsl-region-body"), inside));
    }
}
