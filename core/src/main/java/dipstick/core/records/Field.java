package dipstick.core.records;

/** A named, typed field of a person or of an event. */
public record Field(String name, FieldType type) {}
