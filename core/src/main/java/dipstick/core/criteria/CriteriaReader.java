package dipstick.core.criteria;

import dipstick.core.criteria.CriteriaSet.Population;
import dipstick.core.records.RecordFields;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Reads criteria documents (criteria.md section 4), dials filled in, or says everything that is wrong with them
 * before anything runs.
 */
public final class CriteriaReader {
    private static final String FORMAT = "dipstick-criteria/1";

    private static final Set<String> KEYS = Set.of(
            "format",
            "id",
            "name",
            "purpose",
            "population",
            "dials",
            "termSets",
            "rosters",
            "include",
            "exclude",
            "shouldHave",
            "bands",
            "show",
            "order",
            "top");

    private static final List<Spot.Choice<Population>> POPULATIONS =
            List.of(new Spot.Choice<>("living", Population.LIVING), new Spot.Choice<>("everyone", Population.EVERYONE));

    private static final List<Spot.Choice<Criterion.Unsure>> UNSURE = List.of(
            new Spot.Choice<>("ask", Criterion.Unsure.ASK),
            new Spot.Choice<>("meets", Criterion.Unsure.MEETS),
            new Spot.Choice<>("fails", Criterion.Unsure.FAILS));

    private static final List<Spot.Choice<ShouldHave.Rule>> RULES = List.of(
            new Spot.Choice<>("any", new ShouldHave.Rule.Any()), new Spot.Choice<>("all", new ShouldHave.Rule.All()));

    private final RecordFields fields;
    private final ZoneId zone;
    private final MemberReferences references;
    private final Map<String, CriteriaSource> sources = new LinkedHashMap<>();
    private final Map<String, CriteriaSet> read = new HashMap<>();
    private final Map<String, List<Problem>> problems = new LinkedHashMap<>();

    private CriteriaReader(List<CriteriaSource> all, RecordFields fields, ZoneId zone) {
        this.fields = fields;
        this.zone = zone;
        this.references = new MemberReferences(all);
        for (CriteriaSource source : all) {
            CriteriaSource first = sources.putIfAbsent(source.id(), source);
            if (first != null && !source.id().isEmpty()) {
                say(
                        source,
                        new Problem(
                                "/id", "The set id “" + source.id() + "” is already that of " + first.name() + "."));
            }
        }
    }

    /**
     * Reads a document and those that it may name as members.
     *
     * @param all the one to be evaluated first
     * @param settings of the first one's dials, by name; the others stand at their defaults
     * @throws InvalidCriteria with the problems of all of them
     */
    public static CriteriaSet read(
            List<CriteriaSource> all, Map<String, String> settings, RecordFields fields, ZoneId zone)
            throws InvalidCriteria {
        CriteriaReader reader = new CriteriaReader(all, fields, zone);
        CriteriaSource first = all.getFirst();
        CriteriaSet set = reader.document(first, settings);
        for (CriteriaSource other : all.subList(1, all.size())) {
            reader.byId(other);
        }
        if (!reader.problems.isEmpty()) {
            throw new InvalidCriteria(reader.problems);
        }
        return set;
    }

    private CriteriaSet byId(CriteriaSource source) {
        CriteriaSet known = read.get(source.name());
        return known != null ? known : document(source, Map.of());
    }

    private CriteriaSet document(CriteriaSource source, Map<String, String> settings) {
        Spot spot = Spot.root(source.json());
        CriteriaSet set = spot.isObject("a criteria set, an object with format, id and name")
                ? document(spot, source, settings)
                : empty();
        read.put(source.name(), set);
        spot.problems().stream().distinct().forEach(problem -> say(source, problem));
        return set;
    }

    private CriteriaSet document(Spot spot, CriteriaSource source, Map<String, String> settings) {
        spot.allowOnly(KEYS);
        if (spot.requires("format") && !FORMAT.equals(spot.get("format").words())) {
            spot.get("format").problem("This should be \"" + FORMAT + "\", the only format known here.");
        }
        DialReader.Turned dials = new DialReader(fields.people(), zone).read(spot, settings);
        ValueReader values = new ValueReader(zone, dials);
        List<TermSet> termSets = spot.list("termSets", new TermSetReader(values)::read);
        List<Roster> rosters = spot.list("rosters", new RosterReader(fields.people(), zone)::read);
        twice(spot, "termSets");
        twice(spot, "rosters");
        TestReader tests = new TestReader(
                fields,
                values,
                index(termSets, TermSet::id),
                index(rosters, Roster::id),
                member -> member(source, member));
        Set<String> ids = new HashSet<>();
        Function<Spot, Criterion> criterion = at -> criterion(at, tests, ids);
        List<Criterion> include = spot.list("include", criterion);
        List<Criterion> exclude = spot.list("exclude", criterion);
        Optional<ShouldHave> shouldHave =
                spot.find("shouldHave").flatMap(should -> shouldHave(should, values, criterion));
        ListColumnReader columns =
                new ListColumnReader(fields.people(), spot, CriteriaSet.criteria(include, exclude, shouldHave));
        return new CriteriaSet(
                spot.requiredWords("id"),
                spot.requiredWords("name"),
                spot.has("purpose") ? spot.get("purpose").words() : "",
                spot.has("population") ? spot.get("population").oneOf(POPULATIONS) : Population.LIVING,
                dials.dials(),
                termSets,
                rosters,
                include,
                exclude,
                shouldHave,
                spot.list("bands", band -> band(band, tests, values)),
                spot.list("show", columns::column),
                spot.list("order", columns::order),
                spot.find("top").map(top -> top(top, values)));
    }

    private static int top(Spot spot, ValueReader values) {
        int top = values.whole(spot);
        boolean isNone = top == 0
                && spot.problems().stream()
                        .noneMatch(problem -> problem.pointer().equals(spot.pointer()));
        if (isNone) {
            spot.problem("This should be a whole number, 1 or more.");
        }
        return top;
    }

    private Optional<CriteriaSet> member(CriteriaSource from, Spot member) {
        String id = member.words();
        CriteriaSource named = sources.get(id);
        if (named == null || id.isEmpty()) {
            member.problem("There is no criteria set “" + id + "” here.");
            return Optional.empty();
        }
        if (references.closesCircle(from.id(), id)) {
            member.problem("This goes round in a circle: “" + id + "” depends on “" + from.id() + "” in turn.");
            return Optional.empty();
        }
        return Optional.of(byId(named));
    }

    private static Criterion criterion(Spot spot, TestReader tests, Set<String> ids) {
        if (!spot.isObject("a criterion, an object with id and test")) {
            return new Criterion("", Optional.empty(), true, Criterion.Unsure.ASK, new Test.All(List.of()));
        }
        spot.allowOnly(Set.of("id", "label", "off", "unsure", "test"));
        String id = spot.requiredWords("id");
        if (!id.isEmpty() && !ids.add(id)) {
            spot.get("id").problem("The criterion id “" + id + "” is there twice; it must be its own.");
        }
        return new Criterion(
                id,
                spot.find("label").map(Spot::words).filter(label -> !label.isBlank()),
                spot.has("off") && spot.get("off").truth(),
                spot.has("unsure") ? spot.get("unsure").oneOf(UNSURE) : Criterion.Unsure.ASK,
                spot.requires("test") ? tests.read(spot.get("test")) : new Test.All(List.of()));
    }

    private static Optional<ShouldHave> shouldHave(Spot spot, ValueReader values, Function<Spot, Criterion> criterion) {
        if (!spot.isObject("an object with rule and of")) {
            return Optional.empty();
        }
        spot.allowOnly(Set.of("rule", "of"));
        ShouldHave.Rule rule = spot.requires("rule") ? rule(spot.get("rule"), values) : new ShouldHave.Rule.Any();
        spot.requires("of");
        return Optional.of(new ShouldHave(rule, spot.list("of", criterion)));
    }

    private static ShouldHave.Rule rule(Spot spot, ValueReader values) {
        if (!spot.json().isObject()) {
            return spot.oneOf(RULES);
        }
        spot.allowOnly(Set.of("atLeast"));
        return new ShouldHave.Rule.AtLeast(spot.requires("atLeast") ? values.whole(spot.get("atLeast")) : 0);
    }

    private static Band band(Spot spot, TestReader tests, ValueReader values) {
        if (!spot.isObject("a band, an object with name and when")) {
            return new Band("", new Band.When.NeverMet());
        }
        spot.allowOnly(Set.of("name", "when"));
        String name = spot.requiredWords("name");
        return new Band(name, spot.requires("when") ? when(spot.get("when"), tests, values) : new Band.When.NeverMet());
    }

    private static Band.When when(Spot spot, TestReader tests, ValueReader values) {
        if (!spot.json().isObject() || !spot.has("overdue")) {
            return new Band.When.Is(tests.read(spot));
        }
        spot.allowOnly(Set.of("overdue"));
        Spot overdue = spot.get("overdue");
        if (overdue.json().isObject()) {
            overdue.allowOnly(Set.of("atLeast"));
            return overdue.requires("atLeast")
                    ? new Band.When.Overdue(values.period(overdue.get("atLeast")))
                    : new Band.When.NeverMet();
        }
        return overdue.oneOf(List.of(new Spot.Choice<Band.When>("never", new Band.When.NeverMet())));
    }

    private static void twice(Spot document, String key) {
        Set<String> seen = new HashSet<>();
        for (Spot item : document.has(key) && document.get(key).json().isArray()
                ? document.get(key).items()
                : new ArrayList<Spot>()) {
            if (item.json().path("id").isString()
                    && !seen.add(item.json().get("id").stringValue())) {
                item.get("id").problem("This id is there twice; it must be its own.");
            }
        }
    }

    private static <T> Map<String, T> index(List<T> items, Function<T, String> id) {
        return items.stream().collect(Collectors.toMap(id, item -> item, (first, second) -> first));
    }

    private static CriteriaSet empty() {
        return new CriteriaSet(
                "",
                "",
                "",
                Population.LIVING,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty());
    }

    private void say(CriteriaSource source, Problem problem) {
        problems.computeIfAbsent(source.name(), name -> new ArrayList<>()).add(problem);
    }
}
