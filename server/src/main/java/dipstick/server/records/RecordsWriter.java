package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.server.practice.Today;
import dipstick.server.records.RecordsMapper.CustomFieldRow;
import dipstick.server.records.RecordsMapper.KnownEvent;
import dipstick.server.records.RecordsMapper.PersonSaidBy;
import dipstick.server.records.RecordsMapper.StoredEvent;
import dipstick.server.records.RecordsMapper.StoredPerson;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.ibatis.session.ExecutorType;
import org.apache.ibatis.session.SqlSessionFactory;
import org.apache.ibatis.session.defaults.DefaultSqlSessionFactory;
import org.mybatis.spring.SqlSessionTemplate;
import org.springframework.context.annotation.DependsOn;
import org.springframework.stereotype.Component;

/** Writes records over those that they name, in batches; runs inside the caller's transaction. */
// The session of its own knows the mappers that are there.
@Component
@DependsOn({"recordsMapper", "deliveryMapper", "otherwiseMapper"})
class RecordsWriter {
    /** What becomes of the fields of a record on file of which a new one says nothing. */
    enum Over {
        BLANKS_CLEAR,
        BLANKS_STAY
    }

    private final SqlSessionTemplate session;
    private final RecordsMapper batch;
    private final DeliveryMapper deliveries;
    private final OtherwiseMapper otherwises;
    private final Unshown unshown;
    private final Today today;

    /** With a factory of its own: one transaction may use both, this for its batches and the other for single statements. */
    RecordsWriter(SqlSessionFactory factory, Unshown unshown, Today today) {
        this.unshown = unshown;
        this.today = today;
        this.session =
                new SqlSessionTemplate(new DefaultSqlSessionFactory(factory.getConfiguration()), ExecutorType.BATCH);
        this.batch = session.getMapper(RecordsMapper.class);
        this.deliveries = session.getMapper(DeliveryMapper.class);
        this.otherwises = session.getMapper(OtherwiseMapper.class);
    }

    /** What is written with these notes can be taken back. */
    DeliveryNotes notesOf(long delivery) {
        return new DeliveryNotes(deliveries, delivery);
    }

    /** Adds the custom fields of people that the practice has not yet. */
    void addCustomFieldsOfPeople(Collection<Field> fields, Fields known) {
        addCustomFields(fields, known, false);
    }

    /** Adds the custom fields of events that the practice has not yet. */
    void addCustomFieldsOfEvents(Collection<Field> fields, Fields known) {
        addCustomFields(fields, known, true);
    }

    private void addCustomFields(Collection<Field> fields, Fields known, boolean ofEvents) {
        for (Field field : fields) {
            if (known.find(field.name()).isEmpty()) {
                batch.insertCustomField(
                        new CustomFieldRow(field.name(), field.type().name(), ofEvents));
                changed(Set.of());
            }
        }
    }

    /**
     * Writes people with ids of their own.
     *
     * @param spokenOf the fields that a blank clears; the others stay as they are
     */
    Changes writePeople(
            List<PersonRecord> people, Set<String> spokenOf, Fields fields, Saying who, Optional<DeliveryNotes> notes) {
        String[] ids = people.stream().map(PersonRecord::id).distinct().toArray(String[]::new);
        Map<String, PersonRecord> known = new HashMap<>();
        for (StoredPerson stored : batch.people(ids)) {
            PersonRecord person = RowMapping.person(stored, fields);
            known.put(person.id(), person);
        }
        Map<String, SaidBy> saidBy = batch.saidBy(ids).stream()
                .collect(Collectors.toMap(PersonSaidBy::id, said -> SaidBy.read(said.saidBy())));
        forgetOtherwiseOf(ids, people, who);
        Instant now = today.now();
        List<PersonRecord> added = new ArrayList<>();
        List<PersonOver> changed = new ArrayList<>();
        Told.Sum told = new Told.Sum();
        for (PersonRecord person : people) {
            PersonRecord before = known.get(person.id());
            if (before == null) {
                added.add(person);
            } else {
                SaidBy by = saidBy.getOrDefault(person.id(), SaidBy.NOBODY);
                PersonOver over = PersonOver.of(before, by, person, spokenOf, who);
                keep(over.otherwise(), who, told);
                if (!over.after().equals(before)) {
                    told.person(person.id(), before.values(), over.after().values());
                    changed.add(over);
                }
            }
        }
        // Rows of one statement come one after another: so they are one batch.
        List<PersonRecord> after = changed.stream().map(PersonOver::after).toList();
        notes.ifPresent(note -> note.addsPeople(added));
        added.forEach(person -> batch.insertPerson(
                RowMapping.newRow(person, PersonOver.nobody(person, who).saidBy(), now)));
        notes.ifPresent(note -> note.changesPeople(after));
        after.forEach(person -> batch.updatePerson(RowMapping.row(person)));
        changed.stream()
                .filter(over ->
                        !over.saidBy().equals(saidBy.getOrDefault(over.after().id(), SaidBy.NOBODY)))
                .forEach(over -> batch.updateSaidBy(
                        over.after().id(), over.saidBy().written().orElse(null)));
        Set<String> others = Stream.concat(added.stream(), after.stream())
                .map(PersonRecord::id)
                .collect(Collectors.toSet());
        if (!others.isEmpty()) {
            changed(others);
        }
        session.flushStatements();
        int unchanged = people.size() - added.size() - changed.size();
        return new Changes(added.size(), changed.size(), unchanged, 0, others, told.whole());
    }

    private void forgetOtherwiseOf(String[] ids, List<PersonRecord> people, Saying who) {
        String[] said = people.stream()
                .flatMap(person -> person.values().keySet().stream())
                .distinct()
                .toArray(String[]::new);
        otherwises.forgetOfPeople(who.source(), ids, said);
    }

    private void keep(List<Otherwise> otherwise, Saying who, Told.Sum told) {
        otherwise.forEach(one -> otherwises.keep(one, who.delivery()));
        told.otherwise(otherwise);
    }

    /**
     * Takes everybody else off file. Their events stay, and count again if they come back.
     *
     * @param ids of those who stay
     */
    Changes removeOthers(Set<String> ids, Optional<DeliveryNotes> notes) {
        List<String> others =
                batch.personIds().stream().filter(id -> !ids.contains(id)).toList();
        others.forEach(person -> {
            notes.ifPresent(note -> note.removesPerson(person));
            batch.deletePerson(person);
        });
        if (!others.isEmpty()) {
            changed(others);
        }
        session.flushStatements();
        return Changes.gone(others.size(), Set.copyOf(others));
    }

    private void changed(Collection<String> people) {
        unshown.changing(people, true, () -> {
            batch.changeStamp(UUID.randomUUID().toString());
            session.flushStatements();
        });
    }

    /**
     * Takes away the records of a source and some kinds that it does not name any more.
     *
     * @param named the keys of those that it does
     */
    Changes removeOtherEvents(String source, Set<String> kinds, Set<String> named, Optional<DeliveryNotes> notes) {
        List<KnownEvent> others = batch.eventsOfSource(source, kinds.toArray(String[]::new)).stream()
                .filter(event -> !named.contains(event.recordKey()))
                .toList();
        others.forEach(event -> {
            notes.ifPresent(note -> note.removesEvent(event));
            deliveries.deleteEvent(event.recordKey());
        });
        Set<String> people = others.stream().map(KnownEvent::personId).collect(Collectors.toUnmodifiableSet());
        if (!others.isEmpty()) {
            changed(people);
        }
        session.flushStatements();
        return Changes.gone(others.size(), people);
    }

    /**
     * Writes events; of those that are known by all their fields, the same one twice is one.
     *
     * @param over what becomes of one that is on file
     * @param fields those that events have
     */
    Changes writeEvents(List<EventRecord> events, Over over, Fields fields, Saying who, Optional<DeliveryNotes> notes) {
        LocalDate now = today.day();
        Map<String, EventRow> rows = new LinkedHashMap<>();
        Map<String, EventRecord> said = new HashMap<>();
        events.forEach(event -> {
            EventRow row = RowMapping.row(event);
            if (rows.putIfAbsent(row.recordKey(), row) == null) {
                said.put(row.recordKey(), event);
            }
        });
        Map<String, KnownEvent> known = new HashMap<>();
        for (KnownEvent event : batch.knownEvents(rows.keySet().toArray(String[]::new))) {
            known.put(event.recordKey(), event);
        }
        otherwises.forgetOfRecords(who.source(), known.keySet().toArray(String[]::new));
        Told.Sum told = new Told.Sum();
        String[] differ = known.values().stream()
                .filter(event ->
                        !event.fingerprint().equals(rows.get(event.recordKey()).fingerprint()))
                .map(KnownEvent::recordKey)
                .toArray(String[]::new);
        for (StoredEvent stored : differ.length == 0 ? List.<StoredEvent>of() : batch.eventsByKey(differ)) {
            EventRecord before = RowMapping.event(stored, fields);
            String key = RowMapping.row(before).recordKey();
            EventRecord after = said.get(key);
            Saying speaker = who.of(after.text("source"));
            if (over == Over.BLANKS_STAY || !speaker.owns(before.text("source"))) {
                EventOver made = EventOver.of(key, before, after, speaker);
                keep(made.otherwise(), who, told);
                after = made.after();
                rows.put(key, RowMapping.row(after));
            }
            told.event(before.personId(), EventOver.told(before), EventOver.told(after));
        }

        List<EventRow> added = new ArrayList<>();
        List<EventRow> changed = new ArrayList<>();
        Set<String> others = new HashSet<>();
        for (EventRow row : rows.values()) {
            KnownEvent before = known.get(row.recordKey());
            if (before == null) {
                added.add(row);
                others.add(row.personId());
            } else if (!before.fingerprint().equals(row.fingerprint())) {
                changed.add(row);
                others.add(before.personId());
                others.add(row.personId());
            }
        }
        notes.ifPresent(note -> note.addsEvents(added));
        added.forEach(row -> batch.insertEvent(row.cellsRecordedOn(now)));
        notes.ifPresent(note -> note.changesEvents(changed));
        changed.forEach(row -> batch.updateEvent(row.cells()));
        if (!others.isEmpty()) {
            changed(others);
        }
        session.flushStatements();
        int unchanged = events.size() - added.size() - changed.size();
        return new Changes(added.size(), changed.size(), unchanged, 0, others, told.whole());
    }
}
