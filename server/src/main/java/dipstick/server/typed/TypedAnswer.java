package dipstick.server.typed;

import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * What became of something that was typed.
 *
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
        String understood) {
    static TypedAnswer read(JsonNode test, String sentence, Alone alone, Optional<Meant> meant, List<Offer> offers) {
        return new TypedAnswer(
                Optional.of(test),
                sentence,
                Optional.of(alone),
                meant,
                Optional.empty(),
                offers,
                List.of(),
                List.of(),
                "");
    }

    static TypedAnswer several(List<Said> readings, List<Offer> offers) {
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

    static TypedAnswer refused(MistakeView mistake, List<Offer> offers, List<Said> mended, String understood) {
        return new TypedAnswer(
                Optional.empty(),
                "",
                Optional.empty(),
                Optional.empty(),
                Optional.of(mistake),
                offers,
                List.of(),
                mended,
                understood);
    }

    record Alone(int yes, int unsure) {}

    /**
     * The test of having what was typed as a lack, in what should be on record.
     *
     * @param words as it would be typed
     */
    record Meant(JsonNode test, String words, String sentence, Alone alone) {}

    /**
     * What something may mean that was typed.
     *
     * @param termSet the one that would have to be made for it first
     */
    record Said(JsonNode test, String words, String sentence, Alone alone, Optional<JsonNode> termSet) {
        static Said of(Meant meant) {
            return new Said(meant.test(), meant.words(), meant.sentence(), meant.alone(), Optional.empty());
        }

        Said with(JsonNode made) {
            return new Said(test, words, sentence, alone, Optional.of(made));
        }
    }
}
