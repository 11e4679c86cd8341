package dipstick.server.rosters;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.Roster;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.records.FieldValue;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.IntakeDocument;
import dipstick.intake.describe.InvalidIntake;
import dipstick.server.criteria.CriteriaDocuments;
import dipstick.server.criteria.Evaluators;
import dipstick.server.practice.Today;
import dipstick.server.records.RecordsIn;
import dipstick.server.web.Problems;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.ErrorResponseException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What can be a roster, as the criteria read it, and whom its rows mean on file. */
@Component
class RosterChecks {
    private final CriteriaDocuments documents;
    private final Evaluators evaluators;
    private final RecordsIn records;
    private final Today today;

    RosterChecks(CriteriaDocuments documents, Evaluators evaluators, RecordsIn records, Today today) {
        this.documents = documents;
        this.evaluators = evaluators;
        this.records = records;
        this.today = today;
    }

    /** The roster that a change would make of it; refused where it cannot be one. */
    SharedRoster checked(String id, RosterController.RosterChange change) {
        List<SharedRoster.Row> rows = change.rows().stream()
                .map(row -> new SharedRoster.Row(row.cells(), row.until()))
                .distinct()
                .toList();
        Stream.concat(Stream.of(change.until()), rows.stream().map(SharedRoster.Row::until))
                .distinct()
                .forEach(RosterChecks::requireDay);
        String intake = change.intake()
                .filter(JsonNode::isObject)
                .map(JsonNode::toString)
                .map(RosterChecks::intake)
                .map(one -> IntakeDocument.written(RosterFile.onlyOf(one, change.key())))
                .orElse("");
        SharedRoster next = new SharedRoster(
                id,
                change.name().strip(),
                SharedRoster.written(change.key()),
                SharedRoster.written(rows),
                change.until(),
                today.day(),
                intake,
                0,
                Instant.EPOCH,
                "");
        inCore(next);
        return next;
    }

    private static void requireDay(String day) {
        try {
            if (!day.isEmpty()) {
                LocalDate.parse(day);
            }
        } catch (DateTimeParseException none) {
            throw invalid("“" + day + "” is no day; write it as 2027-03-31.");
        }
    }

    static Intake intake(String document) {
        try {
            return IntakeDocument.read(document);
        } catch (InvalidIntake wrong) {
            throw invalid(wrong.problems().getFirst());
        }
    }

    private static ErrorResponseException invalid(String said) {
        return Problems.refused(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "invalid-roster",
                "This cannot be a roster, so nothing was saved: " + said);
    }

    /** Its rows as they are evaluated, by the numbers that people have now; says what is wrong where one cannot be. */
    private Roster inCore(SharedRoster roster) {
        ObjectNode document = JsonNodeFactory.instance
                .objectNode()
                .put("format", "dipstick-criteria/1")
                .put("id", "one")
                .put("name", "one");
        document.putArray("rosters").add(roster.whole());
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        try {
            CriteriaSet set =
                    documents.read(document, Map.of(), evaluator.population().fields());
            return set.rosters().getFirst();
        } catch (InvalidCriteria invalid) {
            var first = invalid.problems().values().iterator().next().getFirst();
            throw invalid(first.pointer() + ": " + first.message());
        }
    }

    /** Its rows, each with how many on file it means. */
    List<RosterController.RosterRow> rows(SharedRoster roster) {
        Roster inCore = inCore(roster);
        List<SharedRoster.Row> named = roster.rows();

        Function<Map<String, FieldValue>, List<String>> finder = records.finder();
        List<RosterController.RosterRow> rows = new ArrayList<>();
        for (int i = 0; i < named.size(); i++) {
            SharedRoster.Row row = named.get(i);
            rows.add(new RosterController.RosterRow(
                    row.cells(), row.until(), people(inCore, inCore.rows().get(i), finder)));
        }
        return rows;
    }

    private static int people(Roster roster, Roster.Row row, Function<Map<String, FieldValue>, List<String>> finder) {
        Map<String, FieldValue> values = new HashMap<>();
        for (int cell = 0; cell < row.cells().size(); cell++) {
            String field = roster.key().get(cell).name();
            row.cells().get(cell).ifPresent(value -> values.put(field, value));
        }
        return values.size() < roster.key().size() ? 0 : finder.apply(values).size();
    }
}
