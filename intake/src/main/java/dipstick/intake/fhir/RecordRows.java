package dipstick.intake.fhir;

import dipstick.intake.fhir.Resources.Resource;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** The rows of a resource that becomes a record: one for each person of whom it is, and for each part of a result. */
final class RecordRows {
    private static final Set<String> PLACES = Set.of("Location", "Organization", "HealthcareService");

    private final References references;

    RecordRows(References references) {
        this.references = references;
    }

    List<OwnRow> of(Resource resource, RecordShape shape) {
        JsonNode json = resource.json();
        List<String> people = shape.whose().stream()
                .flatMap(path -> Element.all(json, path).stream())
                .filter(reference -> references.isOfPerson(reference, json))
                .map(reference -> references.number(reference, json))
                .filter(number -> !number.isEmpty())
                .distinct()
                .toList();
        if (people.isEmpty()) {
            return List.of(OwnRow.of(shape.resource())
                    .passedOver(shape.resource() + " that does not say of which Patient it is"));
        }
        List<OwnRow> rows = new ArrayList<>();
        for (String person : people) {
            String id = people.size() == 1 ? id(resource) : id(resource) + "/" + person;
            rows.add(whole(json, shape, person, id));
            if (shape == RecordShape.OBSERVATION) {
                parts(json, person, id, rows);
            }
        }
        return rows;
    }

    private static String id(Resource resource) {
        if (!resource.id().isEmpty()) {
            return resource.type() + "/" + resource.id();
        }
        return resource.fullUrl().isEmpty() ? Element.text(resource.json(), "identifier.value") : resource.fullUrl();
    }

    /** What a result has in common with its parts. */
    private OwnRow row(JsonNode json, RecordShape shape, String person, String id) {
        OwnRow row = OwnRow.of(shape.resource());
        Statuses.Status status = Statuses.of(shape, json);
        return row.put(OwnColumn.NUMBER, person)
                .put(OwnColumn.RECORD_ID, id)
                .put(OwnColumn.KIND, shape.kind())
                .put(OwnColumn.ON, Element.text(json, shape.on()))
                .put(OwnColumn.UNTIL, Element.text(json, shape.until()))
                .put(OwnColumn.RECORDED_ON, Element.text(json, shape.recordedOn()))
                .put(OwnColumn.STATUS, status.ours())
                .put(OwnColumn.KEYWORDS, keywords(json, status))
                .put(OwnColumn.PROVIDER, named(json, shape.provider(), type -> !PLACES.contains(type)))
                .put(
                        OwnColumn.SITE,
                        named(
                                json,
                                shape.site(),
                                type -> PLACES.contains(type) || (type.isEmpty() && shape != RecordShape.APPOINTMENT)));
    }

    private OwnRow whole(JsonNode json, RecordShape shape, String person, String id) {
        OwnRow row = row(json, shape, person, id);
        concept(json, shape).putInto(row);
        switch (shape) {
            case OBSERVATION -> ResultValue.putInto(row, json);
            case REPORT -> row.put(OwnColumn.VALUE_TEXT, Element.text(json, "conclusion"));
            case CONDITION ->
                row.put(OwnColumn.VALUE_TEXT, Element.text(json, List.of("severity.text", "severity.coding.display")));
            case IMMUNIZATION -> row.put(OwnColumn.VALUE_TEXT, Element.text(json, "occurrenceString"));
            case PROCEDURE, ENCOUNTER, APPOINTMENT, DOCUMENT, ORDER, STATEMENT, COMMUNICATION -> {
                // They have no value.
            }
        }
        if (row.get(OwnColumn.TEXT).isEmpty()) {
            row.put(
                    OwnColumn.TEXT,
                    Element.text(json, List.of("description", "content.attachment.title", "payload.contentString")));
        }
        return row;
    }

    private Concept concept(JsonNode json, RecordShape shape) {
        Concept own = Concept.of(json, shape.concept());
        JsonNode medication = json.path("medicationReference");
        return own.codes().isEmpty() && medication.isObject() ? references.concept(medication, json) : own;
    }

    private static List<String> keywords(JsonNode json, Statuses.Status status) {
        Stream<String> categories = Element.all(json, "category").stream()
                .flatMap(category -> category.has("coding")
                        ? Element.all(category, "coding.code").stream().map(code -> code.asString(""))
                        : Stream.of(category.path("text").asString(category.asString(""))));
        return Stream.concat(categories, Stream.of(status.keyword()))
                .map(word -> word.replace(';', ' ').strip())
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
    }

    /** What the first is called of those to whom these point; an appointment has everybody and every room in one list. */
    private String named(JsonNode json, List<String> paths, Predicate<String> ofType) {
        return paths.stream()
                .flatMap(path -> Element.all(json, path).stream())
                .filter(reference -> {
                    String type = references.type(reference, json);
                    return !type.equals("Patient") && ofType.test(type);
                })
                .map(reference -> references.name(reference, json))
                .filter(name -> !name.isEmpty())
                .findFirst()
                .orElse("");
    }

    /** The parts of a result, such as both pressures, are results of their own. */
    private void parts(JsonNode json, String person, String id, List<OwnRow> rows) {
        List<JsonNode> components = Element.all(json, "component");
        for (int i = 0; i < components.size(); i++) {
            OwnRow part = row(json, RecordShape.OBSERVATION, person, id.isEmpty() ? "" : id + "#" + (i + 1));
            Concept.of(components.get(i), List.of("code")).putInto(part);
            ResultValue.putInto(part, components.get(i));
            rows.add(part);
        }
    }
}
