package dipstick.core.criteria;

import dipstick.core.criteria.Dial.Value;
import dipstick.core.records.Fields;
import dipstick.core.text.NormalText;
import dipstick.core.text.WrittenNumber;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Reads the dials of a document and turns them to the settings with which the set is run. */
final class DialReader {
    private static final Set<String> KEYS = Set.of("name", "label", "type", "default", "choices", "choicesFrom");

    private static final List<Spot.Choice<Dial.Type>> TYPES = List.of(
            new Spot.Choice<>("period", Dial.Type.PERIOD),
            new Spot.Choice<>("number", Dial.Type.NUMBER),
            new Spot.Choice<>("date", Dial.Type.DATE),
            new Spot.Choice<>("text", Dial.Type.TEXT),
            new Spot.Choice<>("texts", Dial.Type.TEXTS));

    private final Fields personFields;
    private final ValueReader values;

    DialReader(Fields personFields, ZoneId zone) {
        this.personFields = personFields;
        this.values = new ValueReader(zone, Turned.NONE);
    }

    /**
     * The dials of a document at their settings.
     *
     * @param names also of those that could not be read, so that naming one of them is no second problem
     */
    record Turned(List<Dial> dials, Set<String> names) {
        static final Turned NONE = new Turned(List.of(), Set.of());

        boolean isNamed(String name) {
            return names.contains(name);
        }

        Optional<Value> value(String name) {
            return dials.stream()
                    .filter(dial -> dial.name().equals(name))
                    .findFirst()
                    .map(Dial::value);
        }
    }

    /**
     * @param settings by dial name; several texts are separated by semicolons
     */
    Turned read(Spot document, Map<String, String> settings) {
        Set<String> names = new HashSet<>();
        List<Dial> dials = new ArrayList<>();
        Map<String, String> unused = new HashMap<>(settings);
        for (Spot spot : document.has("dials") ? document.get("dials").items() : List.<Spot>of()) {
            if (!spot.isObject("a dial, an object with name, type and default")) {
                continue;
            }
            String name = spot.requiredWords("name");
            if (!name.isEmpty() && !names.add(name)) {
                spot.get("name").problem("The dial “" + name + "” is there twice; its name must be its own.");
            }
            Optional<String> setting = Optional.ofNullable(unused.remove(name));
            read(spot, name).map(dial -> turn(spot, dial, setting)).ifPresent(dials::add);
        }
        for (String name : unused.keySet()) {
            document.problems()
                    .add(new Problem("/dials", "There is no dial “" + name + "” in this criteria set to be set."));
        }
        return new Turned(List.copyOf(dials), Set.copyOf(names));
    }

    private Optional<Dial> read(Spot spot, String name) {
        spot.allowOnly(KEYS);
        String label = spot.has("label") ? spot.get("label").words() : name;
        if (!spot.requires("type")) {
            return Optional.empty();
        }
        int problems = spot.problems().size();
        Dial.Type type = spot.get("type").oneOf(TYPES);
        if (spot.problems().size() > problems) {
            return Optional.empty();
        }
        Optional<List<Value>> choices = spot.find("choices").map(list -> {
            List<Value> read = new ArrayList<>();
            Dial.Type one = type == Dial.Type.TEXTS ? Dial.Type.TEXT : type;
            list.items().forEach(item -> values.plain(item, one).ifPresent(read::add));
            return read;
        });
        Optional<String> choicesFrom = spot.find("choicesFrom").map(this::personField);
        if (!spot.requires("default")) {
            return Optional.empty();
        }
        Spot start = spot.get("default");
        Optional<Value> value = values.plain(start, type).map(Value.class::cast);
        value.filter(v -> !isAmong(v, choices)).ifPresent(v -> start.problem("The default is not among the choices."));
        return value.map(v -> new Dial(name, label, type, choices, choicesFrom, v));
    }

    private String personField(Spot spot) {
        String name = spot.words();
        if (personFields.find(name).isEmpty()) {
            spot.problem("There is no person field “" + name + "”.");
        }
        return name;
    }

    private Dial turn(Spot spot, Dial dial, Optional<String> setting) {
        if (setting.isEmpty()) {
            return dial;
        }
        Spot trial = Spot.root(settingAsJson(dial.type(), setting.get()));
        Optional<Value> value = values.plain(trial, dial.type()).map(Value.class::cast);
        if (value.isEmpty() || !trial.problems().isEmpty()) {
            spot.problem("“" + setting.get() + "” does not fit the dial “" + dial.name() + "”: "
                    + trial.problems().getFirst().message());
            return dial;
        }
        if (!isAmong(value.get(), dial.choices())) {
            spot.problem("“" + setting.get() + "” is not among the choices of the dial “" + dial.name() + "”.");
        }
        return dial.at(value.get());
    }

    private static JsonNode settingAsJson(Dial.Type type, String setting) {
        JsonNodeFactory json = JsonNodeFactory.instance;
        return switch (type) {
            case PERIOD, DATE, TEXT -> json.stringNode(NormalText.identifier(setting));
            case NUMBER ->
                WrittenNumber.parse(setting).isPresent()
                        ? json.numberNode(WrittenNumber.parse(setting).getAsDouble())
                        : json.stringNode(setting);
            case TEXTS -> {
                var list = json.arrayNode();
                Arrays.stream(setting.split(";", -1))
                        .map(NormalText::identifier)
                        .forEach(list::add);
                yield list;
            }
        };
    }

    private static boolean isAmong(Value value, Optional<List<Value>> choices) {
        if (choices.isEmpty()) {
            return true;
        }
        return switch (value) {
            case Value.OfPeriod period ->
                choices.get().stream()
                        .anyMatch(choice -> choice instanceof Value.OfPeriod(var other)
                                && other.written().equals(period.period().written()));
            case Value.OfNumber number -> choices.get().contains(number);
            case Value.OfDate date ->
                choices.get().stream()
                        .anyMatch(choice -> choice instanceof Value.OfDate other
                                && other.days().equals(date.days()));
            case Value.OfText text -> isChoice(text, choices.get());
            case Value.OfTexts texts -> texts.texts().stream().allMatch(text -> isChoice(text, choices.get()));
        };
    }

    private static boolean isChoice(Value.OfText text, List<Value> choices) {
        return choices.stream()
                .anyMatch(choice ->
                        choice instanceof Value.OfText other && other.text().equals(text.text()));
    }
}
