package dipstick.server.records;

/**
 * A field that is, or would be, another than before.
 *
 * @param ofPerson whether it is of the person, or of a record of theirs
 * @param before as files write it; empty where it was blank, as after is where it becomes so
 */
public record FieldChange(String person, boolean ofPerson, String field, String before, String after) {}
