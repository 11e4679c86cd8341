package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.time.DateRange;
import dipstick.core.time.PartialDate;
import dipstick.core.wording.FieldWords;
import dipstick.server.personal.PersonalData;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What is on record of a person: their fields and their events, as they came (criteria.md, section 1). */
@Component
@Order(1)
class PersonalRecords implements PersonalData {
    private static final List<String> EVENT_COLUMNS = List.of(
            "id",
            "kind",
            "code",
            "system",
            "text",
            "on",
            "until",
            "status",
            "value",
            "unit",
            "value_text",
            "keywords",
            "provider",
            "site",
            "source");

    private final RecordsMapper records;
    private final FieldsOnFile fields;
    private final Unshown unshown;

    PersonalRecords(RecordsMapper records, FieldsOnFile fields, Unshown unshown) {
        this.records = records;
        this.fields = fields;
        this.unshown = unshown;
    }

    @Override
    public List<Held> heldOf(String person) {
        return List.of(
                new Held(
                        "On file",
                        List.of("field", "value"),
                        fields.of(person).entrySet().stream()
                                .map(field -> List.of(field.getKey(), field.getValue()))
                                .toList()),
                new Held(
                        "Records",
                        EVENT_COLUMNS,
                        records.eventsOf(new String[] {person}).stream()
                                .map(PersonalRecords::cells)
                                .toList()));
    }

    private static List<String> cells(EventRecord event) {
        return List.of(
                event.id(),
                event.kind(),
                event.code(),
                event.system(),
                event.text(),
                written(event.on()),
                written(event.until()),
                event.status(),
                event.value().isPresent() ? FieldWords.number(event.value().getAsDouble()) : "",
                event.unit(),
                event.valueText(),
                String.join("; ", event.keywords()),
                event.provider(),
                event.site(),
                event.source());
    }

    private static String written(Optional<DateRange> days) {
        return days.map(PartialDate::written).orElse("");
    }

    @Override
    public void erase(String person, String stub, String by) {
        int gone = records.deletePerson(person) + records.deleteEventsOf(person);
        records.onFileAgain(person);
        if (gone > 0) {
            unshown.changing(
                    Set.of(person),
                    true,
                    () -> records.changeStamp(UUID.randomUUID().toString()));
        }
    }
}
