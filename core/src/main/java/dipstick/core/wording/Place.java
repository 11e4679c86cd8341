package dipstick.core.wording;

import dipstick.core.criteria.ComparedText;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.MissingNode;

/**
 * Where in a document words are being made for, and how.
 *
 * @param asOf the day from which windows are seen, whose days then stand in brackets; no brackets without it
 * @param json what the words stand for, so that dials are named; missing where they are to be filled in
 * @param sharedNames names that several term sets, rosters or sets have, which an id must tell apart
 */
record Place(Optional<LocalDate> asOf, JsonNode json, Set<String> sharedNames) {
    /** Dials filled in, windows with their days. */
    static Place seenFrom(LocalDate asOf) {
        return new Place(Optional.of(asOf), MissingNode.getInstance(), Set.of());
    }

    Place at(String key) {
        return new Place(asOf, json.path(key), sharedNames);
    }

    Place at(int index) {
        return new Place(asOf, json.path(index), sharedNames);
    }

    /** The dial that stands here in square brackets, else these words. */
    String words(String filledIn) {
        return dial(json).orElse(filledIn);
    }

    boolean holdsDial() {
        return dial(json).isPresent();
    }

    /** The items of the list that stands here: as they are filled in, unless a dial stands for one or all of them. */
    List<String> items(List<String> filledIn, Function<JsonNode, String> plain) {
        if (holdsDial()) {
            return List.of(words(""));
        }
        List<String> items = new ArrayList<>();
        boolean dials = false;
        for (JsonNode item : json) {
            dials |= dial(item).isPresent();
            items.add(dial(item).orElseGet(() -> plain.apply(item)));
        }
        return dials ? items : filledIn;
    }

    String text(ComparedText filledIn) {
        return words(Quoted.value(filledIn.written()));
    }

    /** A name, with the id behind it where others have the same. */
    String name(String name, String id) {
        return sharedNames.contains(name) ? quoted(name, id) : Quoted.name(name);
    }

    /** The name between quotation marks, with the id behind it where others have the same. */
    String quoted(String name, String id) {
        return Quoted.always(name) + (sharedNames.contains(name) ? "#" + Quoted.value(id) : "");
    }

    /** The days of something that depends on the as-of date, in brackets. */
    String days(Function<LocalDate, String> days) {
        return asOf.map(day -> " (" + days.apply(day) + ")").orElse("");
    }

    private static Optional<String> dial(JsonNode json) {
        return json.path("dial").isString()
                ? Optional.of(Quoted.dial(json.get("dial").stringValue()))
                : Optional.empty();
    }
}
