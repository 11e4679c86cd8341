package dipstick.intake.tables;

import dipstick.intake.rows.Cell;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.Rows;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** A sheet of an OpenDocument workbook (OASIS OpenDocument 1.3 part 3, section 9), read row by row. */
public final class OpenDocumentRows implements Rows {
    private static final String TABLE = "urn:oasis:names:tc:opendocument:xmlns:table:1.0";
    private static final String OFFICE = "urn:oasis:names:tc:opendocument:xmlns:office:1.0";
    private static final String TEXT = "urn:oasis:names:tc:opendocument:xmlns:text:1.0";

    /** Blank rows and cells are repeated to the end of a sheet; nothing that says something is, so often. */
    private static final int MOST_REPEATED = 20_000;

    private static final int MOST_COLUMNS = 2_000;

    private final ZipFile zip;
    private final XMLStreamReader xml;
    private long line;
    private Optional<Row> repeated = Optional.empty();
    private int repeats;

    private OpenDocumentRows(ZipFile zip, XMLStreamReader xml) {
        this.zip = zip;
        this.xml = xml;
    }

    public static List<String> sheets(Path file) throws IOException {
        List<String> names = new ArrayList<>();
        try (ZipFile zip = new ZipFile(file.toFile())) {
            XMLStreamReader xml = content(zip);
            while (xml.hasNext()) {
                if (xml.next() == XMLStreamConstants.START_ELEMENT && is(xml, TABLE, "table")) {
                    names.add(attribute(xml, TABLE, "name"));
                }
            }
        } catch (XMLStreamException broken) {
            throw damaged();
        }
        return names;
    }

    /** @param sheet its name; the first where it is empty */
    public static OpenDocumentRows open(Path file, String sheet) throws IOException {
        ZipFile zip = new ZipFile(file.toFile());
        try {
            XMLStreamReader xml = content(zip);
            while (xml.hasNext()) {
                if (xml.next() == XMLStreamConstants.START_ELEMENT
                        && is(xml, TABLE, "table")
                        && (sheet.isEmpty() || attribute(xml, TABLE, "name").equals(sheet))) {
                    return new OpenDocumentRows(zip, xml);
                }
            }
        } catch (XMLStreamException broken) {
            zip.close();
            throw damaged();
        }
        zip.close();
        throw new UnreadableRows(1, "The workbook has no sheet “" + sheet + "”.");
    }

    private static XMLStreamReader content(ZipFile zip) throws IOException, XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        // What a file refers to outside itself is never fetched.
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        InputStream content = zip.getInputStream(zip.getEntry("content.xml"));
        return factory.createXMLStreamReader(content);
    }

    @Override
    public Optional<Row> next() {
        if (repeats > 0) {
            repeats--;
            line++;
            return repeated.map(row -> new Row(line, row.cells()));
        }
        try {
            while (xml.hasNext()) {
                int event = xml.next();
                if (event == XMLStreamConstants.END_ELEMENT && is(xml, TABLE, "table")) {
                    return Optional.empty();
                }
                if (event == XMLStreamConstants.START_ELEMENT && is(xml, TABLE, "table-row")) {
                    int times = repeated("number-rows-repeated");
                    Row row = new Row(line + 1, cells());
                    line++;
                    if (!row.isBlank()) {
                        repeated = Optional.of(row);
                        repeats = Math.min(times, MOST_REPEATED) - 1;
                        return Optional.of(row);
                    }
                    line += times - 1;
                }
            }
            return Optional.empty();
        } catch (XMLStreamException broken) {
            throw damaged();
        }
    }

    private List<Cell> cells() throws XMLStreamException {
        List<Cell> cells = new ArrayList<>();
        int blanks = 0;
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT && is(xml, TABLE, "table-row")) {
                return cells;
            }
            boolean covered = event == XMLStreamConstants.START_ELEMENT && is(xml, TABLE, "covered-table-cell");
            if (covered || (event == XMLStreamConstants.START_ELEMENT && is(xml, TABLE, "table-cell"))) {
                int times = repeated("number-columns-repeated");
                Cell cell = cell(covered ? "covered-table-cell" : "table-cell");
                if (cell.isBlank()) {
                    blanks += times;
                } else {
                    for (; blanks > 0 && cells.size() < MOST_COLUMNS; blanks--) {
                        cells.add(Cell.blank());
                    }
                    for (int i = 0; i < times && cells.size() < MOST_COLUMNS; i++) {
                        cells.add(cell);
                    }
                }
            }
        }
        return cells;
    }

    private Cell cell(String element) throws XMLStreamException {
        String type = attribute(xml, OFFICE, "value-type");
        String value = attribute(xml, OFFICE, "value");
        String day = attribute(xml, OFFICE, "date-value");
        String truth = attribute(xml, OFFICE, "boolean-value");
        boolean broken = "error"
                .equals(xml.getAttributeValue(
                        "urn:org:documentfoundation:names:experimental:calc:xmlns:calcext:1.0", "value-type"));
        String text = text(element);
        if (broken) {
            return new Cell.Broken(text);
        }
        return switch (type) {
            case "float", "percentage", "currency" -> number(value, text);
            case "date" -> moment(day, text);
            case "boolean" -> new Cell.Truth(truth.equals("true"));
            default -> new Cell.Text(text);
        };
    }

    private static Cell number(String value, String text) {
        try {
            return new Cell.Numeric(Double.parseDouble(value));
        } catch (NumberFormatException none) {
            return new Cell.Broken(text);
        }
    }

    private static Cell moment(String day, String text) {
        try {
            return new Cell.Moment(
                    day.contains("T")
                            ? LocalDateTime.parse(day)
                            : LocalDate.parse(day).atStartOfDay());
        } catch (DateTimeException none) {
            return new Cell.Broken(text);
        }
    }

    /** The paragraphs of the cell; remarks beside it are none of it. */
    private String text(String element) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        int paragraphs = 0;
        int remarks = 0;
        while (xml.hasNext()) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    if (is(xml, OFFICE, "annotation")) {
                        remarks++;
                    } else if (remarks == 0 && is(xml, TEXT, "p") && paragraphs++ > 0) {
                        text.append('\n');
                    } else if (remarks == 0 && is(xml, TEXT, "s")) {
                        text.append(' ');
                    }
                }
                case XMLStreamConstants.CHARACTERS -> {
                    if (remarks == 0 && paragraphs > 0) {
                        text.append(xml.getText());
                    }
                }
                case XMLStreamConstants.END_ELEMENT -> {
                    if (is(xml, OFFICE, "annotation")) {
                        remarks--;
                    } else if (is(xml, TABLE, element)) {
                        return text.toString();
                    }
                }
                default -> {
                    // Comments and the like say nothing.
                }
            }
        }
        return text.toString();
    }

    private int repeated(String name) {
        String times = attribute(xml, TABLE, name);
        return times.matches("\\d{1,9}") ? Math.max(1, Integer.parseInt(times)) : 1;
    }

    private static String attribute(XMLStreamReader xml, String namespace, String name) {
        String value = xml.getAttributeValue(namespace, name);
        return value == null ? "" : value;
    }

    private static boolean is(XMLStreamReader xml, String namespace, String name) {
        return xml.getLocalName().equals(name) && namespace.equals(xml.getNamespaceURI());
    }

    private static UnreadableRows damaged() {
        return new UnreadableRows(1, "The workbook is damaged and could not be read.");
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
