package dipstick.server.deliveries;

import de.siegmar.fastcsv.writer.CsvWriter;
import dipstick.core.export.FieldCell;
import dipstick.core.export.SafeCell;
import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.text.Shortened;
import dipstick.intake.make.MadeSink;
import dipstick.intake.make.Trouble;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Gathers what is wrong with a file, and its first records; all troubles are in a file besides. */
final class Troubles implements MadeSink, Closeable {
    private static final int MOST_FIRST = 5;
    private static final int MOST_RECORDS = 12;
    private static final int LONGEST_SHOWN = 200;

    private final CsvWriter csv;
    private final Map<Group, List<Trouble>> first = new TreeMap<>(Group.IN_ORDER);
    private final Map<Group, Integer> counts = new HashMap<>();
    private final List<Map<String, String>> people = new ArrayList<>();
    private final List<Map<String, String>> events = new ArrayList<>();
    private final Sightings sightings;
    private long lastLine;
    private int badRows;

    /** What is passed over is counted by what it is, and what is wrong by its column. */
    private record Group(Trouble.Reason reason, String what) {
        private static final Comparator<Group> IN_ORDER =
                Comparator.comparing(Group::reason).thenComparing(Group::what);

        static Group of(Trouble trouble) {
            return new Group(
                    trouble.reason(),
                    trouble.reason() == Trouble.Reason.PASSED_OVER ? trouble.said() : trouble.column());
        }
    }

    Troubles(Path file, Sightings sightings) throws IOException {
        this.sightings = sightings;
        this.csv = CsvWriter.builder().build(file);
        csv.writeRecord("line", "column", "cell", "reason");
    }

    @Override
    public void person(PersonRecord person) {
        sightings.person(person);
        add(people, "person", person.values());
    }

    @Override
    public void event(EventRecord event) {
        sightings.event(event);
        add(events, "record", event.values());
    }

    private static void add(List<Map<String, String>> first, String what, Map<String, FieldValue> values) {
        if (first.size() < MOST_RECORDS) {
            Map<String, String> words = new LinkedHashMap<>();
            words.put("", what);
            values.forEach((field, value) -> words.put(field, Shortened.toldSo(LONGEST_SHOWN, FieldCell.of(value))));
            first.add(words);
        }
    }

    @Override
    public void trouble(Trouble trouble) {
        csv.writeRecord(
                String.valueOf(trouble.line()),
                SafeCell.of(trouble.column()),
                SafeCell.of(trouble.cell()),
                SafeCell.of(trouble.said()));
        Group group = Group.of(trouble);
        counts.merge(group, 1, Integer::sum);
        List<Trouble> some = first.computeIfAbsent(group, _ -> new ArrayList<>());
        if (some.size() < MOST_FIRST) {
            some.add(trouble);
        }
        if (trouble.line() != lastLine && trouble.reason().losesRow()) {
            lastLine = trouble.line();
            badRows++;
        }
    }

    List<Trial.TroubleGroup> groups() {
        return first.entrySet().stream()
                .map(one -> new Trial.TroubleGroup(
                        one.getKey().reason(), counts.getOrDefault(one.getKey(), 0), List.copyOf(one.getValue())))
                .toList();
    }

    Sightings sightings() {
        return sightings;
    }

    int badRows() {
        return badRows;
    }

    List<Map<String, String>> firstRecords() {
        List<Map<String, String>> all = new ArrayList<>(people);
        all.addAll(events);
        return List.copyOf(all);
    }

    @Override
    public void close() throws IOException {
        csv.close();
    }
}
