package dipstick.core.criteria;

import dipstick.core.records.Field;
import java.util.Optional;

/**
 * A test of one field of a person or an event.
 *
 * @param unit the unit in which an event's value must be; else the answer is can't tell
 */
public record FieldTest(Field field, Condition condition, Optional<ComparedText> unit) {}
