package dipstick.intake.fhir;

import dipstick.intake.fhir.Resources.Resource;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/** A Patient as a row (<a href="https://hl7.org/fhir/R4/patient.html">R4 Patient</a>). */
final class PatientRow {
    private final References references;

    PatientRow(References references) {
        this.references = references;
    }

    OwnRow of(Resource resource) {
        JsonNode patient = resource.json();
        Numbers numbers = Numbers.of(patient, resource.fullUrl());
        OwnRow row = OwnRow.of("Patient").put(OwnColumn.NUMBER, numbers.number());
        String survivor = linked(patient, "replaced-by");
        if (!survivor.isEmpty()) {
            return row.put(OwnColumn.NUMBER, survivor).put(OwnColumn.MERGED_NUMBERS, numbers.number());
        }
        HumanName name = HumanName.of(patient);
        row.put(OwnColumn.PERSON, "yes")
                .put(OwnColumn.OTHER_NUMBERS, numbers.others())
                .put(OwnColumn.MERGED_NUMBERS, linked(patient, "replaces"))
                .put(OwnColumn.FAMILY_NAME, name.family())
                .put(OwnColumn.GIVEN_NAME, name.given())
                .put(OwnColumn.BIRTH_DATE, Element.text(patient, "birthDate"))
                .put(OwnColumn.SEX, Element.text(patient, "gender"))
                .put(OwnColumn.DECEASED_ON, Element.text(patient, "deceasedDateTime"))
                .put(OwnColumn.PERSON_STATUS, status(patient))
                .put(
                        OwnColumn.OWN_PROVIDER,
                        Element.first(patient, "generalPractitioner")
                                .map(one -> references.name(one, patient))
                                .orElse(""))
                .put(OwnColumn.OWN_SITE, references.name(patient.path("managingOrganization"), patient))
                .put(OwnColumn.LANGUAGE, language(patient));
        contacts(patient, row);
        address(patient, row);
        return row;
    }

    private String linked(JsonNode patient, String type) {
        return Element.all(patient, "link").stream()
                .filter(link -> link.path("type").asString("").equals(type))
                .map(link -> references.number(link.path("other"), patient))
                .filter(number -> !number.isEmpty())
                .distinct()
                .collect(Collectors.joining(";"));
    }

    private static String status(JsonNode patient) {
        boolean deceased = patient.path("deceasedBoolean").asBoolean(false) || patient.has("deceasedDateTime");
        if (deceased) {
            return "deceased";
        }
        JsonNode active = patient.path("active");
        return active.isBoolean() ? active.asBoolean() ? "active" : "inactive" : "";
    }

    private static void contacts(JsonNode patient, OwnRow row) {
        List<JsonNode> ways = inForce(Element.all(patient, "telecom"));
        row.put(OwnColumn.MOBILE, way(ways, "phone", List.of("mobile")))
                .put(OwnColumn.PHONE, way(ways, "phone", List.of("home", "", "work", "temp")))
                .put(OwnColumn.EMAIL, way(ways, "email", List.of("home", "", "work", "mobile", "temp")));
    }

    /** The first of a system, those of the uses that are named first before others. */
    private static String way(List<JsonNode> ways, String system, List<String> uses) {
        return uses.stream()
                .flatMap(use -> ways.stream()
                        .filter(way -> way.path("system").asString("").equals(system))
                        .filter(way -> way.path("use").asString("").equals(use)))
                .map(way -> way.path("value").asString(""))
                .filter(value -> !value.isBlank())
                .findFirst()
                .orElse("");
    }

    /** What has an end, though it may be to come, comes behind what has none. */
    private static List<JsonNode> inForce(List<JsonNode> ones) {
        return ones.stream()
                .filter(one -> !one.path("use").asString("").equals("old"))
                .sorted(Comparator.comparing(
                        (JsonNode one) -> one.path("period").has("end")))
                .toList();
    }

    private static void address(JsonNode patient, OwnRow row) {
        List<JsonNode> addresses = new ArrayList<>(inForce(Element.all(patient, "address")));
        addresses.sort((one, other) -> Boolean.compare(isHome(other), isHome(one)));
        addresses.stream().findFirst().ifPresent(address -> {
            String lines = Element.all(address, "line").stream()
                    .map(line -> line.asString(""))
                    .filter(line -> !line.isBlank())
                    .collect(Collectors.joining(", "));
            String city = address.path("city").asString("");
            row.put(
                            OwnColumn.ADDRESS,
                            lines.isEmpty() && city.isEmpty()
                                    ? address.path("text").asString("")
                                    : lines)
                    .put(OwnColumn.CITY, city)
                    .put(OwnColumn.POSTCODE, address.path("postalCode").asString(""));
        });
    }

    private static boolean isHome(JsonNode address) {
        return address.path("use").asString("").equals("home");
    }

    private static String language(JsonNode patient) {
        List<JsonNode> spoken = new ArrayList<>(Element.all(patient, "communication"));
        spoken.sort((one, other) -> Boolean.compare(isPreferred(other), isPreferred(one)));
        return spoken.stream()
                .findFirst()
                .map(one -> Concept.of(one, List.of("language")).words())
                .orElse("");
    }

    private static boolean isPreferred(JsonNode communication) {
        return communication.path("preferred").asBoolean(false);
    }
}
