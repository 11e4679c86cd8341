package dipstick.server.records;

import dipstick.core.export.FieldCell;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.server.personal.PersonalData;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What is on record of a person: their fields and their events, as they came (criteria.md, section 1). */
@Component
@Order(1)
class PersonalRecords implements PersonalData {
    private final RecordsMapper records;
    private final FieldsOnFile fields;
    private final RecordsLoader loader;
    private final DeliveryMapper deliveries;
    private final FurtherNumberMapper numbers;
    private final OtherwiseMapper otherwises;
    private final JoinedMapper joined;
    private final Unshown unshown;

    PersonalRecords(
            RecordsMapper records,
            FieldsOnFile fields,
            RecordsLoader loader,
            DeliveryMapper deliveries,
            FurtherNumberMapper numbers,
            OtherwiseMapper otherwises,
            JoinedMapper joined,
            Unshown unshown) {
        this.records = records;
        this.fields = fields;
        this.loader = loader;
        this.deliveries = deliveries;
        this.numbers = numbers;
        this.otherwises = otherwises;

        this.joined = joined;
        this.unshown = unshown;
    }

    @Override
    public List<Held> heldOf(String person) {
        Fields ofEvents = loader.fields().events();
        List<Field> shown = ofEvents.all().stream()
                .filter(field -> !field.name().equals("person_id"))
                .toList();
        List<String> headers = shown.stream()
                .map(field -> FieldCell.header(field, Fields.EVENT))
                .toList();
        return List.of(
                new Held(
                        "On file",
                        List.of("field", "value"),
                        fields.of(person).entrySet().stream()
                                .map(field -> List.of(field.getKey(), field.getValue()))
                                .toList()),
                new Held(
                        "Further numbers",
                        List.of("number", "source"),
                        numbers.of(person).stream()
                                .map(one -> List.of(one.number(), one.source()))
                                .toList()),
                new Held(
                        "Said otherwise by another source",
                        List.of("field", "said", "source", "record"),
                        otherwises.of(person).stream()
                                .map(one -> List.of(one.field(), one.said(), one.source(), one.recordKey()))
                                .toList()),
                new Held(
                        "Records",
                        headers,
                        records.eventsOf(new String[] {person}).stream()
                                .map(stored -> FieldCell.row(
                                        RowMapping.event(stored, ofEvents).values(), shown))
                                .toList()),
                new Held(
                        "On file before a delivery changed it",
                        List.of("field", "value"),
                        records.peopleBefore(person).stream()
                                .map(stored -> RowMapping.person(
                                        stored, loader.fields().people()))
                                .flatMap(before -> before.values().entrySet().stream())
                                .map(field -> List.of(field.getKey(), FieldCell.of(field.getValue())))
                                .toList()),
                new Held(
                        "Records before a delivery changed them",
                        headers,
                        records.eventsBefore(person).stream()
                                .map(stored -> FieldCell.row(
                                        RowMapping.event(stored, ofEvents).values(), shown))
                                .toList()));
    }

    @Override
    public void erase(String person, String stub, String by) {
        int gone = records.deletePerson(person) + records.deleteEventsOf(person);
        records.onFileAgain(person);
        numbers.erase(person);
        otherwises.forgetOf(person);

        joined.forgetNamed(person);
        joined.forgetSaid(person);
        deliveries.eraseWhatWasDone(person);
        deliveries.erasePerson(person);
        deliveries.eraseEvents(person);
        if (gone > 0) {
            unshown.changing(
                    Set.of(person),
                    true,
                    () -> records.changeStamp(UUID.randomUUID().toString()));
        }
    }
}
