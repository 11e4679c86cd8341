package dipstick.core.population;

import dipstick.core.population.SnapshotWriter.Packing;
import dipstick.core.records.Coding;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.Fields;
import dipstick.core.records.RecordFields;
import java.io.DataInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Reads what {@link SnapshotWriter} wrote, from a file whose checksum fits. */
final class SnapshotReader {
    private final DataInputStream in;
    private final ByteBuffer chunk = ByteBuffer.allocate(SnapshotWriter.CHUNK * Integer.BYTES);

    SnapshotReader(DataInputStream in) {
        this.in = in;
    }

    /** How many events wait for each person, by id. */
    Map<String, Integer> waiting() throws IOException {
        Map<String, Integer> waiting = new HashMap<>();
        for (int left = in.readInt(); left > 0; left--) {
            waiting.put(text(), in.readInt());
        }
        return waiting;
    }

    Population population() throws IOException {
        Fields people = Fields.PERSON.with(fields());
        Map<String, Column> columns = new HashMap<>();
        for (Field field : people.all()) {
            columns.put(field.name(), column());
        }
        int size = in.readInt();
        Events events = events((Column.OfText) columns.get("id"));
        return new Population(new RecordFields(people, events.fields()), size, columns, events);
    }

    private List<Field> fields() throws IOException {
        List<Field> fields = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            fields.add(new Field(text(), FieldType.valueOf(in.readUTF())));
        }
        return fields;
    }

    private Events events(Column.OfText personIds) throws IOException {
        int[] owners = ints();
        int[] startOfPerson = ints();
        int[] rowsByPerson = ints();
        int count = in.readInt();
        int[] starts = new int[count + 1];
        starts[count] = owners.length;
        int[] kinds = new int[count];
        int[] codes = new int[count];
        int[] systems = new int[count];
        int[] texts = new int[count];
        int[] keywords = new int[count];
        int[] codings = new int[count];
        for (int concept = 0; concept < count; concept++) {
            starts[concept] = in.readInt();
            kinds[concept] = in.readInt();
            codes[concept] = in.readInt();
            systems[concept] = in.readInt();
            texts[concept] = in.readInt();
            keywords[concept] = in.readInt();
            codings[concept] = in.readInt();
        }
        Concepts concepts = new Concepts(starts, kinds, codes, systems, texts, keywords, codings);
        Map<String, Column> columns = new HashMap<>();
        columns.put("kind", dictionary(concepts.kindCodes()));
        columns.put("code", dictionary(concepts.codeCodes()));
        columns.put("system", dictionary(concepts.systemCodes()));
        columns.put("text", dictionary(concepts.textCodes()));
        columns.put("keywords", keywords(concepts.keywordCodes()));
        columns.put("also_coded", codings(concepts.codingCodes()));
        Fields fields = Fields.EVENT.with(fields());
        for (Field field : Events.ofRows(fields)) {
            columns.put(field.name(), column());
        }
        columns.put("id", identifiers());
        columns.put("person_id", Events.personIds(owners, personIds));
        return new Events(fields, owners, concepts, startOfPerson, rowsByPerson, columns);
    }

    private Column.OfTexts keywords(Codes codes) throws IOException {
        List<String> words = texts();
        List<List<Integer>> sets = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            List<Integer> set = new ArrayList<>();
            for (int word : ints()) {
                set.add(word);
            }
            sets.add(List.copyOf(set));
        }
        return new Column.OfTexts(codes, List.copyOf(sets), words);
    }

    private Column.OfCodings codings(Codes codes) throws IOException {
        List<List<Coding>> sets = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            List<Coding> set = new ArrayList<>();
            for (int more = in.readInt(); more > 0; more--) {
                set.add(new Coding(text(), text()));
            }
            sets.add(List.copyOf(set));
        }
        return new Column.OfCodings(codes, List.copyOf(sets));
    }

    private Column.OfText identifiers() throws IOException {
        Codes beginnings = codes();
        int[] numbers = ints();
        List<Identifiers.Beginning> beginningOf = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            beginningOf.add(new Identifiers.Beginning(text(), in.readInt()));
        }
        return new Identifiers(beginnings, List.copyOf(beginningOf), numbers).column();
    }

    private Column column() throws IOException {
        return switch (in.readUTF()) {
            case "TEXT" -> dictionary(codes());
            case "NUMBER" -> {
                Codes codes = codes();
                List<Double> numbers = new ArrayList<>();
                for (int left = in.readInt(); left > 0; left--) {
                    numbers.add(in.readDouble());
                }
                yield new Column.OfNumber(codes, List.copyOf(numbers));
            }
            case "DATE" -> new Column.OfDate(codes(), new Dates(ints(), ints()));
            case "FLAG" -> new Column.OfFlag(codes());
            default -> throw new IOException("The snapshot holds a column of an unknown kind");
        };
    }

    private Column.OfText dictionary(Codes codes) throws IOException {
        List<String> compared = texts();
        List<String> written = texts();
        Map<String, Integer> codeOf = HashMap.newHashMap(compared.size());
        for (int code = 1; code < compared.size(); code++) {
            codeOf.put(compared.get(code), code);
        }
        return new Column.OfText(codes, compared, written, Collections.unmodifiableMap(codeOf));
    }

    private Codes codes() throws IOException {
        return switch (Packing.valueOf(in.readUTF())) {
            case NONE -> new Codes.None(in.readInt());
            case BYTES -> {
                byte[] bytes = new byte[in.readInt()];
                in.readFully(bytes);
                yield new Codes.Bytes(bytes);
            }
            case CHARS -> {
                char[] chars = new char[in.readInt()];
                for (int from = 0; from < chars.length; from += SnapshotWriter.CHUNK) {
                    int count = Math.min(SnapshotWriter.CHUNK, chars.length - from);
                    in.readFully(chunk.array(), 0, count * Character.BYTES);
                    chunk.clear().asCharBuffer().get(chars, from, count);
                }
                yield new Codes.Chars(chars);
            }
            case INTS -> new Codes.Ints(ints());
        };
    }

    private int[] ints() throws IOException {
        int[] numbers = new int[in.readInt()];
        for (int from = 0; from < numbers.length; from += SnapshotWriter.CHUNK) {
            int count = Math.min(SnapshotWriter.CHUNK, numbers.length - from);
            in.readFully(chunk.array(), 0, count * Integer.BYTES);
            chunk.clear().asIntBuffer().get(numbers, from, count);
        }
        return numbers;
    }

    private List<String> texts() throws IOException {
        String[] texts = new String[in.readInt()];
        for (int i = 0; i < texts.length; i++) {
            texts[i] = text();
        }
        return List.of(texts);
    }

    private String text() throws IOException {
        byte[] bytes = new byte[in.readInt()];
        in.readFully(bytes);
        return new String(bytes, StandardCharsets.UTF_8);
    }
}
