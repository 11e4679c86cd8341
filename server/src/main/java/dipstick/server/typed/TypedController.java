package dipstick.server.typed;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.Lack;
import dipstick.core.criteria.Problem;
import dipstick.core.criteria.TermSet;
import dipstick.core.criteria.Test;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.typed.Mistake;
import dipstick.core.typed.OnRecord;
import dipstick.core.typed.SetText;
import dipstick.core.typed.SetTextReader;
import dipstick.core.typed.TypedCriteria;
import dipstick.core.typed.Vocabulary;
import dipstick.core.typed.plain.Mends;
import dipstick.core.wording.SentencePrinter;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Criteria as text: one that is being typed, and a whole set shown or pasted (docs/typed-criteria.md). */
@RestController
@RequestMapping("/api/bench")
class TypedController {
    /** Longer than any set that a person writes. */
    private static final int LONGEST = 1_000_000;

    /** Longer lines than people type are read, and no other way of saying them is looked for. */
    private static final int LONGEST_LINE = 400;

    /** A day in figures is read as Dipstick writes days: 03/04/1961 is in April. What was read is said in full. */
    private static final boolean DAY_FIRST = true;

    /** The id of the criterion that is tried out in the document it is typed for. */
    private static final String TRIED = "typed criterion";

    private final CriteriaSets sets;
    private final Evaluators evaluators;

    TypedController(CriteriaSets sets, Evaluators evaluators) {
        this.sets = sets;
        this.evaluators = evaluators;
    }

    /**
     * @param document the set that the criterion is typed for
     * @param asOf today where it is absent
     * @param caret up to where suggestions look at what is typed, in characters
     * @param shouldHave whether it is typed to say what should be on record
     * @param band whether it is typed to say when somebody is in a band
     */
    record Typed(
            @NotNull ObjectNode document,
            Optional<LocalDate> asOf,
            @NotNull @Size(max = LONGEST) String typed,
            int caret,
            Optional<Boolean> shouldHave,
            Optional<Boolean> band) {
        boolean isOfBand() {
            return band.orElse(false);
        }
    }

    /** @param from where it begins, and {@code to} where it ends, in characters of what was typed */
    record MistakeView(int from, int to, String message) {
        static MistakeView of(Mistake mistake) {
            return new MistakeView(mistake.from(), mistake.to(), mistake.said());
        }
    }

    record Alone(int yes, int unsure) {}

    /**
     * The test of having what was typed as a lack, in what should be on record.
     *
     * @param words as it would be typed
     */
    record Meant(JsonNode test, String words, String sentence, Alone alone) {}

    /**
     * @param test as it would stand in the document; nothing where there is a mistake
     * @param sentence what it says with its windows' days
     * @param alone whom it answers alone, over the living; of a band, those of the list
     * @param meant what is taken instead unless who types insists
     * @param readings where it may mean several things, all of them; then there is no test
     * @param mended where it is not understood, lines that are, to be taken instead
     * @param understood what its beginning means; empty where that says nothing
     */
    record TypedAnswer(
            Optional<JsonNode> test,
            String sentence,
            Optional<Alone> alone,
            Optional<Meant> meant,
            Optional<MistakeView> mistake,
            List<Offer> offers,
            List<Said> readings,
            List<Said> mended,
            String understood) {}

    /**
     * What something may mean that was typed.
     *
     * @param termSet the one that would have to be made for it first
     */
    record Said(JsonNode test, String words, String sentence, Alone alone, Optional<JsonNode> termSet) {}

    @PostMapping("/typed")
    TypedAnswer typed(@Valid @RequestBody Typed typed) {
        Evaluator evaluator = evaluators.asOf(typed.asOf());
        Vocabulary vocabulary = vocabulary(typed.document(), evaluator);
        int caret = Math.clamp(typed.caret(), 0, typed.typed().length());
        List<Offer> offers = new Offers(evaluator, vocabulary, termSets(typed.document(), evaluator))
                .of(typed.typed().substring(0, caret), typed.isOfBand());
        List<String> meanings = typed.isOfBand()
                ? TypedCriteria.meaningsOfBand(typed.typed(), vocabulary)
                : TypedCriteria.meanings(typed.typed(), vocabulary);
        List<Said> readings = meanings.size() > 1 ? said(typed, meanings, vocabulary, evaluator) : List.of();
        if (readings.size() > 1) {
            return new TypedAnswer(
                    Optional.empty(),
                    "",
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    offers,
                    readings,
                    List.of(),
                    "");
        }
        String line = readings.isEmpty()
                ? meanings.stream().findFirst().orElse(typed.typed())
                : readings.getFirst().words();
        try {
            return tried(typed, test(typed, line, vocabulary), evaluator, offers);
        } catch (Mistake mistake) {
            return mended(typed, MistakeView.of(mistake), offers, vocabulary, evaluator);
        }
    }

    private static ObjectNode test(Typed typed, String line, Vocabulary vocabulary) throws Mistake {
        return typed.isOfBand() ? TypedCriteria.readBand(line, vocabulary) : TypedCriteria.read(line, vocabulary);
    }

    /** With what was understood, and lines to take instead. */
    private TypedAnswer mended(
            Typed typed, MistakeView mistake, List<Offer> offers, Vocabulary vocabulary, Evaluator evaluator) {
        Mends mends = typed.typed().length() > LONGEST_LINE || typed.isOfBand()
                ? Mends.NOTHING
                : TypedCriteria.mends(typed.typed(), vocabulary);
        List<Said> gathered = typed.typed().length() > LONGEST_LINE || typed.isOfBand()
                ? List.of()
                : gathered(typed, vocabulary, evaluator);
        return new TypedAnswer(
                Optional.empty(),
                "",
                Optional.empty(),
                Optional.empty(),
                Optional.of(mistake),
                offers,
                List.of(),
                gathered.isEmpty() ? said(typed, mends.lines(), vocabulary, evaluator) : gathered,
                mends.understood().orElse(""));
    }

    /** A name that is none here yet, as a term set of what is on record under it. */
    private List<Said> gathered(Typed typed, Vocabulary vocabulary, Evaluator evaluator) {
        for (String run : TypedCriteria.unknown(typed.typed(), vocabulary)) {
            Optional<JsonNode> termSet = new Gathering(evaluator.population().events()).of(run, typed.document());
            if (termSet.isPresent()) {
                ObjectNode document = typed.document().deepCopy();
                document.withArray("termSets").add(termSet.get());
                Typed with = new Typed(
                        document, typed.asOf(), typed.typed(), typed.caret(), typed.shouldHave(), typed.band());
                Vocabulary wider = vocabulary(document, evaluator);
                List<Said> said = said(with, TypedCriteria.meanings(typed.typed(), wider), wider, evaluator);
                if (!said.isEmpty()) {
                    return said.stream()
                            .map(one -> new Said(one.test(), one.words(), one.sentence(), one.alone(), termSet))
                            .toList();
                }
            }
        }
        return List.of();
    }

    /** Those lines that make sense, each test once. */
    private List<Said> said(Typed typed, List<String> lines, Vocabulary vocabulary, Evaluator evaluator) {
        Map<JsonNode, Said> said = new LinkedHashMap<>();
        for (String line : lines) {
            try {
                ObjectNode test = test(typed, line, vocabulary);
                TypedAnswer answer = tried(typed, test, evaluator, List.of());
                Optional<Said> one = answer.meant()
                        .map(meant -> new Said(
                                meant.test(), meant.words(), meant.sentence(), meant.alone(), Optional.empty()))
                        .or(() -> answer.alone()
                                .map(alone -> new Said(test, line, answer.sentence(), alone, Optional.empty())));
                one.ifPresent(meaning -> said.putIfAbsent(meaning.test(), meaning));
            } catch (Mistake impossible) {
                throw new IllegalStateException("A line that was read cannot be read", impossible);
            }
        }
        return List.copyOf(said.values());
    }

    /** The term sets of a document; none where something in them is wrong, which is said beside the criteria. */
    private List<TermSet> termSets(ObjectNode document, Evaluator evaluator) {
        ObjectNode named = document.deepCopy().retain("format", "id", "name", "dials", "termSets");
        try {
            return sets.readHere(named, Map.of(), evaluator.population().fields())
                    .termSets();
        } catch (InvalidCriteria wrong) {
            return List.of();
        }
    }

    /** What is well said may still make no sense, such as ages that are turned round. */
    private TypedAnswer tried(Typed typed, ObjectNode test, Evaluator evaluator, List<Offer> offers) {
        try {
            if (typed.isOfBand()) {
                return ofBand(typed.document(), test, evaluator, offers);
            }
            Tried said = tried(typed.document(), test, evaluator);
            return new TypedAnswer(
                    Optional.of(test),
                    said.sentence(),
                    Optional.of(said.alone()),
                    typed.shouldHave().orElse(false)
                            ? meant(typed.document(), test, said.test(), evaluator)
                            : Optional.empty(),
                    Optional.empty(),
                    offers,
                    List.of(),
                    List.of(),
                    "");
        } catch (InvalidCriteria invalid) {
            String message = invalid.problems().values().stream()
                    .flatMap(List::stream)
                    .map(Problem::message)
                    .findFirst()
                    .orElse("");
            return refused(new MistakeView(0, typed.typed().length(), message), offers);
        }
    }

    private TypedAnswer ofBand(ObjectNode of, ObjectNode when, Evaluator evaluator, List<Offer> offers)
            throws InvalidCriteria {
        ObjectNode document = of.deepCopy();
        document.remove(List.of("bands", "show", "order"));
        document.withArray("bands").addObject().put("name", TRIED).set("when", when);
        CriteriaSet set =
                sets.readHere(document, Map.of(), evaluator.population().fields());
        Map<ListMember.State, Long> people = evaluator.members(evaluator.read(set)).stream()
                .filter(member -> member.band().isPresent())
                .collect(Collectors.groupingBy(ListMember::state, Collectors.counting()));
        return new TypedAnswer(
                Optional.of(when),
                new SentencePrinter(evaluator.asOf())
                        .print(set.bands().getFirst().when())
                        .text(),
                Optional.of(new Alone(
                        people.getOrDefault(ListMember.State.ON, 0L).intValue(),
                        people.getOrDefault(ListMember.State.CHECK, 0L).intValue())),
                Optional.empty(),
                Optional.empty(),
                offers,
                List.of(),
                List.of(),
                "");
    }

    private Optional<Meant> meant(ObjectNode document, ObjectNode test, Test said, Evaluator evaluator)
            throws InvalidCriteria {
        Optional<ObjectNode> turned = Lack.turned(test, said);
        if (turned.isEmpty()) {
            return Optional.empty();
        }
        Tried has = tried(document, turned.get(), evaluator);
        Set<String> sharedNames = vocabulary(document, evaluator).sharedNames();
        return Optional.of(new Meant(
                turned.get(),
                SentencePrinter.undated(has.test(), turned.get(), sharedNames).text(),
                has.sentence(),
                has.alone()));
    }

    /** A test as it reads and answers in a document. */
    private record Tried(Test test, String sentence, Alone alone) {}

    private Tried tried(ObjectNode of, ObjectNode test, Evaluator evaluator) throws InvalidCriteria {
        ObjectNode document = of.deepCopy();
        document.set("include", JsonNodeFactory.instance.arrayNode());
        document.withArray("include").addObject().put("id", TRIED).set("test", test);
        document.remove(List.of("exclude", "shouldHave", "bands", "show", "order"));
        CriteriaSet set =
                sets.readHere(document, Map.of(), evaluator.population().fields());
        Test read = set.include().getFirst().test();
        Answer alone = evaluator.read(set).levels().getFirst().alone();
        return new Tried(
                read,
                new SentencePrinter(evaluator.asOf()).print(read).text(),
                new Alone(alone.yesCount(), alone.unsureCount()));
    }

    private static TypedAnswer refused(MistakeView mistake, List<Offer> offers) {
        return new TypedAnswer(
                Optional.empty(),
                "",
                Optional.empty(),
                Optional.empty(),
                Optional.of(mistake),
                offers,
                List.of(),
                List.of(),
                "");
    }

    record Shown(@NotNull ObjectNode document) {}

    record Text(String text) {}

    /** The whole set as text. */
    @PostMapping("/text")
    Text text(@Valid @RequestBody Shown shown) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        try {
            CriteriaSet set = sets.readHere(
                    shown.document(), Map.of(), evaluator.population().fields());
            return new Text(SetText.of(
                    shown.document(),
                    set,
                    vocabulary(shown.document(), evaluator).sharedNames()));
        } catch (InvalidCriteria invalid) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-criteria",
                    "The set cannot be shown as text while something in it is wrong. What is wrong is shown beside"
                            + " the criteria.");
        }
    }

    /** @param document the set that the text is pasted over */
    record Pasted(
            @NotNull ObjectNode document,
            @NotNull @Size(max = LONGEST) String text) {}

    /** @param document nothing where there are mistakes */
    record PastedAnswer(Optional<JsonNode> document, List<MistakeView> mistakes) {}

    /** The set that a text says. */
    @PostMapping("/text/read")
    PastedAnswer readText(@Valid @RequestBody Pasted pasted) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        SetTextReader.Result result =
                SetTextReader.read(pasted.text(), pasted.document(), document -> vocabulary(document, evaluator));
        return new PastedAnswer(
                result.document().map(JsonNode.class::cast),
                result.mistakes().stream().map(MistakeView::of).toList());
    }

    private Vocabulary vocabulary(JsonNode document, Evaluator evaluator) {
        return sets.vocabularyHere(document, evaluator.population())
                .with(OnRecord.of(evaluator.population(), evaluator.asOf(), DAY_FIRST));
    }
}
