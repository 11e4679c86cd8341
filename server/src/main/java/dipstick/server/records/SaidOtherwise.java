package dipstick.server.records;

import dipstick.core.export.FieldCell;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.server.records.OtherwiseMapper.Kept;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What sources say otherwise than what is on file, as long as it differs. */
@Service
public class SaidOtherwise {
    private final OtherwiseMapper otherwises;
    private final RecordsMapper records;
    private final Views views;

    SaidOtherwise(OtherwiseMapper otherwises, RecordsMapper records, Views views) {
        this.otherwises = otherwises;
        this.records = records;
        this.views = views;
    }

    /** By field and source; only of people who are on file. */
    public List<Otherwise> all() {
        Population population = views.current().population();
        List<Kept> all = otherwises.all();
        String[] people = all.stream().map(Kept::person).distinct().toArray(String[]::new);
        Map<String, SaidBy> saidBy = records.saidBy(people).stream()
                .collect(Collectors.toMap(RecordsMapper.PersonSaidBy::id, one -> SaidBy.read(one.saidBy())));
        return all.stream()
                .flatMap(one -> standing(one, population, saidBy.getOrDefault(one.person(), SaidBy.NOBODY)).stream())
                .filter(one -> !Otherwise.isSame(one.said(), one.kept()))
                .toList();
    }

    private static Optional<Otherwise> standing(Kept kept, Population population, SaidBy saidBy) {
        OptionalInt person = population.find(kept.person());
        if (person.isEmpty()) {
            return Optional.empty();
        }
        return kept.recordKey().isEmpty()
                ? population
                        .personFields()
                        .find(kept.field())
                        .map(field ->
                                with(kept, FieldCell.of(population, field, person.getAsInt()), saidBy.of(kept.field())))
                : ofRecord(kept, population, person.getAsInt());
    }

    private static Optional<Otherwise> ofRecord(Kept kept, Population population, int person) {
        Events events = population.events();
        OptionalInt event = events.of(person)
                .filter(one -> RowMapping.keyOf(cell(events, "id", one)).equals(kept.recordKey()))
                .findFirst();
        return event.isEmpty() || events.fields().find(kept.field()).isEmpty()
                ? Optional.empty()
                : Optional.of(with(
                        kept, cell(events, kept.field(), event.getAsInt()), cell(events, "source", event.getAsInt())));
    }

    private static String cell(Events events, String field, int event) {
        return FieldCell.of(events.column(events.fields().find(field).orElseThrow()), event);
    }

    private static Otherwise with(Kept kept, String here, String owner) {
        return new Otherwise(kept.person(), kept.recordKey(), kept.field(), kept.source(), kept.said(), here, owner);
    }
}
