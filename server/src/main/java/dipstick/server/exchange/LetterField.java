package dipstick.server.exchange;

import dipstick.core.population.Population;
import dipstick.core.wording.DayWords;
import dipstick.server.outreach.Listed;
import dipstick.server.people.PersonLine;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;

/** What a template can say of somebody. In a text its name stands in small letters. */
enum LetterField {
    GIVEN_NAME(said -> said.recorded("given_name")),
    FAMILY_NAME(said -> said.recorded("family_name")),
    NAME(said -> fullName(said.records(), said.of())),
    ADDRESS(said -> said.recorded("address")),
    POSTCODE(said -> said.recorded("postcode")),
    CITY(said -> said.recorded("city")),
    PROVIDER(said -> said.recorded("provider")),
    SITE(said -> said.recorded("site")),
    BORN(said -> said.of().person().born()),
    /** What the list is called to the people on it. */
    LIST(Said::list),
    /** Empty where nothing is due on a day. */
    DUE_ON(said -> said.of().due().matches("\\d.*")
            ? DayWords.day(LocalDate.parse(said.of().due()))
            : ""),
    TODAY(said -> DayWords.day(said.day())),
    PRACTICE(Said::practice);

    private final Function<Said, String> text;

    LetterField(Function<Said, String> text) {
        this.text = text;
    }

    /** Somebody to whom something is written, about a list, on a day, by a practice. */
    record Said(Listed of, String list, Population records, LocalDate day, String practice) {
        private String recorded(String field) {
            return PersonLine.field(records, of.person().id(), field);
        }
    }

    /** As it stands in a text, within braces. */
    String inText() {
        return name().toLowerCase(Locale.ROOT);
    }

    static List<String> names() {
        return Arrays.stream(values()).map(LetterField::inText).toList();
    }

    static Map<String, String> of(Said said) {
        return filled(field -> field.text.apply(said));
    }

    /** Somebody of whom everything is on record. */
    static Map<String, String> example() {
        return filled(field -> "[" + field.inText() + "]");
    }

    private static Map<String, String> filled(Function<LetterField, String> text) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (LetterField field : values()) {
            fields.put(field.inText(), text.apply(field));
        }
        return fields;
    }

    /** As one writes it on an envelope. */
    static String fullName(Population records, Listed one) {
        String id = one.person().id();
        String name = (PersonLine.field(records, id, "given_name") + " " + PersonLine.field(records, id, "family_name"))
                .strip();
        return name.isEmpty() ? one.person().name() : name;
    }
}
