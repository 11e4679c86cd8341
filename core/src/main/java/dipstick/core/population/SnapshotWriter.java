package dipstick.core.population;

import dipstick.core.records.Coding;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;

/** Writes the columns of a population one after another; {@link SnapshotReader} reads them in the same order. */
final class SnapshotWriter {
    static final int CHUNK = 1 << 14;

    private final DataOutputStream out;
    private final ByteBuffer chunk = ByteBuffer.allocate(CHUNK * Integer.BYTES);

    /** What follows. */
    enum Packing {
        NONE,
        BYTES,
        CHARS,
        INTS
    }

    SnapshotWriter(DataOutputStream out) {
        this.out = out;
    }

    void waiting(Map<String, Integer> waiting) throws IOException {
        out.writeInt(waiting.size());
        for (Map.Entry<String, Integer> person : waiting.entrySet()) {
            text(person.getKey());
            out.writeInt(person.getValue());
        }
    }

    void population(Population population) throws IOException {
        fields(population.fields().customOfPeople());
        for (Field field : population.personFields().all()) {
            column(population.column(field));
        }
        out.writeInt(population.size());
        events(population.events());
    }

    private void fields(List<Field> custom) throws IOException {
        out.writeInt(custom.size());
        for (Field field : custom) {
            text(field.name());
            out.writeUTF(field.type().name());
        }
    }

    private void events(Events events) throws IOException {
        ints(events.owners());
        ints(events.startOfPerson());
        ints(events.rowsByPerson());
        concepts(events.concepts());
        dictionary(events.kind());
        dictionary(events.code());
        dictionary(events.system());
        dictionary(events.text());
        texts(events.keywords().words());
        out.writeInt(events.keywords().sets().size());
        for (List<Integer> set : events.keywords().sets()) {
            ints(set.stream().mapToInt(Integer::intValue).toArray());
        }
        List<List<Coding>> codings = events.alsoCoded().sets();
        out.writeInt(codings.size());
        for (List<Coding> set : codings) {
            out.writeInt(set.size());
            for (Coding coding : set) {
                text(coding.code());
                text(coding.system());
            }
        }
        fields(events.fields().customBeside(Fields.EVENT));
        for (Field field : Events.ofRows(events.fields())) {
            column(events.column(field));
        }
        identifiers(events.ids());
    }

    private void concepts(Concepts concepts) throws IOException {
        out.writeInt(concepts.count());
        for (int concept = 0; concept < concepts.count(); concept++) {
            out.writeInt(concepts.start(concept));
            out.writeInt(concepts.kind(concept));
            out.writeInt(concepts.code(concept));
            out.writeInt(concepts.system(concept));
            out.writeInt(concepts.text(concept));
            out.writeInt(concepts.keywords(concept));
            out.writeInt(concepts.codings(concept));
        }
    }

    private void identifiers(Identifiers ids) throws IOException {
        codes(ids.beginnings());
        ints(ids.numbers());
        out.writeInt(ids.beginningOf().size());
        for (Identifiers.Beginning beginning : ids.beginningOf()) {
            text(beginning.text());
            out.writeInt(beginning.digits());
        }
    }

    private void column(Column column) throws IOException {
        switch (column) {
            case Column.OfText texts -> {
                out.writeUTF("TEXT");
                codes(texts.codes());
                dictionary(texts);
            }
            case Column.OfNumber numbers -> {
                out.writeUTF("NUMBER");
                codes(numbers.codes());
                out.writeInt(numbers.numbers().size());
                for (double number : numbers.numbers()) {
                    out.writeDouble(number);
                }
            }
            case Column.OfDate dates -> {
                out.writeUTF("DATE");
                codes(dates.codes());
                ints(dates.days().firsts());
                ints(dates.days().lasts());
            }
            case Column.OfFlag flags -> {
                out.writeUTF("FLAG");
                codes(flags.codes());
            }
            case Column.OfTexts _, Column.OfCodings _ ->
                throw new IllegalStateException("Several values in one row are held by concept: "
                        + column.getClass().getSimpleName());
        }
    }

    private void dictionary(Column.OfText texts) throws IOException {
        texts(texts.compared());
        texts(texts.written());
    }

    private void codes(Codes codes) throws IOException {
        switch (codes) {
            case Codes.None(int size) -> {
                out.writeUTF(Packing.NONE.name());
                out.writeInt(size);
            }
            case Codes.Bytes bytes -> {
                out.writeUTF(Packing.BYTES.name());
                out.writeInt(bytes.size());
                out.write(bytes.array());
            }
            case Codes.Chars chars -> {
                out.writeUTF(Packing.CHARS.name());
                out.writeInt(chars.size());
                for (int from = 0; from < chars.size(); from += CHUNK) {
                    int count = Math.min(CHUNK, chars.size() - from);
                    chunk.clear().asCharBuffer().put(chars.array(), from, count);
                    out.write(chunk.array(), 0, count * Character.BYTES);
                }
            }
            case Codes.Ints ints -> {
                out.writeUTF(Packing.INTS.name());
                ints(ints.array());
            }
            default ->
                throw new IllegalStateException("Codes that are worked out are not written: "
                        + codes.getClass().getSimpleName());
        }
    }

    private void ints(int[] numbers) throws IOException {
        out.writeInt(numbers.length);
        for (int from = 0; from < numbers.length; from += CHUNK) {
            int count = Math.min(CHUNK, numbers.length - from);
            chunk.clear().asIntBuffer().put(numbers, from, count);
            out.write(chunk.array(), 0, count * Integer.BYTES);
        }
    }

    private void texts(List<String> texts) throws IOException {
        out.writeInt(texts.size());
        for (String text : texts) {
            text(text);
        }
    }

    private void text(String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        out.writeInt(bytes.length);
        out.write(bytes);
    }
}
