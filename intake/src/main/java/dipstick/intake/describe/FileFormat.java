package dipstick.intake.describe;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** What a file is written in. */
public enum FileFormat {
    /** Text with separators, or a workbook. */
    TABLE("table", "a table", "csv", "tsv", "txt", "xlsx", "ods"),
    /** HL7 FHIR R4 in JSON: a resource, a Bundle, or one after another. */
    FHIR("FHIR", "FHIR R4 resources (JSON)", "json", "ndjson"),
    /** HL7 version 2 messages. */
    HL7("HL7", "HL7 version 2 messages", "hl7"),
    /** vCards (RFC 6350). */
    VCARD("vCard", "vCards", "vcf"),
    /** iCalendar (RFC 5545). */
    ICALENDAR("iCalendar", "iCalendar", "ics");

    /** How names of files end that are packed, whatever is in them. */
    private static final List<String> PACKED = List.of("gz", "zip");

    private final String shortName;
    private final String holds;
    private final List<String> endings;

    FileFormat(String shortName, String holds, String... endings) {
        this.shortName = shortName;
        this.holds = holds;
        this.endings = List.of(endings);
    }

    /** How names of all files end that can be read, packed ones among them; without the point. */
    public static List<String> allEndings() {
        return Stream.concat(Arrays.stream(values()).flatMap(format -> format.endings.stream()), PACKED.stream())
                .toList();
    }

    public String shortName() {
        return shortName;
    }

    /** What is in such a file, in words. */
    public String holds() {
        return holds;
    }

    /** How names of such files end, without the point. */
    public List<String> endings() {
        return endings;
    }

    /** Whether what stands later in a file is news of the same thing, and goes before what stands earlier. */
    public boolean isOfNews() {
        return this == HL7 || this == ICALENDAR;
    }
}
