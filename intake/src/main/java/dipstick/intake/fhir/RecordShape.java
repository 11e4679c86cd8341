package dipstick.intake.fhir;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Where in a resource the fields of a record stand (<a href="https://hl7.org/fhir/R4/resourcelist.html">R4</a>). Of several
 * paths the first that says something counts.
 */
enum RecordShape {
    CONDITION(
            "Condition",
            "problem",
            List.of("subject"),
            List.of("code"),
            List.of("onsetDateTime", "onsetPeriod.start"),
            List.of("abatementDateTime", "abatementPeriod.end", "abatementPeriod.start", "onsetPeriod.end"),
            List.of("recordedDate"),
            List.of("recorder", "asserter"),
            List.of()),
    OBSERVATION(
            "Observation",
            "result",
            List.of("subject"),
            List.of("code"),
            List.of("effectiveDateTime", "effectiveInstant", "effectivePeriod.start", "effectiveTiming.event"),
            List.of("effectivePeriod.end"),
            List.of("issued"),
            List.of("performer"),
            List.of()),
    REPORT(
            "DiagnosticReport",
            "result",
            List.of("subject"),
            List.of("code"),
            List.of("effectiveDateTime", "effectivePeriod.start"),
            List.of("effectivePeriod.end"),
            List.of("issued"),
            List.of("performer", "resultsInterpreter"),
            List.of()),
    PROCEDURE(
            "Procedure",
            "procedure",
            List.of("subject"),
            List.of("code"),
            List.of("performedDateTime", "performedPeriod.start"),
            List.of("performedPeriod.end"),
            List.of(),
            List.of("performer.actor", "recorder"),
            List.of("location")),
    IMMUNIZATION(
            "Immunization",
            "vaccination",
            List.of("patient"),
            List.of("vaccineCode"),
            List.of("occurrenceDateTime"),
            List.of(),
            List.of("recorded"),
            List.of("performer.actor"),
            List.of("location")),
    ENCOUNTER(
            "Encounter",
            "visit",
            List.of("subject"),
            List.of("type", "serviceType", "class"),
            List.of("period.start"),
            List.of("period.end"),
            List.of(),
            List.of("participant.individual"),
            List.of("location.location", "serviceProvider")),
    APPOINTMENT(
            "Appointment",
            "appointment",
            List.of("participant.actor"),
            List.of("appointmentType", "serviceType"),
            List.of("start", "requestedPeriod.start"),
            List.of("end", "requestedPeriod.end"),
            List.of("created"),
            List.of("participant.actor"),
            List.of("participant.actor")),
    DOCUMENT(
            "DocumentReference",
            "document",
            List.of("subject"),
            List.of("type"),
            List.of("context.period.start", "date"),
            List.of("context.period.end"),
            List.of("date"),
            List.of("author"),
            List.of("custodian")),
    ORDER(
            "MedicationRequest",
            "medication",
            List.of("subject"),
            List.of("medicationCodeableConcept"),
            List.of("authoredOn"),
            List.of(),
            List.of("authoredOn"),
            List.of("requester", "recorder"),
            List.of()),
    STATEMENT(
            "MedicationStatement",
            "medication",
            List.of("subject"),
            List.of("medicationCodeableConcept"),
            List.of("effectiveDateTime", "effectivePeriod.start"),
            List.of("effectivePeriod.end"),
            List.of("dateAsserted"),
            List.of("informationSource"),
            List.of()),
    COMMUNICATION(
            "Communication",
            "contact",
            List.of("subject", "recipient"),
            List.of("topic", "reasonCode", "category"),
            List.of("sent", "received"),
            List.of(),
            List.of(),
            List.of("sender"),
            List.of());

    private final String resource;
    private final String kind;
    private final List<String> whose;
    private final List<String> concept;
    private final List<String> on;
    private final List<String> until;
    private final List<String> recordedOn;
    private final List<String> provider;
    private final List<String> site;

    RecordShape(
            String resource,
            String kind,
            List<String> whose,
            List<String> concept,
            List<String> on,
            List<String> until,
            List<String> recordedOn,
            List<String> provider,
            List<String> site) {
        this.resource = resource;
        this.kind = kind;
        this.whose = whose;
        this.concept = concept;
        this.on = on;
        this.until = until;
        this.recordedOn = recordedOn;
        this.provider = provider;
        this.site = site;
    }

    static Optional<RecordShape> of(String resource) {
        return Arrays.stream(values())
                .filter(shape -> shape.resource.equals(resource))
                .findFirst();
    }

    String resource() {
        return resource;
    }

    String kind() {
        return kind;
    }

    /** Those of whom it may be; each person among them has the record. */
    List<String> whose() {
        return whose;
    }

    List<String> concept() {
        return concept;
    }

    List<String> on() {
        return on;
    }

    List<String> until() {
        return until;
    }

    List<String> recordedOn() {
        return recordedOn;
    }

    List<String> provider() {
        return provider;
    }

    List<String> site() {
        return site;
    }
}
