package dipstick.server.typed;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.TermSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.typed.SetText;
import dipstick.core.typed.SetTextReader;
import dipstick.core.typed.Vocabulary;
import dipstick.server.criteria.CriteriaDocuments;
import dipstick.server.criteria.Evaluators;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Criteria as text: one that is being typed, and a whole set shown or pasted (docs/typed-criteria.md). */
@RestController
@RequestMapping("/api/bench")
class TypedController {
    /** Longer than any set that a person writes. */
    private static final int LONGEST = 1_000_000;

    private final CriteriaDocuments documents;
    private final Evaluators evaluators;
    private final PracticeSettings practice;

    TypedController(CriteriaDocuments documents, Evaluators evaluators, PracticeSettings practice) {
        this.documents = documents;
        this.evaluators = evaluators;
        this.practice = practice;
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
        LineReading.Place place() {
            return band.orElse(false)
                    ? LineReading.Place.BAND
                    : shouldHave.orElse(false) ? LineReading.Place.SHOULD_HAVE : LineReading.Place.CRITERION;
        }
    }

    @PostMapping("/typed")
    TypedAnswer typed(@Valid @RequestBody Typed typed) {
        Evaluator evaluator = evaluators.asOf(typed.asOf());
        LineReading reading =
                new LineReading(documents, evaluator, typed.document(), typed.place(), practice.dayFirst());
        int caret = Math.clamp(typed.caret(), 0, typed.typed().length());
        return reading.answer(
                typed.typed(),
                new Offers(evaluator, reading.vocabulary(), termSets(typed.document(), evaluator))
                        .of(typed.typed().substring(0, caret), typed.place() == LineReading.Place.BAND));
    }

    /** The term sets of a document; none where something in them is wrong, which is said beside the criteria. */
    private List<TermSet> termSets(ObjectNode document, Evaluator evaluator) {
        ObjectNode named = document.deepCopy().retain("format", "id", "name", "dials", "termSets");
        try {
            return documents
                    .readHere(named, Map.of(), evaluator.population().fields())
                    .termSets();
        } catch (InvalidCriteria wrong) {
            return List.of();
        }
    }

    record Shown(@NotNull ObjectNode document) {}

    record Text(String text) {}

    /** The whole set as text. */
    @PostMapping("/text")
    Text text(@Valid @RequestBody Shown shown) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        try {
            CriteriaSet set = documents.readHere(
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
        return documents.vocabularyHere(document, evaluator.population());
    }
}
