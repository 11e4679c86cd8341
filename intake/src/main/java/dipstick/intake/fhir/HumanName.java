package dipstick.intake.fhir;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** The name somebody goes by (<a href="https://hl7.org/fhir/R4/datatypes.html#HumanName">R4 HumanName</a>). */
record HumanName(String prefix, String given, String family, String text) {
    /** Those that are good for letters come first; what is over comes never. */
    private static final List<String> USES = List.of("official", "usual", "", "temp", "nickname", "anonymous");

    static HumanName of(JsonNode somebody) {
        return Element.all(somebody, "name").stream()
                .filter(name -> USES.contains(name.path("use").asString("")))
                .filter(name -> !name.path("period").has("end"))
                .min(Comparator.comparingInt(
                        name -> USES.indexOf(name.path("use").asString(""))))
                .or(() -> Element.first(somebody, "name"))
                .map(HumanName::read)
                .orElse(new HumanName("", "", "", ""));
    }

    private static HumanName read(JsonNode name) {
        String family = name.path("family").asString("");
        String given = joined(name, "given");
        String text = name.path("text").asString("");
        // A name that is not taken apart stands whole where the family name does.
        return new HumanName(joined(name, "prefix"), given, family.isEmpty() && given.isEmpty() ? text : family, text);
    }

    private static String joined(JsonNode name, String part) {
        return Element.all(name, part).stream()
                .map(one -> one.asString(""))
                .filter(one -> !one.isBlank())
                .collect(Collectors.joining(" "));
    }

    String inWords() {
        String parts =
                Stream.of(prefix, given, family).filter(part -> !part.isBlank()).collect(Collectors.joining(" "));
        return text.isBlank() ? parts : text;
    }
}
