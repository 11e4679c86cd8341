package dipstick.core.records;

import java.io.Serializable;

/** A named, typed field of a person or of an event. */
public record Field(String name, FieldType type) implements Serializable {}
