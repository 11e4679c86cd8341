package dipstick.core.criteria;

import dipstick.core.records.FieldType;
import dipstick.core.records.RecordFields;
import dipstick.core.time.AgeSpan;
import dipstick.core.time.CalendarPeriod;
import dipstick.core.time.Window;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Reads the tests of criteria.md section 3. */
final class TestReader {
    /** The stand-in for a test that cannot be read; the document is refused. */
    private static final Test SOME_TEST = new Test.All(List.of());

    private static final List<Spot.Choice<Test.Per>> PER = List.of(
            new Spot.Choice<>("record", Test.Per.RECORD),
            new Spot.Choice<>("day", Test.Per.DAY),
            new Spot.Choice<>("code", Test.Per.CODE));

    private static final List<Spot.Choice<Test.Anchor>> ANCHORS = List.of(
            new Spot.Choice<>("latest", Test.Anchor.LATEST),
            new Spot.Choice<>("earliest", Test.Anchor.EARLIEST),
            new Spot.Choice<>("any", Test.Anchor.ANY),
            new Spot.Choice<>("each", Test.Anchor.EACH));

    private static final List<Spot.Choice<Test.Part>> PARTS = List.of(
            new Spot.Choice<>("list", Test.Part.LIST),
            new Spot.Choice<>("eligible", Test.Part.ELIGIBLE),
            new Spot.Choice<>("has", Test.Part.HAS));

    /** The key that says what a test is, in the order in which they are looked for. */
    private static final List<String> KINDS = List.of(
            "field",
            "all",
            "any",
            "not",
            "age",
            "events",
            "latest",
            "earliest",
            "after",
            "member",
            "roster",
            "atLeast");

    /** Keys that belong to some test but do not say which one it is. */
    private static final Set<String> PARTS_OF_TESTS =
            Set.of("of", "count", "per", "is", "expect", "pick", "within", "notBefore", "part");

    private final RecordFields fields;
    private final ValueReader values;
    private final WindowReader windows;
    private final FieldTestReader fieldTests;
    private final Map<String, TermSet> termSets;
    private final Map<String, Roster> rosters;
    private final SetNames sets;

    /** Finds the sets that tests name. */
    interface SetNames {
        /** The set that a {@code member} names, or nothing where it is wrong, which has then been said. */
        Optional<CriteriaSet> find(Spot member);
    }

    TestReader(
            RecordFields fields,
            ValueReader values,
            Map<String, TermSet> termSets,
            Map<String, Roster> rosters,
            SetNames sets) {
        this.fields = fields;
        this.values = values;
        this.windows = new WindowReader(values);
        this.fieldTests = new FieldTestReader(values, windows);
        this.termSets = termSets;
        this.rosters = rosters;
        this.sets = sets;
    }

    Test read(Spot spot) {
        if (!spot.isObject("a test, such as {\"age\": {\"from\": 18}}")) {
            return SOME_TEST;
        }
        Optional<String> kind = KINDS.stream().filter(spot::has).findFirst();
        if (kind.isEmpty()) {
            unknown(spot);
            return SOME_TEST;
        }
        return switch (kind.get()) {
            case "field" -> new Test.OfField(fieldTests.readOfPerson(spot, fields.people()));
            case "all" -> new Test.All(tests(spot, "all"));
            case "any" -> new Test.Any(tests(spot, "any"));
            case "not" -> {
                spot.allowOnly(Set.of("not"));
                yield new Test.Not(read(spot.get("not")));
            }
            case "age" -> age(spot);
            case "events" -> events(spot);
            case "latest" -> pick(spot, "latest", Test.End.LATEST);
            case "earliest" -> pick(spot, "earliest", Test.End.EARLIEST);
            case "after" -> sequence(spot);
            case "member" -> member(spot);
            case "roster" -> roster(spot);
            default -> atLeast(spot);
        };
    }

    private static void unknown(Spot spot) {
        Optional<String> wrong = spot.keys().stream()
                .filter(key -> !PARTS_OF_TESTS.contains(key))
                .findFirst();
        String expected = "A test has one of: " + String.join(", ", KINDS) + ".";
        if (wrong.isPresent()) {
            spot.get(wrong.get()).problem("“" + wrong.get() + "” is no test. " + expected);
        } else {
            spot.problem("This says of no test what it is. " + expected);
        }
    }

    private List<Test> tests(Spot spot, String key) {
        spot.allowOnly(Set.of(key));
        return spot.list(key, this::read);
    }

    private Test atLeast(Spot spot) {
        spot.allowOnly(Set.of("atLeast", "of"));
        int count = values.whole(spot.get("atLeast"));
        return spot.requires("of") ? new Test.AtLeast(count, spot.list("of", this::read)) : SOME_TEST;
    }

    private Test age(Spot spot) {
        spot.allowOnly(Set.of("age"));
        Spot age = spot.get("age");
        AgeSpan ages = windows.ages(age, Set.of("from", "through", "unit", "on"));
        return new Test.Age(
                ages, age.json().isObject() && age.has("on") ? ageDay(age.get("on")) : new Test.AgeDay.AsOf());
    }

    private Test.AgeDay ageDay(Spot on) {
        String word = on.json().isString() ? on.json().stringValue() : "";
        return switch (word) {
            case "endOfYear" -> new Test.AgeDay.EndOfYear();
            case "startOfYear" -> new Test.AgeDay.StartOfYear();
            default -> new Test.AgeDay.On(values.day(on));
        };
    }

    private Test events(Spot spot) {
        spot.allowOnly(Set.of("events", "count", "per"));
        return new Test.Events(selection(spot.get("events"), new Window.Ever()), count(spot), per(spot));
    }

    private Test pick(Spot spot, String key, Test.End end) {
        spot.allowOnly(Set.of(key, "is"));
        spot.requires("is");
        return new Test.Pick(
                end,
                selection(spot.get(key), new Window.Ever()),
                spot.list("is", test -> fieldTests.readOfEvent(test, fields.events())));
    }

    private Test sequence(Spot spot) {
        spot.allowOnly(Set.of("after", "pick", "expect", "within", "notBefore", "count", "per"));
        Selection anchor = selection(spot.get("after"), new Window.Ever());
        Test.Anchor pick = spot.has("pick") ? spot.get("pick").oneOf(ANCHORS) : Test.Anchor.LATEST;
        CalendarPeriod notBefore = spot.has("notBefore")
                ? values.period(spot.get("notBefore"))
                : CalendarPeriod.parse("P0D").orElseThrow();
        if (!spot.requires("expect") || !spot.requires("within")) {
            return SOME_TEST;
        }
        Selection expect = selection(spot.get("expect"), new Window.AnyDay());
        CalendarPeriod within = values.period(spot.get("within"));
        if (within.isAlwaysShorterThan(notBefore)) {
            spot.problem("Nothing can be in time: not before " + notBefore.written() + " is later than within "
                    + within.written() + ".");
        }
        return new Test.Sequence(anchor, pick, expect, notBefore, within, count(spot), per(spot));
    }

    private Test member(Spot spot) {
        spot.allowOnly(Set.of("member", "part"));
        Test.Part part = spot.has("part") ? spot.get("part").oneOf(PARTS) : Test.Part.LIST;
        return sets.find(spot.get("member"))
                .<Test>map(set -> new Test.Member(set, part))
                .orElse(SOME_TEST);
    }

    private Test roster(Spot spot) {
        spot.allowOnly(Set.of("roster"));
        Spot name = spot.get("roster");
        Roster roster = rosters.get(name.words());
        if (roster == null) {
            name.problem("There is no roster “" + name.json().asString("") + "” in this criteria set.");
            return SOME_TEST;
        }
        return new Test.InRoster(roster);
    }

    private Selection selection(Spot spot, Window defaultWindow) {
        if (!spot.isObject("a selection of events, such as {\"kinds\": [\"visit\"]}")) {
            return new Selection(Optional.empty(), Optional.empty(), List.of(), false, defaultWindow);
        }
        spot.allowOnly(Set.of("kinds", "terms", "where", "active", "window"));
        Optional<Set<ComparedText>> kinds = spot.find("kinds")
                .map(list -> values.writtenTexts(list).stream()
                        .map(kind -> ComparedText.of(kind, FieldType.TEXT))
                        .collect(Collectors.toSet()));
        Optional<List<TermSet>> terms = spot.find("terms").map(this::terms);
        List<FieldTest> where = spot.list("where", test -> fieldTests.readOfEvent(test, fields.events()));
        spot.find("active").ifPresent(Spot::onlyTrue);
        Window window = spot.has("window") ? windows.read(spot.get("window")) : defaultWindow;
        return new Selection(kinds, terms, where, spot.has("active"), window);
    }

    private List<TermSet> terms(Spot list) {
        List<TermSet> found = new ArrayList<>();
        for (Spot item : list.items()) {
            String id = item.words();
            TermSet termSet = termSets.get(id);
            if (termSet == null) {
                item.problem("There is no term set “" + id + "” in this criteria set.");
            } else {
                found.add(termSet);
            }
        }
        return found;
    }

    private Count count(Spot spot) {
        if (!spot.has("count")) {
            return Count.ONE_OR_MORE;
        }
        Spot count = spot.get("count");
        Set<String> forms = Set.of("atLeast", "atMost", "exactly", "none");
        if (!count.isObject("a count, such as {\"atLeast\": 2} or {\"none\": true}")) {
            return Count.ONE_OR_MORE;
        }
        count.allowOnly(forms);
        List<String> given = count.keys().stream().filter(forms::contains).toList();
        if (given.size() != 1) {
            count.problem("A count has exactly one of: atLeast, atMost, exactly, none.");
            return Count.ONE_OR_MORE;
        }
        Spot number = count.get(given.getFirst());
        return switch (given.getFirst()) {
            case "atLeast" -> Count.atLeast(values.whole(number));
            case "atMost" -> Count.atMost(values.whole(number));
            case "exactly" -> Count.exactly(values.whole(number));
            default -> {
                number.onlyTrue();
                yield Count.atMost(0);
            }
        };
    }

    private static Test.Per per(Spot spot) {
        return spot.has("per") ? spot.get("per").oneOf(PER) : Test.Per.RECORD;
    }
}
