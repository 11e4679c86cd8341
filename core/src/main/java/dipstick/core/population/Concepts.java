package dipstick.core.population;

import java.util.Arrays;

/**
 * What events are about: each different kind, code, system, text, set of keywords and set of
 * further codes that occur together. The events of
 * a concept stand next to each other, in the order of their people, so whatever a selection says about these six is
 * decided once for each concept, and the events worth asking are a few stretches of rows.
 */
public final class Concepts {
    /** A concept, as codes in the columns of these fields. */
    record About(int kind, int code, int system, int text, int keywords, int codings) {}

    private final Codes ofRows;
    private final int[] starts;
    private final int[] kinds;
    private final int[] codes;
    private final int[] systems;
    private final int[] texts;
    private final int[] keywords;
    private final int[] codings;

    /** @param starts the first row of each concept, and the number of all rows */
    Concepts(int[] starts, int[] kinds, int[] codes, int[] systems, int[] texts, int[] keywords, int[] codings) {
        this.ofRows = ofRows(starts);
        this.starts = starts;
        this.kinds = kinds;
        this.codes = codes;
        this.systems = systems;
        this.texts = texts;
        this.keywords = keywords;
        this.codings = codings;
    }

    public int count() {
        return kinds.length;
    }

    private static Codes ofRows(int[] starts) {
        int count = starts.length - 1;
        int[] conceptOfRow = new int[starts[count]];
        for (int concept = 0; concept < count; concept++) {
            Arrays.fill(conceptOfRow, starts[concept], starts[concept + 1], concept);
        }
        return Codes.pack(conceptOfRow, conceptOfRow.length, Math.max(0, count - 1));
    }

    /** The codes of a column that is the same for all events of a concept. */
    private Codes spread(int[] ofConcept) {
        return new Codes.OfConcepts(ofRows, ofConcept);
    }

    Codes kindCodes() {
        return spread(kinds);
    }

    Codes codeCodes() {
        return spread(codes);
    }

    Codes systemCodes() {
        return spread(systems);
    }

    Codes textCodes() {
        return spread(texts);
    }

    Codes keywordCodes() {
        return spread(keywords);
    }

    Codes codingCodes() {
        return spread(codings);
    }

    About about(int concept) {
        return new About(
                kinds[concept], codes[concept], systems[concept], texts[concept], keywords[concept], codings[concept]);
    }

    public int ofRow(int event) {
        return ofRows.get(event);
    }

    public int start(int concept) {
        return starts[concept];
    }

    /** The row after the last. */
    public int end(int concept) {
        return starts[concept + 1];
    }

    public int events(int concept) {
        return end(concept) - start(concept);
    }

    /** The code in {@link Events#kind()}. */
    public int kind(int concept) {
        return kinds[concept];
    }

    /** The code in {@link Events#code()}. */
    public int code(int concept) {
        return codes[concept];
    }

    /** The code in {@link Events#system()}. */
    public int system(int concept) {
        return systems[concept];
    }

    /** The code in {@link Events#text()}. */
    public int text(int concept) {
        return texts[concept];
    }

    /** The code in {@link Events#keywords()}. */
    public int keywords(int concept) {
        return keywords[concept];
    }

    /** The code in {@link Events#alsoCoded()}. */
    public int codings(int concept) {
        return codings[concept];
    }

    /** Concepts one after another, in the order of their rows. */
    static final class Listing {
        private final GrowingInts kinds = new GrowingInts();
        private final GrowingInts codes = new GrowingInts();
        private final GrowingInts systems = new GrowingInts();
        private final GrowingInts texts = new GrowingInts();
        private final GrowingInts keywords = new GrowingInts();
        private final GrowingInts codings = new GrowingInts();

        void add(About about) {
            kinds.add(about.kind());
            codes.add(about.code());
            systems.add(about.system());
            texts.add(about.text());
            keywords.add(about.keywords());
            codings.add(about.codings());
        }

        Concepts seal(int[] starts) {
            return new Concepts(
                    starts,
                    kinds.toArray(),
                    codes.toArray(),
                    systems.toArray(),
                    texts.toArray(),
                    keywords.toArray(),
                    codings.toArray());
        }
    }
}
