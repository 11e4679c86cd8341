package dipstick.intake.describe;

/** What a file is written in. */
public enum FileFormat {
    /** Text with separators, or a workbook. */
    TABLE,
    /** HL7 FHIR R4 in JSON: a resource, a Bundle, or one after another. */
    FHIR,
    /** HL7 version 2 messages. */
    HL7,
    /** vCards (RFC 6350). */
    VCARD,
    /** iCalendar (RFC 5545). */
    ICALENDAR;

    /** Whether what stands later in a file is news of the same thing, and goes before what stands earlier. */
    public boolean isOfNews() {
        return this == HL7 || this == ICALENDAR;
    }
}
