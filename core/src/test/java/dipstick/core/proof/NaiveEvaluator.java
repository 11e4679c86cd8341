package dipstick.core.proof;

import dipstick.core.Outcome;
import dipstick.core.text.NormalText;
import java.time.LocalDate;
import java.time.Period;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The tests of criteria.md section 3 answered row by row, day by day, straight from the JSON and the texts of the cells.
 * It shares no evaluation with the engine, so that the two agree only where both follow the page. Slow on purpose.
 */
final class NaiveEvaluator {
    /** Days before and after which no record of these tests lies; an open end reaches there. */
    private static final LocalDate FIRST_DAY = LocalDate.of(2004, 1, 1);

    private static final LocalDate LAST_DAY = LocalDate.of(2050, 1, 1);

    private static final Set<String> DATE_FIELDS =
            Set.of("birth_date", "deceased_on", "seen", "on", "until", "recorded_on", "reviewed");
    private static final Set<String> ENDED = Set.of("resolved", "inactive", "remission", "abated");

    private final LocalDate asOf;
    private final Map<String, JsonNode> termSets;
    private final Map<String, JsonNode> rosters;
    private final Map<String, NaiveDocument> sets;

    /** A person, or an event, as its cells; a missing cell is not there. */
    record Row(Map<String, String> cells) {
        Optional<String> cell(String field) {
            return Optional.ofNullable(cells.get(field)).filter(text -> !text.isBlank());
        }
    }

    record Days(LocalDate first, LocalDate last) {
        boolean isExact() {
            return first.equals(last);
        }
    }

    NaiveEvaluator(
            LocalDate asOf,
            Map<String, JsonNode> termSets,
            Map<String, JsonNode> rosters,
            Map<String, NaiveDocument> sets) {
        this.asOf = asOf;
        this.termSets = termSets;
        this.rosters = rosters;
        this.sets = sets;
    }

    Outcome answer(JsonNode test, Row person, List<Row> events) {
        if (test.has("field")) {
            return field(test, person.cell(test.get("field").asString()), person, false);
        }
        if (test.has("all")) {
            return each(test.get("all"), person, events).stream().reduce(Outcome.YES, NaiveEvaluator::and);
        }
        if (test.has("any")) {
            return not(each(test.get("any"), person, events).stream()
                    .map(NaiveEvaluator::not)
                    .reduce(Outcome.YES, NaiveEvaluator::and));
        }
        if (test.has("not")) {
            return not(answer(test.get("not"), person, events));
        }
        if (test.has("of")) {
            List<Outcome> each = each(test.get("of"), person, events);
            return atLeast(
                    test.get("atLeast").asInt(), count(each, o -> o == Outcome.YES), count(each, o -> o != Outcome.NO));
        }
        if (test.has("age")) {
            return age(test.get("age"), person);
        }
        if (test.has("events")) {
            List<Match> matches = matches(test.get("events"), person, events, "ever");
            return counted(test, matches);
        }
        if (test.has("latest") || test.has("earliest")) {
            return picked(test, person, events);
        }
        if (test.has("member")) {
            NaiveDocument set = sets.get(test.get("member").asString());
            return set.part(test.path("part").asString("list"), person, events);
        }
        if (test.has("roster")) {
            return inRoster(rosters.get(test.get("roster").asString()), person);
        }
        return followed(test, person, events);
    }

    private Outcome inRoster(JsonNode roster, Row person) {
        Outcome noRow = Outcome.YES;
        for (JsonNode row : roster.get("rows")) {
            Outcome isRow = Outcome.YES;
            for (int i = 0; i < row.size(); i++) {
                String field = roster.get("key").get(i).asString();
                isRow = and(isRow, isEqual(field, row.get(i), person.cell(field)));
            }
            noRow = and(noRow, not(isRow));
        }
        return not(noRow);
    }

    private static Outcome isEqual(String field, JsonNode wanted, Optional<String> cell) {
        if (cell.isEmpty() || wanted.isNull()) {
            return Outcome.UNSURE;
        }
        if (DATE_FIELDS.contains(field)) {
            Days one = days(cell.get());
            Days other = days(wanted.asString());
            if (one.isExact() && one.equals(other)) {
                return Outcome.YES;
            }
            boolean apart = one.last().isBefore(other.first()) || other.last().isBefore(one.first());
            return apart ? Outcome.NO : Outcome.UNSURE;
        }
        boolean same = NormalText.of(cell.get()).equals(NormalText.of(wanted.asString()));
        return same ? Outcome.YES : Outcome.NO;
    }

    /** The last days of the dated events that surely match a selection over all days up to the as-of date. */
    List<LocalDate> lastDaysOfMatches(JsonNode selection, Row person, List<Row> events) {
        ObjectNode ever = ((ObjectNode) selection.deepCopy());
        ever.set("window", JsonNodeFactory.instance.objectNode().put("ever", true));
        return matches(ever, person, events, "ever").stream()
                .filter(match -> match.outcome() == Outcome.YES)
                .flatMap(match -> on(match.event()).stream())
                .map(Days::last)
                .sorted()
                .toList();
    }

    /** The first day from which a window of this period no longer reaches back to {@code day}. */
    static LocalDate lapse(LocalDate day, String period) {
        Period back = Period.parse(period);
        LocalDate first = day;
        while (!first.minus(back).isAfter(day)) {
            first = first.plusDays(1);
        }
        return first;
    }

    static LocalDate less(LocalDate day, String period) {
        return day.minus(Period.parse(period));
    }

    private List<Outcome> each(JsonNode tests, Row person, List<Row> events) {
        return tests.valueStream().map(test -> answer(test, person, events)).toList();
    }

    // Kleene's logic, spelled out.

    static Outcome not(Outcome one) {
        return one == Outcome.UNSURE ? one : one == Outcome.YES ? Outcome.NO : Outcome.YES;
    }

    static Outcome and(Outcome one, Outcome other) {
        if (one == Outcome.NO || other == Outcome.NO) {
            return Outcome.NO;
        }
        return one == Outcome.YES && other == Outcome.YES ? Outcome.YES : Outcome.UNSURE;
    }

    static int count(List<Outcome> outcomes, Predicate<Outcome> which) {
        return (int) outcomes.stream().filter(which).count();
    }

    static Outcome atLeast(int n, int low, int high) {
        return low >= n ? Outcome.YES : high < n ? Outcome.NO : Outcome.UNSURE;
    }

    /** Yes if it holds on every day of the range, no if on none, else can't tell. */
    private static Outcome overDays(Days days, Predicate<LocalDate> holds) {
        boolean any = false;
        boolean all = true;
        for (LocalDate day = days.first(); !day.isAfter(days.last()); day = day.plusDays(1)) {
            boolean here = holds.test(day);
            any |= here;
            all &= here;
            if (any && !all) {
                return Outcome.UNSURE;
            }
        }
        return all ? Outcome.YES : Outcome.NO;
    }

    // Dates and windows.

    static Days days(String written) {
        if (written.length() == 4) {
            LocalDate first = LocalDate.parse(written + "-01-01");
            return new Days(first, first.plusYears(1).minusDays(1));
        }
        if (written.length() == 7) {
            LocalDate first = LocalDate.parse(written + "-01");
            return new Days(first, first.plusMonths(1).minusDays(1));
        }
        return new Days(LocalDate.parse(written), LocalDate.parse(written));
    }

    /** The days of an event's {@code on}, which ends at the as-of date where it is partial and has begun. */
    private Optional<Days> on(Row event) {
        return event.cell("on")
                .map(NaiveEvaluator::days)
                .map(days -> !days.isExact()
                                && !days.first().isAfter(asOf)
                                && days.last().isAfter(asOf)
                        ? new Days(days.first(), asOf)
                        : days);
    }

    private Days window(JsonNode window) {
        if (window.has("ever")) {
            return new Days(FIRST_DAY, asOf);
        }
        if (window.has("any")) {
            return new Days(FIRST_DAY, LAST_DAY);
        }
        if (window.has("last")) {
            return new Days(less(asOf, window.get("last").asString()), asOf);
        }
        if (window.has("next")) {
            return new Days(asOf, asOf.plus(Period.parse(window.get("next").asString())));
        }
        if (window.has("ago")) {
            return new Days(
                    less(asOf, window.get("ago").get(0).asString()),
                    less(asOf, window.get("ago").get(1).asString()));
        }
        if (window.has("sinceStartOf")) {
            LocalDate start = asOf;
            while (!startsUnit(start, window.get("sinceStartOf").asString())) {
                start = start.minusDays(1);
            }
            return new Days(start, asOf);
        }
        JsonNode first = window.get("dates").get(0);
        JsonNode last = window.get("dates").get(1);
        return new Days(
                first.isNull() ? FIRST_DAY : days(first.asString()).first(),
                last.isNull() ? LAST_DAY : days(last.asString()).last());
    }

    private static boolean startsUnit(LocalDate day, String unit) {
        return switch (unit) {
            case "week" -> day.getDayOfWeek().getValue() == 1;
            case "month" -> day.getDayOfMonth() == 1;
            case "quarter" -> day.getDayOfMonth() == 1 && (day.getMonthValue() - 1) % 3 == 0;
            default -> day.getDayOfYear() == 1;
        };
    }

    private static boolean holds(Days window, LocalDate day) {
        return !day.isBefore(window.first()) && !day.isAfter(window.last());
    }

    private Outcome inWindow(JsonNode window, Optional<Days> date, Row person, boolean undatedEvent) {
        if (window.has("atAge")) {
            return inAgeWindow(Ages.of(window.get("atAge")), date, person, undatedEvent);
        }
        Days range = window(window);
        if (date.isPresent()) {
            return overDays(date.get(), day -> holds(range, day));
        }
        if (!undatedEvent) {
            return Outcome.UNSURE;
        }
        return overDays(new Days(FIRST_DAY, asOf), day -> holds(range, day));
    }

    /** Whether a day, whichever it was, lies in the window of a birth, whichever that was. */
    private Outcome inAgeWindow(Ages ages, Optional<Days> date, Row person, boolean undatedEvent) {
        Optional<Days> birth = person.cell("birth_date").map(NaiveEvaluator::days);
        if (birth.isEmpty() || (date.isEmpty() && !undatedEvent)) {
            return Outcome.UNSURE;
        }
        Days when = date.orElse(new Days(FIRST_DAY, asOf));
        boolean any = false;
        boolean all = true;
        for (LocalDate born = birth.get().first(); !born.isAfter(birth.get().last()); born = born.plusDays(1)) {
            LocalDate day = born;
            Outcome here = overDays(when, at -> ages.hold(day, at));
            any |= here != Outcome.NO;
            all &= here == Outcome.YES;
            if (any && !all) {
                return Outcome.UNSURE;
            }
        }
        return all ? Outcome.YES : Outcome.NO;
    }

    /** Ages in whole units, both included; none before birth. */
    private record Ages(ChronoUnit unit, long from, long through) {
        static Ages of(JsonNode written) {
            return new Ages(
                    ChronoUnit.valueOf(written.path("unit").asString("years").toUpperCase(Locale.ROOT)),
                    written.path("from").asLong(0),
                    written.path("through").asLong(Long.MAX_VALUE));
        }

        boolean hold(LocalDate birth, LocalDate day) {
            long age = unit.between(birth, day);
            return !day.isBefore(birth) && age >= from && age <= through;
        }
    }

    private Outcome age(JsonNode written, Row person) {
        Ages ages = Ages.of(written);
        String on = written.path("on").asString("");
        LocalDate day = switch (on) {
            case "" -> asOf;
            case "startOfYear" -> asOf.withDayOfYear(1);
            case "endOfYear" -> asOf.withMonth(12).withDayOfMonth(31);
            default -> LocalDate.parse(on);
        };
        return person.cell("birth_date")
                .map(birth -> overDays(days(birth), born -> ages.hold(born, day)))
                .orElse(Outcome.UNSURE);
    }

    // Fields.

    private Outcome field(JsonNode test, Optional<String> cell, Row person, boolean ofEvent) {
        String field = test.get("field").asString();
        if (test.has("missing")) {
            return Outcome.of(cell.isEmpty() == test.get("missing").asBoolean());
        }
        if (DATE_FIELDS.contains(field)) {
            Optional<Days> date = field.equals("on") && ofEvent && cell.isPresent()
                    ? on(new Row(Map.of("on", cell.get())))
                    : cell.map(NaiveEvaluator::days);
            return dateField(test, date, person);
        }
        if (cell.isEmpty()) {
            return Outcome.UNSURE;
        }
        if (test.has("is")) {
            return Outcome.of(test.get("is").asBoolean() == cell.get().equals("yes"));
        }
        if (Set.of("frailty", "wait").contains(field) || field.equals("value")) {
            return number(test, Double.parseDouble(cell.get()));
        }
        return texts(test, List.of(cell.get()));
    }

    private Outcome dateField(JsonNode test, Optional<Days> date, Row person) {
        if (test.has("window")) {
            return inWindow(test.get("window"), date, person, false);
        }
        if (date.isEmpty()) {
            return Outcome.UNSURE;
        }
        if (test.has("in") || test.has("notIn")) {
            JsonNode list = test.has("in") ? test.get("in") : test.get("notIn");
            Outcome in =
                    overDays(date.get(), day -> list.valueStream().anyMatch(one -> holds(days(one.asString()), day)));
            return test.has("in") ? in : not(in);
        }
        LocalDate from = test.has("from") ? days(test.get("from").asString()).first() : FIRST_DAY;
        LocalDate through =
                test.has("through") ? days(test.get("through").asString()).last() : LAST_DAY;
        return overDays(date.get(), day -> holds(new Days(from, through), day));
    }

    private static Outcome number(JsonNode test, double number) {
        if (test.has("in") || test.has("notIn")) {
            JsonNode list = test.has("in") ? test.get("in") : test.get("notIn");
            return Outcome.of(list.valueStream().anyMatch(one -> one.asDouble() == number) == test.has("in"));
        }
        boolean holds = (!test.has("above") || number > test.get("above").asDouble())
                && (!test.has("atLeast") || number >= test.get("atLeast").asDouble())
                && (!test.has("below") || number < test.get("below").asDouble())
                && (!test.has("atMost") || number <= test.get("atMost").asDouble());
        return Outcome.of(holds);
    }

    /** Several texts hold if any one does; for {@code notIn}, if none is in the list. */
    private static Outcome texts(JsonNode test, List<String> texts) {
        List<String> normal = texts.stream().map(NormalText::of).toList();
        if (test.has("notIn")) {
            return Outcome.of(
                    test.get("notIn").valueStream().noneMatch(one -> normal.contains(NormalText.of(one.asString()))));
        }
        if (test.has("in")) {
            return Outcome.of(
                    test.get("in").valueStream().anyMatch(one -> normal.contains(NormalText.of(one.asString()))));
        }
        String part = NormalText.of(
                test.path("startsWith").asString(test.path("contains").asString("")));
        return Outcome.of(
                normal.stream().anyMatch(text -> test.has("startsWith") ? text.startsWith(part) : text.contains(part)));
    }

    // Events.

    private record Match(Row event, Outcome outcome) {}

    private List<Match> matches(JsonNode selection, Row person, List<Row> events, String defaultWindow) {
        List<Match> matches = new ArrayList<>();
        for (Row event : events) {
            Outcome outcome = match(selection, person, event, defaultWindow);
            if (outcome != Outcome.NO
                    && !NormalText.of(event.cell("status").orElse("")).equals("entered-in-error")) {
                matches.add(new Match(event, outcome));
            }
        }
        return matches;
    }

    private Outcome match(JsonNode selection, Row person, Row event, String defaultWindow) {
        Outcome all = Outcome.YES;
        if (selection.has("kinds")) {
            all = and(
                    all,
                    Outcome.of(
                            isListed(selection.get("kinds"), event.cell("kind").orElse(""))));
        }
        if (selection.has("terms")) {
            all = and(
                    all,
                    Outcome.of(selection
                            .get("terms")
                            .valueStream()
                            .flatMap(id ->
                                    termSets.get(id.asString()).get("members").valueStream())
                            .anyMatch(member -> isMember(member, event))));
        }
        for (JsonNode test : selection.path("where").values()) {
            all = and(all, where(test, person, event));
        }
        if (selection.has("active")) {
            all = and(all, active(event));
        }
        JsonNode window = selection.has("window")
                ? selection.get("window")
                : JsonNodeFactory.instance.objectNode().put(defaultWindow, true);
        return and(all, inWindow(window, on(event), person, event.cell("on").isEmpty()));
    }

    private static boolean isListed(JsonNode list, String text) {
        return list.valueStream().anyMatch(one -> NormalText.of(one.asString()).equals(NormalText.of(text)));
    }

    private static boolean isMember(JsonNode member, Row event) {
        Function<String, String> said = field -> NormalText.of(event.cell(field).orElse(""));
        Function<String, String> asked = key -> NormalText.of(member.path(key).asString(""));
        if (member.has("code")) {
            return (said.apply("code").equals(asked.apply("code"))
                            && (!member.has("system") || said.apply("system").equals(asked.apply("system"))))
                    || Stream.of(event.cell("also_coded").orElse("").split(";"))
                            .map(entry -> (entry + "|").split("\\|", 2))
                            .anyMatch(entry -> NormalText.of(entry[0]).equals(asked.apply("code"))
                                    && (!member.has("system")
                                            || NormalText.of(withoutLastBar(entry[1]))
                                                    .equals(asked.apply("system"))));
        }
        if (member.has("keyword")) {
            return keywords(event).stream().map(NormalText::of).anyMatch(asked.apply("keyword")::equals);
        }
        String text = said.apply("text");
        return !text.isEmpty()
                && switch (member.path("match").asString("is")) {
                    case "startsWith" -> text.startsWith(asked.apply("text"));
                    case "contains" -> text.contains(asked.apply("text"));
                    default -> text.equals(asked.apply("text"));
                };
    }

    private static String withoutLastBar(String system) {
        return system.endsWith("|") ? system.substring(0, system.length() - 1) : system;
    }

    private static List<String> keywords(Row event) {
        return event.cell("keywords").map(cell -> List.of(cell.split(";"))).orElse(List.of());
    }

    private Outcome where(JsonNode test, Row person, Row event) {
        String field = test.get("field").asString();
        if (field.equals("keywords")) {
            List<String> words = keywords(event);
            return test.has("missing")
                    ? Outcome.of(words.isEmpty() == test.get("missing").asBoolean())
                    : words.isEmpty() ? Outcome.UNSURE : texts(test, words);
        }
        if (test.has("unit")
                && !NormalText.of(event.cell("unit").orElse(""))
                        .equals(NormalText.of(test.get("unit").asString()))) {
            return Outcome.UNSURE;
        }
        return field(test, event.cell(field), person, true);
    }

    private Outcome active(Row event) {
        Outcome begun =
                on(event).map(days -> overDays(days, day -> !day.isAfter(asOf))).orElse(Outcome.YES);
        Outcome lasting = event.cell("until")
                .map(NaiveEvaluator::days)
                .map(days -> overDays(days, day -> day.isAfter(asOf)))
                .orElse(Outcome.YES);
        boolean over = ENDED.contains(NormalText.of(event.cell("status").orElse("")));
        return and(and(begun, lasting), Outcome.of(!over));
    }

    private Outcome counted(JsonNode test, List<Match> matches) {
        String per = test.path("per").asString("record");
        List<Match> certain =
                matches.stream().filter(match -> match.outcome() == Outcome.YES).toList();
        int low = certain.size();
        int high = matches.size();
        if (!per.equals("record")) {
            low = Math.max(different(certain, per).size(), certain.isEmpty() ? 0 : 1);
            long inexact =
                    matches.stream().filter(match -> key(match, per).isEmpty()).count();
            high = different(matches, per).size() + (int) inexact;
        }
        JsonNode count = test.path("count");
        if (count.has("none") || count.has("atMost")) {
            return not(atLeast(count.path("atMost").asInt(0) + 1, low, high));
        }
        if (count.has("exactly")) {
            int n = count.get("exactly").asInt();
            return and(atLeast(n, low, high), not(atLeast(n + 1, low, high)));
        }
        return atLeast(count.path("atLeast").asInt(1), low, high);
    }

    private Set<String> different(List<Match> matches, String per) {
        Set<String> keys = new HashSet<>();
        matches.forEach(match -> key(match, per).ifPresent(keys::add));
        return keys;
    }

    private Optional<String> key(Match match, String per) {
        return per.equals("day")
                ? on(match.event())
                        .filter(Days::isExact)
                        .map(days -> days.first().toString())
                : match.event().cell("code").map(NormalText::of);
    }

    // Latest, earliest and sequences.

    private Days range(Row event) {
        return on(event).orElse(new Days(FIRST_DAY, asOf));
    }

    private Outcome agreed(List<Match> matches, boolean latest, Function<Row, Outcome> answer) {
        if (matches.isEmpty()) {
            return Outcome.NO;
        }
        Set<Outcome> answers = new HashSet<>();
        if (matches.stream().noneMatch(match -> match.outcome() == Outcome.YES)) {
            answers.add(Outcome.NO);
        }
        for (Match one : matches) {
            boolean beaten = matches.stream()
                    .filter(other -> other.outcome() == Outcome.YES)
                    .anyMatch(other -> latest
                            ? range(other.event())
                                    .first()
                                    .isAfter(range(one.event()).last())
                            : range(other.event())
                                    .last()
                                    .isBefore(range(one.event()).first()));
            if (!beaten) {
                answers.add(answer.apply(one.event()));
            }
        }
        return answers.size() == 1 ? answers.iterator().next() : Outcome.UNSURE;
    }

    private Outcome picked(JsonNode test, Row person, List<Row> events) {
        boolean latest = test.has("latest");
        List<Match> matches = matches(test.get(latest ? "latest" : "earliest"), person, events, "ever");
        return agreed(
                matches,
                latest,
                event -> test.get("is")
                        .valueStream()
                        .map(one -> where(one, person, event))
                        .reduce(Outcome.YES, NaiveEvaluator::and));
    }

    // The anchor event itself is not counted; another that looks the same is.
    @SuppressWarnings("ReferenceEquality")
    private Outcome followed(JsonNode test, Row person, List<Row> events) {
        List<Match> anchors = matches(test.get("after"), person, events, "ever");
        Function<Row, Outcome> answer = anchor -> {
            List<Match> inTime = new ArrayList<>();
            for (Match match : matches(test.get("expect"), person, events, "any")) {
                Outcome outcome = and(match.outcome(), inTime(test, anchor, match.event()));
                if (match.event() != anchor && outcome != Outcome.NO) {
                    inTime.add(new Match(match.event(), outcome));
                }
            }
            return counted(test, inTime);
        };
        String pick = test.path("pick").asString("latest");
        if (anchors.isEmpty()) {
            return Outcome.NO;
        }
        return switch (pick) {
            case "any" ->
                not(anchors.stream()
                        .map(anchor -> not(and(anchor.outcome(), answer.apply(anchor.event()))))
                        .reduce(Outcome.YES, NaiveEvaluator::and));
            case "each" ->
                anchors.stream()
                        .map(anchor -> not(and(anchor.outcome(), not(answer.apply(anchor.event())))))
                        .reduce(Outcome.YES, NaiveEvaluator::and);
            default -> agreed(anchors, pick.equals("latest"), answer);
        };
    }

    private Outcome inTime(JsonNode test, Row anchor, Row event) {
        if (on(anchor).isEmpty() || on(event).isEmpty()) {
            return Outcome.UNSURE;
        }
        Period notBefore = Period.parse(test.path("notBefore").asString("P0D"));
        Period within = Period.parse(test.get("within").asString());
        Days a = range(anchor);
        Days e = range(event);
        if (!e.first().isBefore(a.last().plus(notBefore))
                && !e.last().isAfter(a.first().plus(within))) {
            return Outcome.YES;
        }
        boolean outside = e.last().isBefore(a.first().plus(notBefore))
                || e.first().isAfter(a.last().plus(within));
        return outside ? Outcome.NO : Outcome.UNSURE;
    }
}
