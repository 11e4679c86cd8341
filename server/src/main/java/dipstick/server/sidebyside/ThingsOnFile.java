package dipstick.server.sidebyside;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.FieldCell;
import dipstick.core.export.ReadingExport;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import dipstick.core.things.Things;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaDocuments;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.rosters.RosterThings;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** What is here as lists of things: a roster, a list as of today, everybody on file. Each look is in the audit log. */
@Component
class ThingsOnFile {
    private final RosterThings rosters;
    private final CriteriaSets sets;
    private final CriteriaDocuments documents;
    private final Evaluators evaluators;
    private final Sharing sharing;
    private final AuditLog audit;

    ThingsOnFile(
            RosterThings rosters,
            CriteriaSets sets,
            CriteriaDocuments documents,
            Evaluators evaluators,
            Sharing sharing,
            AuditLog audit) {
        this.rosters = rosters;
        this.sets = sets;
        this.documents = documents;
        this.evaluators = evaluators;
        this.sharing = sharing;
        this.audit = audit;
    }

    /** Refused where there is none, or whoever is signed in may not see it. */
    Laid.Side of(SideKind kind, String ref) {
        Laid.Side side = switch (kind) {
            case ROSTER -> {
                RosterThings.Named roster = rosters.of(ref);
                yield new Laid.Side(roster.name(), roster.things());
            }
            case LIST -> list(ref);
            case PEOPLE -> {
                Population people = evaluators.asOf(Optional.empty()).population();
                Columns columns = new Columns(people);
                requireNotTooMany(people.size(), columns);
                yield new Laid.Side(
                        "people on file",
                        new Things(
                                columns.names(),
                                IntStream.range(0, people.size())
                                        .mapToObj(columns::of)
                                        .toList()));
            }
            case FILE ->
                throw Problems.refused(
                        HttpStatus.UNPROCESSABLE_CONTENT, "no-file", "A file is sent by itself. Nothing was laid.");
        };
        audit.record(Act.PEOPLE_LISTED, side.name() + ", to be laid side by side");
        return side;
    }

    private Laid.Side list(String id) {
        sharing.require(id, Right.VIEW);
        SavedSet set = sets.getInForce(id);
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        Reading reading = documents
                .readingOf(set.json(), evaluator)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.CONFLICT,
                        "cannot-be-read",
                        "This list cannot be read as it stands. Open its criteria to see why. Nothing was laid."));
        Columns columns = new Columns(evaluator.population());
        List<ListMember> members = evaluator.members(reading);
        requireNotTooMany(members.size(), columns);
        List<List<String>> rows = new ArrayList<>();
        for (ListMember member : members) {
            rows.add(Stream.concat(
                            columns.of(member.person()).stream(),
                            Stream.of(member.state().word(), ReadingExport.dueText(member.due())))
                    .toList());
        }
        List<String> names = Stream.concat(columns.names().stream(), Stream.of("state", "due_on"))
                .toList();
        return new Laid.Side(set.publishedName(), new Things(names, rows));
    }

    private static void requireNotTooMany(int people, Columns columns) {
        if ((long) people * (columns.names().size() + 2) > Laid.Side.MOST_CELLS) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "too-many",
                    people + " people are too many to be laid beside a list at once. Choose a list of some of them."
                            + " Nothing was laid.");
        }
    }

    /** The fields of people, by their numbers first. */
    private record Columns(Population people, List<Field> fields, List<Column> columns) {
        Columns(Population people) {
            this(
                    people,
                    people.personFields().all().stream()
                            .filter(field -> !field.name().equals("id"))
                            .toList());
        }

        private Columns(Population people, List<Field> fields) {
            this(people, fields, fields.stream().map(people::column).toList());
        }

        List<String> names() {
            return Stream.concat(Stream.of("id"), fields.stream().map(Field::name))
                    .toList();
        }

        List<String> of(int person) {
            return Stream.concat(
                            Stream.of(people.idOf(person)),
                            columns.stream().map(column -> FieldCell.of(column, person)))
                    .toList();
        }
    }
}
