package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.server.records.RecordsWriter.Over;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes a practice's records in one go, before the first view is built. */
@Service
public class RecordsSeed {
    private static final int CHUNK = 1000;

    private final RecordsWriter writer;

    RecordsSeed(RecordsWriter writer) {
        this.writer = writer;
    }

    @Transactional
    public void fill(List<PersonRecord> people, Collection<Field> customFields, List<EventRecord> events) {
        Fields fields = Fields.PERSON.with(customFields);
        Set<String> all = fields.all().stream().map(Field::name).collect(Collectors.toSet());
        writer.addCustomFieldsOfPeople(customFields, Fields.PERSON);
        for (int from = 0; from < people.size(); from += CHUNK) {
            writer.writePeople(
                    people.subList(from, Math.min(people.size(), from + CHUNK)),
                    all,
                    fields,
                    Saying.OF_NOBODY,
                    Optional.empty());
        }
        for (int from = 0; from < events.size(); from += CHUNK) {
            writer.writeEvents(
                    events.subList(from, Math.min(events.size(), from + CHUNK)),
                    Over.BLANKS_CLEAR,
                    Fields.EVENT,
                    Saying.OF_NOBODY,
                    Optional.empty());
        }
    }
}
