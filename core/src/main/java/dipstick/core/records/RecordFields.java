package dipstick.core.records;

import java.util.Collection;
import java.util.List;

/** The fields that a practice's people and events have, custom ones among them. */
public record RecordFields(Fields people, Fields events) {
    /** Those of a practice without custom fields. */
    public static final RecordFields KNOWN = new RecordFields(Fields.PERSON, Fields.EVENT);

    public static RecordFields withCustom(Collection<Field> ofPeople, Collection<Field> ofEvents) {
        return new RecordFields(Fields.PERSON.with(ofPeople), Fields.EVENT.with(ofEvents));
    }

    public List<Field> customOfPeople() {
        return people.customBeside(Fields.PERSON);
    }

    public List<Field> customOfEvents() {
        return events.customBeside(Fields.EVENT);
    }
}
