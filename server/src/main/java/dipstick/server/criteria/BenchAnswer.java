package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.Lack;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.Test;
import dipstick.core.doubts.Doubt;
import dipstick.core.doubts.Doubts;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.Level.Section;
import dipstick.core.evaluate.Reading;
import dipstick.core.wording.ColumnWords;
import dipstick.core.wording.Phrase;
import dipstick.core.wording.Sentence;
import dipstick.core.wording.SentencePrinter;
import dipstick.core.wording.Slot;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * The levels of a draft, or what is wrong with it.
 *
 * @param levels nothing where there are findings
 * @param said what the criteria say in which nothing is wrong, where others are pointed out; empty where there are levels
 */
record BenchAnswer(String asOf, List<Finding> findings, Optional<Levels> levels, List<LineSaid> said) {
    /** @param document the set it is in; empty for the draft itself */
    record Finding(String document, String pointer, String message) {}

    /**
     * @param bands in their order
     * @param noBand those of the list who are in none; nothing where there are no bands
     * @param columns those that criteria can have on the list
     */
    record Levels(
            int people,
            int deceased,
            List<CriterionLevel> criteria,
            Counts eligible,
            Counts has,
            Counts list,
            List<BandLevel> bands,
            Optional<Counts> noBand,
            List<ColumnView> columns) {}

    /** @param column as the document writes it, and {@code words} its heading on the list */
    record ColumnView(String criterion, String column, String words) {
        static List<ColumnView> all(CriteriaSet set) {
            ColumnWords words = new ColumnWords(set);
            return words.possible().stream()
                    .map(one ->
                            new ColumnView(one.criterion().id(), one.figure().word(), words.of(one)))
                    .toList();
        }
    }

    /**
     * @param sentence when somebody is in it, and {@code typed} the same as it would be typed
     * @param people those of the list who are in it and in none before it
     */
    record BandLevel(String name, SentenceView sentence, String typed, Counts people) {}

    record Counts(int yes, int unsure) {
        static Counts of(Answer answer) {
            return new Counts(answer.yesCount(), answer.unsureCount());
        }
    }

    /**
     * @param index its place in its section
     * @param typed the sentence as it would be typed
     * @param alone its own answers within the population; nothing where the criterion is switched off
     * @param left who is left after it; of what should be on record, the eligible who meet it
     * @param doubts what looks wrong about it
     * @param fell how many who were, or may have been, left before it are not after it
     * @param onlyByIt how many are kept off the list by it alone
     * @param meant the test that is probably meant where it says a lack of what should be on record
     */
    record CriterionLevel(
            Section section,
            int index,
            String id,
            boolean off,
            SentenceView sentence,
            String typed,
            Optional<Counts> alone,
            Optional<Counts> left,
            Optional<Integer> fell,
            Optional<Integer> onlyByIt,
            Optional<JsonNode> meant,
            List<DoubtView> doubts) {}

    /** What a criterion says, as {@link CriterionLevel} has it. */
    record LineSaid(String id, SentenceView sentence, String typed) {}

    /** @param subject the term set or other criterion that it is about; empty where there is none */
    record DoubtView(Doubt.Kind kind, String message, String subject) {}

    record SentenceView(String pointer, List<PhraseView> phrases, List<SentenceView> parts) {
        static SentenceView of(Sentence sentence) {
            return new SentenceView(
                    sentence.pointer(),
                    sentence.phrases().stream().map(PhraseView::of).toList(),
                    sentence.parts().stream().map(SentenceView::of).toList());
        }
    }

    /** Words, which can be changed in place where there is a control and the pointer of what it changes. */
    record PhraseView(String text, Optional<Slot.Control> control, String pointer) {
        static PhraseView of(Phrase phrase) {
            return new PhraseView(
                    phrase.text(),
                    phrase.slot().map(Slot::control),
                    phrase.slot().map(Slot::pointer).orElse(""));
        }
    }

    /** @param rest what can be read all the same */
    static BenchAnswer refused(
            LocalDate asOf, List<Finding> findings, Optional<ReadableLines.Rest> rest, Set<String> sharedNames) {
        return new BenchAnswer(
                asOf.toString(),
                findings,
                Optional.empty(),
                rest.map(of -> of.lines()
                                .map(line -> said(line, asOf, sharedNames))
                                .toList())
                        .orElse(List.of()));
    }

    private static LineSaid said(ReadableLines.Line line, LocalDate asOf, Set<String> sharedNames) {
        Test test = line.criterion().test();
        return new LineSaid(
                line.criterion().id(),
                SentenceView.of(new SentencePrinter(asOf).print(test)),
                SentencePrinter.undated(test, line.written(), sharedNames).text());
    }

    /**
     * @param document what was read, as it is written
     * @param sharedNames as {@link dipstick.core.typed.Vocabulary#sharedNames} says
     */
    static BenchAnswer of(Evaluator evaluator, Reading reading, JsonNode document, Set<String> sharedNames) {
        CriteriaSet set = reading.set();
        List<Doubt> doubts = Doubts.of(evaluator, reading);
        List<CriterionLevel> criteria = new ArrayList<>();
        add(
                criteria,
                Section.INCLUDE,
                set.include(),
                document.path("include"),
                sharedNames,
                evaluator,
                reading,
                doubts);
        add(
                criteria,
                Section.EXCLUDE,
                set.exclude(),
                document.path("exclude"),
                sharedNames,
                evaluator,
                reading,
                doubts);
        List<Criterion> asked = set.shouldHave().map(ShouldHave::of).orElse(List.of());
        add(
                criteria,
                Section.SHOULD_HAVE,
                asked,
                document.at("/shouldHave/of"),
                sharedNames,
                evaluator,
                reading,
                doubts);
        BandLevels bands = new BandLevels(evaluator, reading);
        Levels levels = new Levels(
                reading.people().cardinality(),
                reading.deceased(),
                criteria,
                Counts.of(reading.eligible()),
                Counts.of(reading.eligibleAndHas()),
                Counts.of(reading.list()),
                bands.each(document.path("bands"), sharedNames),
                bands.withoutAny(),
                ColumnView.all(set));
        return new BenchAnswer(reading.asOf().toString(), List.of(), Optional.of(levels), List.of());
    }

    private static void add(
            List<CriterionLevel> all,
            Section section,
            List<Criterion> criteria,
            JsonNode written,
            Set<String> sharedNames,
            Evaluator evaluator,
            Reading reading,
            List<Doubt> doubts) {
        SentencePrinter printer = new SentencePrinter(reading.asOf());
        for (int i = 0; i < criteria.size(); i++) {
            Criterion criterion = criteria.get(i);
            Optional<Level> level = reading.levels().stream()
                    .filter(one -> one.criterion().id().equals(criterion.id()))
                    .findFirst();
            all.add(new CriterionLevel(
                    section,
                    i,
                    criterion.id(),
                    criterion.off(),
                    SentenceView.of(printer.print(criterion.test())),
                    SentencePrinter.undated(criterion.test(), written.path(i).path("test"), sharedNames)
                            .text(),
                    level.map(one -> Counts.of(one.alone())),
                    level.map(one -> Counts.of(Fallen.left(reading, one))),
                    level.map(one -> Fallen.at(reading, one).cardinality()),
                    level.map(_ -> evaluator.keptOffOnlyBy(criterion, reading).cardinality()),
                    section == Section.SHOULD_HAVE
                            ? Lack.turned(written.path(i).path("test"), criterion.test())
                                    .map(JsonNode.class::cast)
                            : Optional.empty(),
                    doubts.stream()
                            .filter(doubt -> doubt.criterion().equals(criterion.id()))
                            .map(doubt -> new DoubtView(doubt.kind(), doubt.message(), doubt.subject()))
                            .toList()));
        }
    }
}
