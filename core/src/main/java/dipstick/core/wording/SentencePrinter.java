package dipstick.core.wording;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.Count;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.Test;
import dipstick.core.time.Window;
import dipstick.core.wording.Slot.Control;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** Prints tests as sentences that a person can read and change in place. */
public final class SentencePrinter {
    /** The band of whoever is in none before it. */
    private static final Test EVERYBODY = new Test.All(List.of());

    private final Place place;

    /** Prints with the days of windows in brackets and dials filled in. */
    public SentencePrinter(LocalDate asOf) {
        this(Place.seenFrom(asOf));
    }

    private SentencePrinter(Place place) {
        this.place = place;
    }

    /**
     * Prints as a document is shared: without days, which change from one as-of date to the next, and with the dials
     * named.
     *
     * @param json the test, as it stands in the document
     * @param sharedNames names of term sets, rosters and sets that several of them have
     */
    public static Sentence undated(Test test, JsonNode json, Set<String> sharedNames) {
        return new SentencePrinter(new Place(Optional.empty(), json, sharedNames)).print(test);
    }

    /** The same of a band. */
    public static Sentence undated(Band.When when, JsonNode json, Set<String> sharedNames) {
        return new SentencePrinter(new Place(Optional.empty(), json, sharedNames)).print(when);
    }

    public Sentence print(Test test) {
        return print(test, "", place);
    }

    /** When somebody is in a band. */
    public Sentence print(Band.When when) {
        return switch (when) {
            case Band.When.NeverMet _ -> leaf("", Phrase.slot("never met", "", Control.OVERDUE));
            case Band.When.Overdue(var by) ->
                leaf(
                        "",
                        Phrase.plain("overdue by "),
                        Phrase.slot(WindowWords.period(by, place.at("overdue").at("atLeast")), "", Control.OVERDUE),
                        Phrase.plain(" or more" + place.days(asOf -> "due by " + DayWords.day(by.before(asOf)))));
            case Band.When.Is(var test) ->
                test.equals(EVERYBODY) ? leaf("", Phrase.plain("everybody else")) : print(test);
        };
    }

    private static Sentence print(Test test, String at, Place place) {
        return switch (test) {
            case Test.All(var of)
            when exactly(of).isPresent() -> exactly(of).orElseThrow().printed(at, place);
            case Test.All all -> group(at, "all", "all of these", all.of(), place);
            case Test.Any any -> group(at, "any", "any of these", any.of(), place);
            case Test.AtLeast some ->
                group(
                        at,
                        "of",
                        "at least " + place.at("atLeast").words(String.valueOf(some.count())) + " of these",
                        some.of(),
                        place);
            case Test.Not not ->
                new Sentence(
                        at,
                        List.of(Phrase.plain("not so that")),
                        List.of(print(not.of(), at + "/not", place.at("not"))));
            case Test.OfField field -> leaf(at, Phrase.slot(FieldWords.of(field.test(), place), at, Control.FIELD));
            case Test.Age age ->
                leaf(
                        at,
                        Phrase.plain("aged "),
                        Phrase.slot(
                                WindowWords.ages(age.ages(), place.at("age")) + ageDay(age.on(), place.at("age")),
                                at + "/age",
                                Control.AGE));
            case Test.Events events -> events(events, at, place);
            case Test.Pick pick -> pick(pick, at, place);
            case Test.Sequence sequence -> sequence(sequence, at, place);
            case Test.Member member ->
                leaf(
                        at,
                        Phrase.slot(
                                partWords(member.part()) + " "
                                        + place.quoted(
                                                member.set().name(),
                                                member.set().id()),
                                at,
                                Control.MEMBER));
            case Test.InRoster in ->
                leaf(
                        at,
                        Phrase.slot(
                                "in the roster "
                                        + place.quoted(
                                                in.roster().name(), in.roster().id()),
                                at,
                                Control.ROSTER));
        };
    }

    /** "At least n, and not n and one more, of these" is exactly n of them. */
    private static Optional<Exactly> exactly(List<Test> of) {
        return of.size() == 2
                        && of.getFirst() instanceof Test.AtLeast(int count, var these)
                        && of.getLast() instanceof Test.Not(Test.AtLeast(int more, var same))
                        && more == count + 1
                        && same.equals(these)
                ? Optional.of(new Exactly(count, these))
                : Optional.empty();
    }

    /** What cannot be changed word by word, since it stands in the document twice. */
    private record Exactly(int count, List<Test> of) {
        Sentence printed(String at, Place place) {
            Place these = place.at("all").at(0).at("of");
            List<Sentence> parts = new ArrayList<>();
            for (int i = 0; i < of.size(); i++) {
                parts.add(fixed(print(of.get(i), at + "/all/0/of/" + i, these.at(i))));
            }
            return new Sentence(at, List.of(Phrase.plain("exactly " + count + " of these")), parts);
        }

        private static Sentence fixed(Sentence sentence) {
            return new Sentence(
                    sentence.pointer(),
                    sentence.phrases().stream()
                            .map(phrase -> Phrase.plain(phrase.text()))
                            .toList(),
                    sentence.parts().stream().map(Exactly::fixed).toList());
        }
    }

    private static Sentence group(String at, String key, String words, List<Test> of, Place place) {
        List<Sentence> parts = new ArrayList<>();
        for (int i = 0; i < of.size(); i++) {
            parts.add(print(of.get(i), at + "/" + key + "/" + i, place.at(key).at(i)));
        }
        return new Sentence(at, List.of(Phrase.slot(words, at, Control.GROUP)), parts);
    }

    private static Sentence events(Test.Events test, String at, Place place) {
        Selection selection = test.events();
        Place events = place.at("events");
        String noun = noun(test.count(), selection, events, place);
        return leaf(
                at,
                Phrase.plain("had "),
                Phrase.slot(countWords(test.count(), noun, place), at, Control.COUNT),
                Phrase.plain(" "),
                Phrase.slot(noun + perWords(test.per()), at + "/events", Control.SELECTION),
                Phrase.plain(" "),
                Phrase.slot(WindowWords.of(selection.window(), events.at("window")), at + "/events", Control.WINDOW));
    }

    private static Sentence pick(Test.Pick pick, String at, Place place) {
        String key = pick.end() == Test.End.LATEST ? "latest" : "earliest";
        Place events = place.at(key);
        String is = FieldWords.all(pick.is(), place.at("is"));
        return leaf(
                at,
                Phrase.slot("the " + key, at, Control.PICK),
                Phrase.plain(" "),
                Phrase.slot(SelectionWords.one(pick.events(), events), at + "/" + key, Control.SELECTION),
                Phrase.plain(" "),
                Phrase.slot(
                        WindowWords.of(pick.events().window(), events.at("window")), at + "/" + key, Control.WINDOW),
                Phrase.plain(" "),
                Phrase.slot(is.isEmpty() ? "is on record" : "is one whose " + is, at, Control.PICK));
    }

    private static Sentence sequence(Test.Sequence test, String at, Place place) {
        String anchor = switch (test.pick()) {
            case LATEST -> "after the latest";
            case EARLIEST -> "after the earliest";
            case ANY -> "after any";
            case EACH -> "after each";
        };
        Place after = place.at("after");
        Place expect = place.at("expect");
        String noun = noun(test.count(), test.expect(), expect, place);
        boolean atOnce = test.notBefore().months() == 0 && test.notBefore().days() == 0;
        String from = atOnce && !place.at("notBefore").holdsDial()
                ? ""
                : WindowWords.period(test.notBefore(), place.at("notBefore")) + " to ";
        List<Phrase> phrases = new ArrayList<>(List.of(
                Phrase.slot(anchor, at, Control.SEQUENCE),
                Phrase.plain(" "),
                Phrase.slot(SelectionWords.one(test.anchor(), after), at + "/after", Control.SELECTION),
                Phrase.plain(" "),
                Phrase.slot(WindowWords.of(test.anchor().window(), after.at("window")), at + "/after", Control.WINDOW),
                Phrase.plain(" had "),
                Phrase.slot(countWords(test.count(), noun, place), at, Control.COUNT),
                Phrase.plain(" "),
                Phrase.slot(noun + perWords(test.per()), at + "/expect", Control.SELECTION),
                Phrase.plain(" ")));
        if (!test.expect().window().equals(new Window.AnyDay())) {
            phrases.add(Phrase.slot(
                    WindowWords.of(test.expect().window(), expect.at("window")), at + "/expect", Control.WINDOW));
            phrases.add(Phrase.plain(" "));
        }
        if (test.within().equals(WindowWords.LONG_AGO) && !place.at("within").holdsDial()) {
            phrases.add(Phrase.slot(
                    test.notBefore().equals(WindowWords.ONE_DAY)
                            ? "after it"
                            : from.isEmpty() ? "on or after it" : "within " + from + "150 years",
                    at,
                    Control.SEQUENCE));
            return new Sentence(at, phrases, List.of());
        }
        phrases.add(Phrase.slot(
                "within " + from + WindowWords.period(test.within(), place.at("within")), at, Control.SEQUENCE));
        return new Sentence(at, phrases, List.of());
    }

    private static Sentence leaf(String at, Phrase... phrases) {
        return new Sentence(at, List.of(phrases), List.of());
    }

    private static String noun(Count count, Selection selection, Place events, Place test) {
        boolean one = !test.at("count").at("atLeast").holdsDial()
                && !test.at("count").at("atMost").holdsDial()
                && (Count.ONE_OR_MORE.equals(count) || count.most() == 0);
        return one ? SelectionWords.one(selection, events) : SelectionWords.several(selection, events);
    }

    /** The count before its noun: "a", "no", "2 or more". */
    private static String countWords(Count count, String noun, Place test) {
        Place place = test.at("count");
        if (place.at("atLeast").holdsDial()) {
            return place.at("atLeast").words("") + " or more";
        }
        if (place.at("atMost").holdsDial() || place.at("exactly").holdsDial()) {
            return place.at("atMost").holdsDial()
                    ? "at most " + place.at("atMost").words("")
                    : "exactly " + place.at("exactly").words("");
        }
        if (count.equals(Count.ONE_OR_MORE)) {
            return "aeiou".indexOf(Character.toLowerCase(noun.charAt(0))) >= 0 ? "an" : "a";
        }
        if (count.most() == 0) {
            return "no";
        }
        if (!count.hasMost()) {
            return count.least() + " or more";
        }
        return (count.least() == count.most() ? "exactly " : "at most ") + count.most();
    }

    private static String perWords(Test.Per per) {
        return switch (per) {
            case RECORD -> "";
            case DAY -> ", on different days";
            case CODE -> ", of different codes";
        };
    }

    private static String partWords(Test.Part part) {
        return switch (part) {
            case LIST -> "on the list of";
            case ELIGIBLE -> "eligible for";
            case HAS -> "has what they should by";
        };
    }

    private static String ageDay(Test.AgeDay day, Place age) {
        return switch (day) {
            case Test.AgeDay.AsOf _ -> "";
            case Test.AgeDay.StartOfYear _ -> " at the start of the year" + days(day, age);
            case Test.AgeDay.EndOfYear _ -> " at the end of the year" + days(day, age);
            case Test.AgeDay.On(var named) -> " on " + age.at("on").words(DayWords.day(named));
        };
    }

    private static String days(Test.AgeDay day, Place age) {
        return age.days(asOf -> DayWords.day(day.seenFrom(asOf)));
    }
}
