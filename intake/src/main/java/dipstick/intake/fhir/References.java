package dipstick.intake.fhir;

import dipstick.intake.fhir.Resources.Resource;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * Whom and what the references of a file point to (<a href="https://hl7.org/fhir/R4/references.html">R4 references</a>):
 * inside a resource, inside the file by address or by type and id, or by an identifier alone.
 */
final class References {
    /** What others point to for a number, a name or a code. */
    private static final Set<String> POINTED_TO = Set.of(
            "Patient",
            "Practitioner",
            "RelatedPerson",
            "Organization",
            "Location",
            "HealthcareService",
            "PractitionerRole",
            "Medication");

    private final Map<String, String> numbers = new HashMap<>();
    /** By the address of a Patient who was merged into another: that other's. */
    private final Map<String, String> replaced = new HashMap<>();

    private final Map<String, String> types = new HashMap<>();
    private final Map<String, String> names = new HashMap<>();
    private final Map<String, Concept> concepts = new HashMap<>();

    private References() {}

    /** Reads a file once, for what others point to. */
    static References of(Path file, Charset charset) throws IOException {
        References references = new References();
        try (Resources resources = Resources.open(file, charset, POINTED_TO::contains)) {
            for (Optional<Resource> one = resources.next(); one.isPresent(); one = resources.next()) {
                references.add(one.get());
            }
        }
        return references;
    }

    private void add(Resource resource) {
        JsonNode json = resource.json();
        switch (resource.type()) {
            case "Patient" -> {
                put(numbers, resource, Numbers.of(json, resource.fullUrl()).number());
                Element.all(json, "link").stream()
                        .filter(link -> link.path("type").asString("").equals("replaced-by"))
                        .map(link -> Element.text(link, "other.reference"))
                        .filter(other -> !other.isEmpty())
                        .forEach(other -> put(replaced, resource, other));
            }
            case "Practitioner", "RelatedPerson" ->
                put(names, resource, HumanName.of(json).inWords());
            case "Organization", "Location", "HealthcareService" ->
                put(names, resource, json.path("name").asString(""));
            case "PractitionerRole" ->
                put(names, resource, json.path("practitioner").path("display").asString(""));
            case "Medication" -> put(concepts, resource, Concept.of(json, List.of("code")));
            default -> {
                // Nothing of these is said at the records that point to them.
            }
        }
    }

    private <T> void put(Map<String, T> index, Resource resource, T value) {
        if (!resource.id().isEmpty()) {
            index.put(resource.type() + "/" + resource.id(), value);
        }
        if (!resource.fullUrl().isEmpty()) {
            types.put(resource.fullUrl(), resource.type());
            index.put(resource.fullUrl(), value);
        }
    }

    /** The number of the person to whom it points; blank where it points to nobody. */
    String number(JsonNode reference, JsonNode within) {
        Optional<JsonNode> contained = contained(reference, within);
        if (contained.isPresent()) {
            return Numbers.of(contained.get(), "").identifier();
        }
        String to = reference.path("reference").asString("");
        String known = known(numbers, whoeverStays(to)).orElse("");
        if (!known.isEmpty()) {
            return known;
        }
        String identifier = reference.path("identifier").path("value").asString("");
        return identifier.isEmpty() ? byItself(whoeverStays(to)) : identifier;
    }

    private String whoeverStays(String to) {
        String stays = to;
        Set<String> seen = new HashSet<>();
        for (Optional<String> next = known(replaced, stays);
                next.isPresent() && seen.add(stays);
                next = known(replaced, stays)) {
            stays = next.get();
        }
        return stays;
    }

    /** What stands in a reference to somebody who is not in the file: an id, or an identifier after a bar. */
    private static String byItself(String to) {
        int query = to.indexOf("?identifier=");
        if (query >= 0) {
            return to.substring(Math.max(to.lastIndexOf('|'), query + "?identifier=".length() - 1) + 1);
        }
        String relative = relative(to);
        return relative.startsWith("Patient/") ? relative.substring("Patient/".length()) : "";
    }

    /** Whether it points to a person, or by an identifier alone to whoever has it. */
    boolean isOfPerson(JsonNode reference, JsonNode within) {
        String type = type(reference, within);
        return type.equals("Patient") || (type.isEmpty() && reference.has("identifier"));
    }

    /** The type of what it points to, as far as anything says it. */
    String type(JsonNode reference, JsonNode within) {
        Optional<JsonNode> contained = contained(reference, within);
        if (contained.isPresent()) {
            return contained.get().path("resourceType").asString("");
        }
        String to = reference.path("reference").asString("");
        String said = reference.path("type").asString("");
        String relative = relative(to);
        int end = relative.indexOf('/');
        return said.isEmpty()
                ? known(types, to).orElse(end > 0 ? relative.substring(0, end) : relative.replaceFirst("\\?.*", ""))
                : said;
    }

    /** What the one to whom it points is called. */
    String name(JsonNode reference, JsonNode within) {
        String display = reference.path("display").asString("");
        if (!display.isBlank()) {
            return display;
        }
        Optional<JsonNode> contained = contained(reference, within);
        if (contained.isPresent()) {
            JsonNode name = contained.get().path("name");
            return name.isValueNode()
                    ? name.asString("")
                    : HumanName.of(contained.get()).inWords();
        }
        return known(names, reference.path("reference").asString("")).orElse("");
    }

    Concept concept(JsonNode reference, JsonNode within) {
        return contained(reference, within)
                .map(one -> Concept.of(one, List.of("code")))
                .or(() -> known(concepts, reference.path("reference").asString("")))
                .orElseGet(
                        () -> new Concept(List.of(), reference.path("display").asString("")));
    }

    private static Optional<JsonNode> contained(JsonNode reference, JsonNode within) {
        String to = reference.path("reference").asString("");
        if (!to.startsWith("#") || to.length() == 1) {
            return Optional.empty();
        }
        return Element.all(within, "contained").stream()
                .filter(one -> {
                    String id = one.path("id").asString("");
                    return id.equals(to.substring(1)) || id.equals(to);
                })
                .findFirst();
    }

    private static <T> Optional<T> known(Map<String, T> index, String to) {
        T found = index.get(to);
        return found != null ? Optional.of(found) : Optional.ofNullable(index.get(relative(to)));
    }

    /** The type and id at the end of an address, without its version. */
    private static String relative(String to) {
        int version = to.indexOf("/_history/");
        String plain = version < 0 ? to : to.substring(0, version);
        int id = plain.lastIndexOf('/');
        int type = id < 0 ? -1 : plain.lastIndexOf('/', id - 1);
        return plain.substring(type + 1);
    }
}
