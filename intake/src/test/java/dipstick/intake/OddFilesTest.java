package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dipstick.intake.describe.IntakeDocument;
import dipstick.intake.files.Packed;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposing;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files that are broken, or were made to break something. */
class OddFilesTest {
    private static final String OFFICE = "xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
            + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\""
            + " xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\""
            + " xmlns:calcext=\"urn:org:documentfoundation:names:experimental:calc:xmlns:calcext:1.0\"";

    @TempDir
    private Path folder;

    private Path write(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    private Path zip(String name, String... entries) throws IOException {
        Path file = folder.resolve(name);
        try (OutputStream out = Files.newOutputStream(file);
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (int i = 0; i < entries.length; i += 2) {
                zip.putNextEntry(new ZipEntry(entries[i]));
                zip.write(entries[i + 1].getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return file;
    }

    private static Proposal propose(Path file) throws IOException {
        return Proposing.of(String.valueOf(file.getFileName()), file, Proposing.Asked.in(2026));
    }

    private String refused(Path file) {
        return catchThrowableOfType(UnreadableRows.class, () -> {
                    Path one = Packed.files("sent", file, folder).getFirst().file();
                    Made.of(one, propose(one).intake());
                })
                .getMessage();
    }

    private Path ods(String rows) throws IOException {
        return zip(
                "week.ods",
                "mimetype",
                "application/vnd.oasis.opendocument.spreadsheet",
                "content.xml",
                "<office:document-content " + OFFICE + "><office:body><office:spreadsheet>"
                        + "<table:table table:name=\"Sheet\">" + rows
                        + "<table:table-row table:number-rows-repeated=\"1048000\"><table:table-cell"
                        + " table:number-columns-repeated=\"16384\"/></table:table-row>"
                        + "</table:table></office:spreadsheet></office:body></office:document-content>");
    }

    private static String row(String... cells) {
        return "<table:table-row>" + String.join("", cells) + "</table:table-row>";
    }

    private static String cell(String text) {
        return "<table:table-cell office:value-type=\"string\"><text:p>" + text + "</text:p></table:table-cell>";
    }

    @Test
    void a_workbook_of_an_office_suite_keeps_its_days_and_numbers() throws Exception {
        Path file = ods(row(cell("Patient ID"), cell("DOB"), cell("Date"), cell("Result"))
                + row(
                        cell("0007"),
                        "<table:table-cell office:value-type=\"date\" office:date-value=\"1961-05-17\">"
                                + "<text:p>17.05.61</text:p></table:table-cell>",
                        "<table:table-cell office:value-type=\"date\" office:date-value=\"2026-11-03T08:15:00\">"
                                + "<office:annotation><text:p>seen</text:p></office:annotation>"
                                + "<text:p>3/11</text:p></table:table-cell>",
                        "<table:table-cell office:value-type=\"float\" office:value=\"4.2\"><text:p>4,2</text:p>"
                                + "</table:table-cell>")
                + row(
                        cell("8"),
                        "<table:table-cell/>",
                        cell("2026-11-04"),
                        "<table:table-cell office:value-type=\"string\" calcext:value-type=\"error\">"
                                + "<text:p>#DIV/0!</text:p></table:table-cell>"));
        Made made = Made.of(file, propose(file).intake());

        assertThat(made.eventsInWords())
                .containsExactly("{kind=result, on=2026-11-03, person_id=0007, source=week, value=4.2}");
        assertThat(made.peopleInWords()).containsExactly("{birth_date=1961-05-17, id=0007}", "{id=8}");
        assertThat(made.troublesInWords()).containsExactly("3 Result BROKEN_CELL");
    }

    /** @param which of the two ways days are counted in it, "0" from 1900 and "1" from 1904 */
    private Path workbook(String which, String day) throws IOException {
        String main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
        String office = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
        String packages = "http://schemas.openxmlformats.org/package/2006/";
        String sheet = "<worksheet xmlns=\"" + main + "\"><sheetData>%s</sheetData>%s</worksheet>";
        String relation = "<Relationship Id=\"%s\" Type=\"" + office + "/%s\" Target=\"%s\"/>";
        return zip(
                "week.xlsx",
                "[Content_Types].xml",
                "<Types xmlns=\"" + packages + "content-types\"><Default Extension=\"rels\""
                        + " ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/>"
                        + "<Default Extension=\"xml\" ContentType=\"application/xml\"/><Override PartName=\"/xl/workbook.xml\""
                        + " ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml\"/>"
                        + "<Override PartName=\"/xl/styles.xml\" ContentType=\"application/vnd.openxmlformats-officedocument"
                        + ".spreadsheetml.styles+xml\"/></Types>",
                "_rels/.rels",
                "<Relationships xmlns=\"" + packages + "relationships\">"
                        + relation.formatted("r1", "officeDocument", "xl/workbook.xml") + "</Relationships>",
                "xl/_rels/workbook.xml.rels",
                "<Relationships xmlns=\"" + packages + "relationships\">"
                        + relation.formatted("r1", "worksheet", "worksheets/sheet1.xml")
                        + relation.formatted("r2", "worksheet", "worksheets/sheet2.xml")
                        + relation.formatted("r3", "styles", "styles.xml") + "</Relationships>",
                "xl/workbook.xml",
                "<workbook xmlns=\"" + main + "\" xmlns:r=\"" + office + "\"><workbookPr date1904=\"" + which
                        + "\"/><sheets><sheet name=\"Lists\" sheetId=\"1\" state=\"hidden\" r:id=\"r1\"/>"
                        + "<sheet name=\"Week\" sheetId=\"2\" r:id=\"r2\"/></sheets></workbook>",
                "xl/styles.xml",
                "<styleSheet xmlns=\"" + main + "\"><cellXfs count=\"2\"><xf numFmtId=\"0\"/><xf numFmtId=\"14\""
                        + " applyNumberFormat=\"1\"/></cellXfs></styleSheet>",
                "xl/worksheets/sheet1.xml",
                sheet.formatted(
                        "<row r=\"1\">" + text("A1", "Patient ID") + "</row><row r=\"2\">" + text("A2", "hidden")
                                + "</row>",
                        ""),
                "xl/worksheets/sheet2.xml",
                sheet.formatted(
                        "<row r=\"1\">" + text("A1", "Results of the week") + "</row><row r=\"3\">"
                                + text("A3", "Patient ID") + text("B3", "DOB") + text("C3", "Date")
                                + text("D3", "Result") + "</row><row r=\"4\">" + text("A4", "0007")
                                + "<c r=\"B4\" s=\"1\"><v>" + day + "</v></c>" + text("C4", "2026-11-03")
                                + text("D4", "4.2") + "</row><row r=\"5\">" + text("A5", "0008")
                                + "<c r=\"B5\"/>" + text("C5", "2026-11-04")
                                + "<c r=\"D5\" t=\"e\"><f>1/0</f><v>#DIV/0!</v></c></row>",
                        "<mergeCells count=\"1\"><mergeCell ref=\"A1:D1\"/></mergeCells>"));
    }

    private static String text(String at, String words) {
        return "<c r=\"" + at + "\" t=\"inlineStr\"><is><t>" + words + "</t></is></c>";
    }

    @ParameterizedTest
    @CsvSource({"0, 22418", "1, 20956"})
    void a_workbook_with_a_hidden_sheet_and_a_title_over_its_columns_is_read_in_either_count_of_days(
            String which, String day) throws Exception {
        Path file = workbook(which, day);
        Made made = Made.of(file, propose(file).intake());

        assertThat(made.peopleInWords()).containsExactly("{birth_date=1961-05-17, id=0007}", "{id=0008}");
        assertThat(made.eventsInWords())
                .as("a number that is kept as text is one")
                .containsExactly("{kind=result, on=2026-11-03, person_id=0007, source=week, value=4.2}");
        assertThat(made.troublesInWords()).containsExactly("5 Result BROKEN_CELL");
    }

    @Test
    void what_a_workbook_refers_to_outside_itself_is_never_fetched() throws Exception {
        Path secret = write("secret.txt", "secret words");
        Path file = zip(
                "odd.ods",
                "mimetype",
                "x",
                "content.xml",
                "<!DOCTYPE x [<!ENTITY s SYSTEM \"" + secret.toUri() + "\">]><office:document-content " + OFFICE
                        + "><table:table table:name=\"S\">" + row(cell("id"), cell("&s;"))
                        + "</table:table></office:document-content>");
        String said = "";
        try {
            said = propose(file).intake().table().columns().toString();
        } catch (UnreadableRows refused) {
            said = refused.getMessage();
        }
        assertThat(said).doesNotContain("secret words");
    }

    @Test
    void an_archive_that_grows_out_of_proportion_is_not_taken_apart() throws Exception {
        Path bomb = zip("bomb.zip", "a.csv", "0".repeat(30_000_000));
        assertThat(refused(bomb)).contains("far more than a table of its size");
    }

    @Test
    void a_file_in_an_archive_goes_under_a_name_of_ours() throws Exception {
        Path sly = zip("sly.zip", "../../outside.csv", "Patient ID,Surname\n1,Marl\n");
        List<Packed.One> files = Packed.files("sly.zip", sly, folder);
        assertThat(files).extracting(Packed.One::name).containsExactly("outside.csv");
        assertThat(files.getFirst().file().getParent()).isEqualTo(folder);
    }

    @Test
    void an_archive_that_is_cut_off_says_so() throws Exception {
        Path whole = zip("whole.zip", "a.csv", "Patient ID\n" + "1\n".repeat(500));
        byte[] bytes = Files.readAllBytes(whole);
        Path cut = Files.write(folder.resolve("cut.zip"), java.util.Arrays.copyOf(bytes, 60));
        assertThat(refused(cut)).isNotEmpty();
    }

    @Test
    void a_quote_that_does_not_close_is_told_with_its_line() throws Exception {
        Path file = write("quote.csv", "Patient ID,Surname\n1,Marl\n2,\"Vask\n3,Tove\n4,Ard\n");
        UnreadableRows refused = catchThrowableOfType(
                UnreadableRows.class, () -> Made.of(file, propose(file).intake()));
        assertThat(refused.line()).isEqualTo(3);
    }

    @Test
    void a_separator_that_changes_halfway_leaves_those_rows_out() throws Exception {
        Path file = write(
                "halfway.csv", "Patient ID,Surname,City\n1,Marl,Otter\n2,Vask,Otter\n3;Tove;Otter\n4,Ard,Otter,more\n");
        Made made = Made.of(file, propose(file).intake());
        assertThat(made.people).hasSize(2);
        assertThat(made.troublesInWords()).containsExactly("4  OTHER_CELLS", "5  OTHER_CELLS");
    }

    @Test
    void two_columns_of_one_name_are_told_apart() throws Exception {
        Path file = write("twice.csv", "Patient ID,Date,Date,Result\n1,2026-01-02,2026-01-03,5\n");
        assertThat(propose(file).intake().table().columns())
                .containsExactly("Patient ID", "Date", "Date (2)", "Result");
        assertThat(Made.of(file, propose(file).intake()).eventsInWords())
                .containsExactly("{kind=result, on=2026-01-02, person_id=1, source=twice, value=5}");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\n\n\n", "\uFEFF", "%PDF-1.7 nothing", "<html><body>no</body></html>", "\0\0\0\0"})
    void what_is_no_table_makes_nothing(String text) throws Exception {
        Path file = write("odd.csv", text);
        try {
            Made made = Made.of(file, propose(file).intake());
            assertThat(made.people).isEmpty();
            assertThat(made.events).isEmpty();
        } catch (UnreadableRows refused) {
            assertThat(refused.getMessage()).endsWith(".");
        }
    }

    @Test
    void a_cell_that_cannot_be_read_is_left_blank_where_that_is_wanted() throws Exception {
        Path file = Files.writeString(folder.resolve("lab.csv"), """
                Patient ID,Test,Result,Date
                1,Sugar,7,2026-02-31
                2,Sugar,8,2026-02-28
                """);
        String intake = IntakeDocument.written(
                Proposing.of("lab.csv", file, Proposing.Asked.in(2026)).intake());
        String blank = intake.replace("\"column\" : \"Date\"", "\"unreadable\" : \"blank\", \"column\" : \"Date\"");

        Made made = Made.of(file, IntakeDocument.read(blank));

        assertThat(made.eventsInWords())
                .containsExactly(
                        "{kind=result, person_id=1, source=lab, text=Sugar, value=7}",
                        "{kind=result, on=2026-02-28, person_id=2, source=lab, text=Sugar, value=8}");
        assertThat(made.troublesInWords()).containsExactly("2 Date LEFT_BLANK");
    }
}
