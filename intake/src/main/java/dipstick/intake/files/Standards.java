package dipstick.intake.files;

import dipstick.intake.contacts.CalendarRows;
import dipstick.intake.contacts.CardRows;
import dipstick.intake.describe.FileFormat;
import dipstick.intake.fhir.FhirRows;
import dipstick.intake.messages.MessageRows;
import dipstick.intake.rows.Rows;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;

/** Formats of open standards, each known by how its files begin. */
final class Standards {
    private static final int FIRST = 1 << 14;

    private static final Pattern FIRST_SEGMENT =
            Pattern.compile("\\x0B?(MSH|FHS|BHS)[^\\p{Alnum}\\s].*", Pattern.DOTALL);

    private Standards() {}

    /** A table where it is none of them. */
    static FileFormat formatOf(Path file, Charset charset) throws IOException {
        String first = first(file, charset);
        if (first.startsWith("{")) {
            return FileFormat.FHIR;
        }
        if (first.startsWith("<")) {
            throw new UnreadableRows(
                    1,
                    "This is XML, which is not read here. Save it as JSON, CSV or a workbook and send it again; FHIR is"
                            + " read as JSON.");
        }
        if (FIRST_SEGMENT.matcher(first).matches()) {
            return FileFormat.HL7;
        }
        if (first.regionMatches(true, 0, "BEGIN:VCARD", 0, 11)) {
            return FileFormat.VCARD;
        }
        return first.regionMatches(true, 0, "BEGIN:VCALENDAR", 0, 15) ? FileFormat.ICALENDAR : FileFormat.TABLE;
    }

    static Rows open(Path file, FileFormat format, Charset charset) throws IOException {
        return switch (format) {
            case FHIR -> FhirRows.open(file, charset);
            case HL7 -> MessageRows.open(file, charset);
            case VCARD -> CardRows.open(file, charset);
            case ICALENDAR -> CalendarRows.open(file, charset);
            case TABLE ->
                throw new IllegalArgumentException("A table has no standard of its own: " + file.getFileName());
        };
    }

    private static String first(Path file, Charset charset) throws IOException {
        char[] first = new char[FIRST];
        try (Reader text = new InputStreamReader(Files.newInputStream(file), charset)) {
            int read = Math.max(0, text.read(first));
            String said = new String(first, 0, read);
            return (said.startsWith("\uFEFF") ? said.substring(1) : said).stripLeading();
        }
    }
}
