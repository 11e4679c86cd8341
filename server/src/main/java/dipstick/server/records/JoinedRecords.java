package dipstick.server.records;

import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.server.personal.FollowsPerson;
import dipstick.server.records.FurtherNumberMapper.FurtherNumber;
import dipstick.server.records.RecordsMapper.StoredPerson;
import dipstick.server.web.Problems;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * What is on record of two who are one: whoever goes on keeps their fields, with the blanks filled from the other, gets the
 * other's records, and is found by either number.
 */
@Component
@Order(1)
class JoinedRecords implements FollowsPerson {
    /** Somebody who asked not to be contacted under one of their numbers did so under both. */
    private static final String DO_NOT_CONTACT = "do_not_contact";

    private final RecordsMapper records;
    private final DeliveryMapper deliveries;
    private final FurtherNumberMapper numbers;
    private final OtherwiseMapper otherwises;
    private final JoinedMapper joined;
    private final EventMoves events;
    private final OtherNumbers otherNumbers;
    private final RecordsLoader loader;
    private final Unshown unshown;

    JoinedRecords(
            RecordsMapper records,
            DeliveryMapper deliveries,
            FurtherNumberMapper numbers,
            OtherwiseMapper otherwises,
            JoinedMapper joined,
            EventMoves events,
            OtherNumbers otherNumbers,
            RecordsLoader loader,
            Unshown unshown) {
        this.records = records;
        this.deliveries = deliveries;
        this.numbers = numbers;
        this.otherwises = otherwises;

        this.joined = joined;
        this.events = events;
        this.otherNumbers = otherNumbers;
        this.loader = loader;
        this.unshown = unshown;
    }

    @Override
    public void join(Joining joining) {
        String person = joining.person();
        String other = joining.other();
        if (joined.lock(person, other).size() != 2) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "not-both-on-file",
                    "One of the two is not on file any more, or was joined to somebody meanwhile. Nothing was changed.");
        }
        long delivery = asDelivery(joining);
        deliveries.keepPerson(delivery, person);
        deliveries.keepPerson(delivery, other);
        PersonRecord stays = onFile(person).orElseThrow();
        records.updatePerson(RowMapping.row(together(stays, onFile(other).orElseThrow())));
        records.updateSaidBy(person, saidByTogether(stays, other).written().orElse(null));
        records.deletePerson(other);
        // What was said otherwise of a number that only leads on is said again of the person with the next delivery.
        otherwises.forgetOf(other);
        numbers.keep(new FurtherNumber(other, "", person, delivery));
        joined.eventsOf(other).forEach(event -> events.join(event, person));
        changed(joining);
    }

    @Override
    public void part(Joining joining) {
        String person = joining.person();
        String other = joining.other();
        long delivery = asDelivery(joining);
        joined.lock(person, other);
        PersonRecord personBefore = before(delivery, person).orElseThrow();
        PersonRecord otherBefore = before(delivery, other).orElseThrow();
        onFile(person).ifPresent(now -> {
            PersonRecord made = together(personBefore, otherBefore);
            records.updatePerson(RowMapping.row(parted(personBefore, made, now)));
        });
        deliveries.restorePerson(delivery, other);
        joined.forgetPeopleBefore(delivery);
        numbers.takeBack(delivery);
        joined.namedBy(other).forEach(named -> events.part(named, person, other));
        joined.forgetNamed(other);
        for (String further : otherNumbers.leadingTo(other)) {
            joined.namedBy(further).forEach(named -> events.part(named, person, other));
        }
        changed(joining);
    }

    /** What was before a joining is kept as what was before a delivery is. */
    private static long asDelivery(Joining joining) {
        return -joining.id();
    }

    private void changed(Joining joining) {
        unshown.changing(
                Set.of(joining.person(), joining.other()),
                true,
                () -> records.changeStamp(UUID.randomUUID().toString()));
    }

    private Optional<PersonRecord> onFile(String person) {
        return records(records.people(new String[] {person}));
    }

    private Optional<PersonRecord> before(long delivery, String person) {
        return records(records.personBefore(delivery, person));
    }

    private Optional<PersonRecord> records(List<StoredPerson> rows) {
        return rows.stream()
                .map(stored -> RowMapping.person(stored, loader.fields().people()))
                .findFirst();
    }

    /** The fields of one, with what is blank filled from the other. */
    static PersonRecord together(PersonRecord person, PersonRecord other) {
        Map<String, FieldValue> values = new HashMap<>(other.values());
        values.putAll(person.values());
        if (asks(person) || asks(other)) {
            values.put(DO_NOT_CONTACT, new FieldValue.OfFlag(true));
        }
        return new PersonRecord(person.id(), values);
    }

    /** What is filled from the other belongs to whoever brought it there. */
    private SaidBy saidByTogether(PersonRecord stays, String other) {
        Map<String, String> sources = new HashMap<>(saidBy(other).sources());
        sources.keySet().removeAll(stays.values().keySet());
        sources.putAll(saidBy(stays.id()).sources());
        return new SaidBy(sources);
    }

    private SaidBy saidBy(String person) {
        return records.saidBy(new String[] {person}).stream()
                .map(said -> SaidBy.read(said.saidBy()))
                .findFirst()
                .orElse(SaidBy.NOBODY);
    }

    private static boolean asks(PersonRecord person) {
        return person.values().get(DO_NOT_CONTACT) instanceof FieldValue.OfFlag(boolean asked) && asked;
    }

    /** As before, but for what something else changed since. */
    private static PersonRecord parted(PersonRecord before, PersonRecord made, PersonRecord now) {
        Map<String, FieldValue> values = new HashMap<>(now.values());
        made.values().forEach((field, value) -> {
            if (value.equals(now.values().get(field))) {
                if (before.values().containsKey(field)) {
                    values.put(field, before.values().get(field));
                } else {
                    values.remove(field);
                }
            }
        });
        return new PersonRecord(before.id(), values);
    }
}
