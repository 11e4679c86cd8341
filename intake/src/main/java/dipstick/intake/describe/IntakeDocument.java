package dipstick.intake.describe;

import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.EnumNamingStrategies;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/** An intake as a JSON document of our own ({@code docs/intakes.md}), and what is wrong with one. */
public final class IntakeDocument {
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
            .enumNamingStrategy(EnumNamingStrategies.KEBAB_CASE)
            .changeDefaultPropertyInclusion(included ->
                    included.withValueInclusion(com.fasterxml.jackson.annotation.JsonInclude.Include.NON_EMPTY))
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();

    private static final int HIGHEST_RANK = 9;

    private IntakeDocument() {}

    /** @throws InvalidIntake with all that is wrong with it */
    public static Intake read(String text) throws InvalidIntake {
        Intake intake;
        try {
            JsonNode json = JSON.readTree(text);
            if (!json.isObject() || !Intake.FORMAT.equals(json.path("format").asString(""))) {
                throw new InvalidIntake(
                        List.of("/format: this should be \"" + Intake.FORMAT + "\", the only format known here."));
            }
            intake = JSON.treeToValue(json, Intake.class);
        } catch (JacksonException broken) {
            throw new InvalidIntake(List.of(pointer(broken) + ": " + said(broken)));
        }
        List<String> problems = problems(intake);
        if (!problems.isEmpty()) {
            throw new InvalidIntake(problems);
        }
        return intake;
    }

    public static String written(Intake intake) {
        return JSON.writeValueAsString(intake);
    }

    /** The JSON Schema (2020-12) of the document. */
    public static String schema() {
        try (InputStream schema = IntakeDocument.class.getResourceAsStream("/dipstick/intake/intake-1.schema.json")) {
            if (schema == null) {
                throw new IllegalStateException("intake-1.schema.json was not packaged");
            }
            return new String(schema.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    private static String pointer(JacksonException broken) {
        StringBuilder pointer = new StringBuilder();
        broken.getPath()
                .forEach(step -> pointer.append('/')
                        .append(step.getPropertyName() == null ? step.getIndex() : step.getPropertyName()));
        return pointer.isEmpty() ? "/" : pointer.toString();
    }

    private static String said(JacksonException broken) {
        return switch (broken) {
            case UnrecognizedPropertyException _ -> "nothing of this name is known here.";
            case InvalidFormatException value -> "“" + value.getValue() + "” is none of what can stand here.";
            case MismatchedInputException other
            when other.getTargetType() != null -> standsHere(other.getTargetType()) + " should stand here.";
            default -> "this is not JSON, or not what can stand here.";
        };
    }

    private static String standsHere(Class<?> type) {
        if (Collection.class.isAssignableFrom(type)) {
            return "a list";
        }
        if (type == String.class || type.isEnum()) {
            return "a text";
        }
        if (type == Boolean.class || type == boolean.class) {
            return "true or false";
        }
        return type == Integer.class || type == int.class ? "a whole number" : "an object";
    }

    private static List<String> problems(Intake intake) {
        List<String> problems = new ArrayList<>();
        if (intake.id().isBlank()) {
            problems.add("/id: an intake needs an id.");
        }
        if (intake.name().isBlank()) {
            problems.add("/name: an intake needs a name.");
        }
        if (intake.source().length() > Lengths.SOURCE) {
            problems.add("/source: a source's name has at most " + Lengths.SOURCE + " characters.");
        }
        if (intake.rank().filter(rank -> rank < 0 || rank > HIGHEST_RANK).isPresent()) {
            problems.add("/rank: a rank is a whole number from 0 to " + HIGHEST_RANK + ".");
        }
        if (intake.people().isEmpty() && intake.events().isEmpty()) {
            problems.add("/: nothing is made of the rows; people, events or both should be.");
        }
        if (intake.whose().number().isEmpty() && intake.whose().by().isEmpty()) {
            problems.add("/whose: it must be said whose a row is: a number, or fields of the person together.");
        }
        fields("/whose/by", intake.whose().by(), Fields.PERSON, problems);
        intake.people().ifPresent(people -> fields("/people/fields", people.fields(), Fields.PERSON, problems));
        for (int i = 0; i < intake.events().size(); i++) {
            Intake.EventsOf events = intake.events().get(i);
            fields("/events/" + i + "/fields", events.fields(), Fields.EVENT, problems);
            if (!events.fields().containsKey("kind")) {
                problems.add("/events/" + i + "/fields: a record needs a kind.");
            }
        }
        return problems;
    }

    private static void fields(String at, Map<String, Maker> fields, Fields known, List<String> problems) {
        fields.forEach((name, maker) -> {
            Optional<Field> field = known.written(name);
            if (field.isEmpty()) {
                problems.add(at + "/" + name + ": a field needs a name, and a known one says no type.");
            } else if (field.get().name().length() > Lengths.FIELD_NAME) {
                problems.add(at + "/" + name + ": a field's name has at most " + Lengths.FIELD_NAME + " characters.");
            }
            long sources = maker.allColumns().findAny().stream().count()
                    + maker.constant().stream().count()
                    + maker.each().stream().count();
            if (sources != 1) {
                problems.add(
                        at + "/" + name + ": one of column, columns, constant or each should say what it is made of.");
            }
        });
    }
}
