package dipstick.server.people;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.Test;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Level.Section;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Explainer;
import dipstick.core.explain.Reason;
import dipstick.core.export.ReadingExport;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import dipstick.core.wording.DayWords;
import dipstick.core.wording.FieldWords;
import dipstick.core.wording.SentencePrinter;
import dipstick.core.wording.ValueWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.people.PersonView.Bracket;
import dipstick.server.people.PersonView.CriterionReason;
import dipstick.server.people.PersonView.Detail;
import dipstick.server.people.PersonView.ReasonView;
import dipstick.server.people.PersonView.TimelineRecord;
import dipstick.server.records.OtherNumbers;
import dipstick.server.web.Problems;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.web.ErrorResponseException;

/** Reads one person whole; each reading is written down in the audit log. */
@Service
public class PeopleReader {
    /** The fields of a record that its line on the time line says, or that are its own business. */
    private static final Set<String> SAID_ALREADY =
            Set.of("id", "person_id", "kind", "code", "text", "on", "status", "value", "unit");

    private final Accounts accounts;
    private final OtherNumbers numbers;
    private final AuditLog audit;

    PeopleReader(Accounts accounts, OtherNumbers numbers, AuditLog audit) {
        this.accounts = accounts;
        this.numbers = numbers;
        this.audit = audit;
    }

    /** @param named by their number, or one that was joined to it */
    public PersonView read(String named, Evaluator evaluator, CriteriaSet set) {
        String id = numbers.goesOnAs(named);
        int person = numberOf(id, evaluator.population());
        requireMaySee(person, evaluator.population());
        audit.record(Act.PERSON_READ, id);
        Reading reading = evaluator.read(set);
        return new PersonView(
                PersonLine.of(evaluator.population(), person, evaluator.asOf()),
                details(evaluator.population(), person),
                reading.people().get(person) ? Optional.of(reading.list().of(person)) : Optional.empty(),
                due(evaluator, reading, person),
                criteria(set)
                        .map(one -> reason(evaluator, person, one.section(), one.criterion()))
                        .toList(),
                timeline(evaluator, person),
                criteria(set)
                        .flatMap(one -> windows(one.criterion().test())
                                .map(window -> bracket(one.criterion(), window, evaluator.asOf())))
                        .toList());
    }

    /** Their fields and records alone, whatever sets there are. */
    public PersonView record(String named, Evaluator evaluator) {
        String id = numbers.goesOnAs(named);
        int person = numberOf(id, evaluator.population());
        requireMaySee(person, evaluator.population());
        audit.record(Act.PERSON_READ, id);
        return new PersonView(
                PersonLine.of(evaluator.population(), person, evaluator.asOf()),
                details(evaluator.population(), person),
                Optional.empty(),
                "",
                List.of(),
                timeline(evaluator, person),
                List.of());
    }

    /** When somebody is due; nothing where the set does not concern them, since they cannot be eligible. */
    public static String due(Evaluator evaluator, Reading reading, int person) {
        return reading.eligible().possible().get(person)
                ? ReadingExport.dueText(evaluator.dueOf(reading.set(), person))
                : "";
    }

    /** To whoever sees own people only, others are not there. */
    public void requireMaySee(int person, Population population) {
        if (!accounts.here().maySeePeopleOf(PersonLine.text(population, person, "provider"))) {
            throw noSuchPerson();
        }
    }

    /** The number of the person with this id; refused where there is none. */
    public static int numberOf(String id, Population population) {
        return population.find(id).orElseThrow(PeopleReader::noSuchPerson);
    }

    /** The same, whether nobody has this id, or somebody whom whoever asks may not see. */
    public static ErrorResponseException noSuchPerson() {
        return Problems.refused(
                HttpStatus.NOT_FOUND,
                "no-such-person",
                "This person is not among the records that you see. Look them up under People.");
    }

    private record InSection(Section section, Criterion criterion) {}

    private static Stream<InSection> criteria(CriteriaSet set) {
        List<InSection> all = new ArrayList<>();
        set.include().forEach(criterion -> all.add(new InSection(Section.INCLUDE, criterion)));
        set.exclude().forEach(criterion -> all.add(new InSection(Section.EXCLUDE, criterion)));
        set.shouldHave()
                .map(ShouldHave::of)
                .orElse(List.of())
                .forEach(criterion -> all.add(new InSection(Section.SHOULD_HAVE, criterion)));
        return all.stream().filter(one -> !one.criterion().off());
    }

    private static CriterionReason reason(Evaluator evaluator, int person, Section section, Criterion criterion) {
        return new CriterionReason(
                section,
                criterion.id(),
                criterion
                        .label()
                        .orElseGet(() -> new SentencePrinter(evaluator.asOf())
                                .print(criterion.test())
                                .text()),
                view(new Explainer(evaluator, person).explain(criterion.test())));
    }

    private static ReasonView view(Reason reason) {
        return new ReasonView(
                reason.outcome(),
                reason.words(),
                reason.witness(),
                reason.nearest().stream().boxed().findFirst(),
                reason.parts().stream().map(PeopleReader::view).toList());
    }

    private static List<Detail> details(Population population, int person) {
        List<Detail> details = new ArrayList<>();
        for (Field field : population.personFields().all()) {
            Column column = population.column(field);
            int code = column.codes().get(person);
            if (code != Codes.MISSING) {
                details.add(new Detail(FieldWords.name(field.name()), ValueWords.of(column, code)));
            }
        }
        return details;
    }

    /** Latest first; undated ones last. */
    private static List<TimelineRecord> timeline(Evaluator evaluator, int person) {
        Events events = evaluator.population().events();
        return events.of(person)
                .mapToObj(event -> record(evaluator, events, event))
                .sorted(Comparator.comparing(
                                (TimelineRecord record) -> record.last().orElse(""))
                        .reversed())
                .toList();
    }

    private static TimelineRecord record(Evaluator evaluator, Events events, int event) {
        int date = events.on().codes().get(event);
        Optional<DateRange> days = date == Codes.MISSING
                ? Optional.empty()
                : Optional.of(events.on().days().get(date));
        int value = events.value().codes().get(event);
        String text = events.text().writtenAt(event);
        String code = events.code().writtenAt(event);
        String amount = value == Codes.MISSING
                ? ""
                : ": " + FieldWords.number(events.value().numbers().get(value)) + " "
                        + events.unit().writtenAt(event);
        String what = text.isEmpty() ? code : code.isEmpty() ? text : text + " (" + code + ")";
        String kind = events.kind().writtenAt(event);
        return new TimelineRecord(
                event,
                kind,
                (what.isEmpty() ? kind : what) + amount.stripTrailing(),
                code,
                events.system().writtenAt(event),
                text,
                events.status().writtenAt(event),
                days.map(DayWords::date).orElse("undated"),
                more(events, event),
                evaluator
                        .dayOf(event)
                        .map(range -> LocalDate.ofEpochDay(range.first()).toString()),
                evaluator
                        .dayOf(event)
                        .map(range -> LocalDate.ofEpochDay(range.last()).toString()));
    }

    /** What the line does not say already, custom fields among it. */
    private static List<Detail> more(Events events, int event) {
        return events.fields().all().stream()
                .filter(field -> !SAID_ALREADY.contains(field.name()))
                .map(field -> Map.entry(field, events.column(field)))
                .filter(field -> !field.getValue().isMissing(event))
                .map(field -> new Detail(
                        field.getKey().type() == FieldType.CODINGS
                                ? "also coded"
                                : FieldWords.name(field.getKey().name()),
                        ValueWords.of(field.getValue(), field.getValue().codes().get(event))))
                .toList();
    }

    private static Bracket bracket(Criterion criterion, Window window, LocalDate asOf) {
        DateRange days = window.daysAsOf(asOf);
        return new Bracket(
                criterion.id(), end(days.first(), DateRange.OPEN_FIRST), end(days.last(), DateRange.OPEN_LAST));
    }

    private static Optional<String> end(int day, int open) {
        return day == open
                ? Optional.empty()
                : Optional.of(LocalDate.ofEpochDay(day).toString());
    }

    /** The windows of a test whose days are the same for everybody. */
    private static Stream<Window> windows(Test test) {
        return switch (test) {
            case Test.All(var of) -> of.stream().flatMap(PeopleReader::windows);
            case Test.Any(var of) -> of.stream().flatMap(PeopleReader::windows);
            case Test.AtLeast some -> some.of().stream().flatMap(PeopleReader::windows);
            case Test.Not(var of) -> windows(of);
            case Test.Events events -> window(events.events());
            case Test.Pick pick -> window(pick.events());
            case Test.Sequence sequence -> window(sequence.anchor());
            case Test.OfField _, Test.Age _, Test.Member _, Test.InRoster _ -> Stream.empty();
        };
    }

    private static Stream<Window> window(Selection selection) {
        return selection.window() instanceof Window.AtAge ? Stream.empty() : Stream.of(selection.window());
    }
}
