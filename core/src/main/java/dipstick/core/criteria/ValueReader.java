package dipstick.core.criteria;

import dipstick.core.text.NormalText;
import dipstick.core.time.CalendarPeriod;
import dipstick.core.time.DateRange;
import dipstick.core.time.PartialDate;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * Reads the values of a document: periods, numbers, dates and texts, each of which may be given by a dial
 * (criteria.md section 4).
 */
final class ValueReader {
    private static final CalendarPeriod SOME_PERIOD = new CalendarPeriod("P0D", 0, 0);
    private static final Dial.Value.OfDate SOME_DATE = new Dial.Value.OfDate("", DateRange.ALL_DAYS);

    private final ZoneId zone;
    private final DialReader.Turned dials;

    ValueReader(ZoneId zone, DialReader.Turned dials) {
        this.zone = zone;
        this.dials = dials;
    }

    CalendarPeriod period(Spot spot) {
        if (isDial(spot)) {
            return fromDial(spot, Dial.Value.OfPeriod.class, "a period")
                    .map(Dial.Value.OfPeriod::period)
                    .orElse(SOME_PERIOD);
        }
        return plainPeriod(spot).orElse(SOME_PERIOD);
    }

    double number(Spot spot) {
        if (isDial(spot)) {
            return fromDial(spot, Dial.Value.OfNumber.class, "a number")
                    .map(Dial.Value.OfNumber::number)
                    .orElse(0.0);
        }
        return plainNumber(spot).orElse(0.0);
    }

    /** A count or an age: whole and not negative. */
    int whole(Spot spot) {
        double number = number(spot);
        if (number < 0 || number != Math.rint(number)) {
            spot.problem("This should be a whole number, 0 or more.");
            return 0;
        }
        return (int) Math.min(number, Integer.MAX_VALUE - 1);
    }

    /** The days that a date stands for. */
    DateRange date(Spot spot) {
        return dateValue(spot).days();
    }

    /** A date that must be one whole day, without a time. */
    LocalDate day(Spot spot) {
        Dial.Value.OfDate date = dateValue(spot);
        Optional<LocalDate> day = PartialDate.parseDay(date.written());
        if (day.isEmpty() && !date.equals(SOME_DATE)) {
            spot.problem("This should be one full day, such as 2026-11-23.");
        }
        return day.orElse(LocalDate.EPOCH);
    }

    private Dial.Value.OfDate dateValue(Spot spot) {
        if (isDial(spot)) {
            return fromDial(spot, Dial.Value.OfDate.class, "a date").orElse(SOME_DATE);
        }
        return plainDate(spot).orElse(SOME_DATE);
    }

    /** A text, normalised and not empty. */
    String text(Spot spot) {
        return NormalText.of(writtenText(spot));
    }

    /** A text as it is written; not empty. */
    String writtenText(Spot spot) {
        if (isDial(spot)) {
            return fromDial(spot, Dial.Value.OfText.class, "a text")
                    .map(Dial.Value.OfText::written)
                    .orElse("");
        }
        return plainText(spot).map(Dial.Value.OfText::written).orElse("");
    }

    /** A list of texts as they are written. */
    List<String> writtenTexts(Spot spot) {
        if (isDial(spot)) {
            return fromDial(spot, Dial.Value.OfTexts.class, "a list of texts")
                    .map(texts -> texts.texts().stream()
                            .map(Dial.Value.OfText::written)
                            .toList())
                    .orElse(List.of());
        }
        return spot.items().stream().map(this::writtenText).toList();
    }

    /** A value of a dial, which is never itself a dial. */
    Optional<? extends Dial.Value> plain(Spot spot, Dial.Type type) {
        return switch (type) {
            case PERIOD -> plainPeriod(spot).map(Dial.Value.OfPeriod::new);
            case NUMBER -> plainNumber(spot).map(Dial.Value.OfNumber::new);
            case DATE -> plainDate(spot);
            case TEXT -> plainText(spot);
            case TEXTS -> plainTexts(spot);
        };
    }

    private static Optional<CalendarPeriod> plainPeriod(Spot spot) {
        Optional<CalendarPeriod> period = Optional.of(spot.json())
                .filter(JsonNode::isString)
                .flatMap(json -> CalendarPeriod.parse(json.stringValue()));
        if (period.isEmpty()) {
            spot.problem(
                    spot.json().isString()
                                    && CalendarPeriod.isTooLong(spot.json().stringValue())
                            ? "This period is too long: the longest is 9999 years."
                            : "This should be a period such as \"P6M\", \"P2W\" or \"P1Y6M\", not negative.");
        }
        return period;
    }

    private static Optional<Double> plainNumber(Spot spot) {
        JsonNode json = spot.json();
        if (!json.isNumber() || !Double.isFinite(json.doubleValue())) {
            spot.problem("This should be a number.");
            return Optional.empty();
        }
        // Adding zero turns -0 into 0, so that the two are one number.
        return Optional.of(json.doubleValue() + 0.0);
    }

    private Optional<Dial.Value.OfDate> plainDate(Spot spot) {
        Optional<Dial.Value.OfDate> date = Optional.of(spot.json())
                .filter(JsonNode::isString)
                .map(json -> NormalText.identifier(json.stringValue()))
                .flatMap(text -> PartialDate.parse(text, zone).map(days -> new Dial.Value.OfDate(text, days)));
        if (date.isEmpty()) {
            spot.problem("This should be a date that exists: \"2026\", \"2026-11\" or \"2026-11-23\".");
        }
        return date;
    }

    private static Optional<Dial.Value.OfText> plainText(Spot spot) {
        JsonNode json = spot.json();
        if (!json.isString()) {
            spot.problem("This should be text.");
            return Optional.empty();
        }
        String normal = NormalText.of(json.stringValue());
        if (normal.isEmpty()) {
            spot.problem("This text is empty; a missing value is asked for with \"missing\".");
            return Optional.empty();
        }
        return Optional.of(new Dial.Value.OfText(NormalText.identifier(json.stringValue()), normal));
    }

    private static Optional<Dial.Value.OfTexts> plainTexts(Spot spot) {
        if (!spot.json().isArray()) {
            spot.problem("This should be a list of texts.");
            return Optional.empty();
        }
        List<Dial.Value.OfText> texts = new ArrayList<>();
        spot.items().forEach(item -> plainText(item).ifPresent(texts::add));
        return Optional.of(new Dial.Value.OfTexts(texts));
    }

    private static boolean isDial(Spot spot) {
        return spot.json().isObject() && spot.has("dial");
    }

    private <T extends Dial.Value> Optional<T> fromDial(Spot spot, Class<T> type, String expected) {
        spot.allowOnly(Set.of("dial"));
        Spot reference = spot.get("dial");
        String name = reference.words();
        if (!dials.isNamed(name)) {
            reference.problem("There is no dial “" + name + "” in this criteria set.");
            return Optional.empty();
        }
        Optional<Dial.Value> value = dials.value(name);
        if (value.isPresent() && !type.isInstance(value.get())) {
            reference.problem("The dial “" + name + "” does not hold " + expected + ", which this spot needs.");
        }
        return value.filter(type::isInstance).map(type::cast);
    }
}
