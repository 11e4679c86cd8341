package dipstick.server.typed;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.Lack;
import dipstick.core.criteria.Test;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.typed.Mistake;
import dipstick.core.typed.OnRecord;
import dipstick.core.typed.TypedCriteria;
import dipstick.core.typed.Vocabulary;
import dipstick.core.typed.plain.Mends;
import dipstick.core.wording.SentencePrinter;
import dipstick.server.criteria.CriteriaDocuments;
import dipstick.server.typed.TypedAnswer.Alone;
import dipstick.server.typed.TypedAnswer.Meant;
import dipstick.server.typed.TypedAnswer.Said;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Reads one line that is typed for a document, and says whom it answers. */
final class LineReading {

    /** The id of the criterion that is tried out in the document it is typed for. */
    private static final String TRIED = "typed criterion";

    /** Where on the sheet it is typed. */
    enum Place {
        CRITERION,
        SHOULD_HAVE,
        BAND
    }

    private final CriteriaDocuments documents;
    private final Evaluator evaluator;
    private final ObjectNode document;
    private final Place place;
    private final boolean dayFirst;
    private final Vocabulary vocabulary;

    /** @param dayFirst whether 03/04/1961 is in April; what was read is said in full */
    LineReading(CriteriaDocuments documents, Evaluator evaluator, ObjectNode document, Place place, boolean dayFirst) {
        this.documents = documents;
        this.evaluator = evaluator;
        this.document = document;
        this.place = place;
        this.dayFirst = dayFirst;
        this.vocabulary = documents
                .vocabularyHere(document, evaluator.population())
                .with(OnRecord.of(evaluator.population(), evaluator.asOf(), dayFirst));
    }

    Vocabulary vocabulary() {
        return vocabulary;
    }

    TypedAnswer answer(String typed, List<Offer> offers) {
        List<String> meanings = meanings(typed);
        List<Said> readings = meanings.size() > 1 ? said(meanings) : List.of();
        if (readings.size() > 1) {
            return TypedAnswer.several(readings, offers);
        }
        String line = readings.isEmpty()
                ? meanings.stream().findFirst().orElse(typed)
                : readings.getFirst().words();
        try {
            return tried(typed, test(line), offers);
        } catch (Mistake mistake) {
            return mended(typed, MistakeView.of(mistake), offers);
        }
    }

    private List<String> meanings(String typed) {
        return place == Place.BAND
                ? TypedCriteria.meaningsOfBand(typed, vocabulary)
                : TypedCriteria.meanings(typed, vocabulary);
    }

    private ObjectNode test(String line) throws Mistake {
        return place == Place.BAND ? TypedCriteria.readBand(line, vocabulary) : TypedCriteria.read(line, vocabulary);
    }

    /** With what was understood, and lines to take instead. */
    private TypedAnswer mended(String typed, MistakeView mistake, List<Offer> offers) {
        if (place == Place.BAND) {
            return TypedAnswer.refused(mistake, offers, List.of(), "");
        }
        Mends mends = TypedCriteria.mends(typed, vocabulary);
        List<Said> gathered = gathered(typed, mends.unknown());
        return TypedAnswer.refused(
                mistake,
                offers,
                gathered.isEmpty() ? said(mends.lines()) : gathered,
                mends.understood().orElse(""));
    }

    /** The first name that is none here yet, as a term set of what is on record under it. */
    private List<Said> gathered(String typed, List<String> unknown) {
        for (String run : unknown) {
            Optional<JsonNode> termSet = new Gathering(evaluator.population().events()).of(run, document);
            if (termSet.isPresent()) {
                ObjectNode with = document.deepCopy();
                with.withArray("termSets").add(termSet.get());
                LineReading wider = new LineReading(documents, evaluator, with, place, dayFirst);
                List<Said> said = wider.said(wider.meanings(typed));
                if (!said.isEmpty()) {
                    return said.stream().map(one -> one.with(termSet.get())).toList();
                }
            }
        }
        return List.of();
    }

    /** Those lines that make sense, each test once. */
    private List<Said> said(List<String> lines) {
        Map<JsonNode, Said> said = new LinkedHashMap<>();
        for (String line : lines) {
            try {
                ObjectNode test = test(line);
                TypedAnswer answer = tried(line, test, List.of());
                answer.meant()
                        .map(Said::of)
                        .or(() -> answer.alone()
                                .map(alone -> new Said(test, line, answer.sentence(), alone, Optional.empty())))
                        .ifPresent(meaning -> said.putIfAbsent(meaning.test(), meaning));
            } catch (Mistake impossible) {
                throw new IllegalStateException("A line was read before, and cannot be now", impossible);
            }
        }
        return List.copyOf(said.values());
    }

    /** What is well said may still make no sense, such as ages that are turned round. */
    private TypedAnswer tried(String typed, ObjectNode test, List<Offer> offers) {
        try {
            if (place == Place.BAND) {
                return ofBand(test, offers);
            }
            Tried said = tried(test);
            return TypedAnswer.read(
                    test,
                    said.sentence(),
                    said.alone(),
                    place == Place.SHOULD_HAVE ? meant(test, said.test()) : Optional.empty(),
                    offers);
        } catch (InvalidCriteria invalid) {
            return TypedAnswer.refused(new MistakeView(0, typed.length(), invalid.first()), offers, List.of(), "");
        }
    }

    private TypedAnswer ofBand(ObjectNode when, List<Offer> offers) throws InvalidCriteria {
        ObjectNode banded = document.deepCopy();
        banded.remove(List.of("bands", "show", "order"));
        banded.withArray("bands").addObject().put("name", TRIED).set("when", when);
        CriteriaSet set = read(banded);
        Map<ListMember.State, Long> people = evaluator.members(evaluator.read(set)).stream()
                .filter(member -> member.band().isPresent())
                .collect(Collectors.groupingBy(ListMember::state, Collectors.counting()));
        return TypedAnswer.read(
                when,
                new SentencePrinter(evaluator.asOf())
                        .print(set.bands().getFirst().when())
                        .text(),
                new Alone(
                        people.getOrDefault(ListMember.State.ON, 0L).intValue(),
                        people.getOrDefault(ListMember.State.CHECK, 0L).intValue()),
                Optional.empty(),
                offers);
    }

    private Optional<Meant> meant(ObjectNode test, Test said) throws InvalidCriteria {
        Optional<ObjectNode> turned = Lack.turned(test, said);
        if (turned.isEmpty()) {
            return Optional.empty();
        }
        Tried has = tried(turned.get());
        return Optional.of(new Meant(
                turned.get(),
                SentencePrinter.undated(has.test(), turned.get(), vocabulary.sharedNames())
                        .text(),
                has.sentence(),
                has.alone()));
    }

    /** A test as it reads and answers in a document. */
    private record Tried(Test test, String sentence, Alone alone) {}

    private Tried tried(ObjectNode test) throws InvalidCriteria {
        ObjectNode alone = document.deepCopy();
        alone.set("include", JsonNodeFactory.instance.arrayNode());
        alone.withArray("include").addObject().put("id", TRIED).set("test", test);
        alone.remove(List.of("exclude", "shouldHave", "bands", "show", "order"));
        CriteriaSet set = read(alone);
        Test read = set.include().getFirst().test();
        Answer answer = evaluator.read(set).levels().getFirst().alone();
        return new Tried(
                read,
                new SentencePrinter(evaluator.asOf()).print(read).text(),
                new Alone(answer.yesCount(), answer.unsureCount()));
    }

    private CriteriaSet read(ObjectNode of) throws InvalidCriteria {
        return documents.readHere(of, Map.of(), evaluator.population().fields());
    }
}
