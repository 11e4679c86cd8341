package dipstick.region.convert;

import dipstick.core.records.EventsFile;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.PeopleFile;
import dipstick.core.records.RecordFields;
import dipstick.core.records.UnreadableFile;
import dipstick.region.records.PartColumns;
import dipstick.region.records.Side;
import java.io.BufferedInputStream;
import java.io.FileNotFoundException;
import java.io.IOException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.FileStatus;
import org.apache.hadoop.fs.FileSystem;
import org.apache.hadoop.fs.Path;

/** What is brought in: files that are named, or folders of practices with a file of people and one of events each. */
final class Sources {
    private final List<SourceFile> files = new ArrayList<>();
    private final List<String> problems = new ArrayList<>();
    private final Configuration storage;

    Sources(Configuration storage) {
        this.storage = storage;
    }

    List<SourceFile> files() {
        return List.copyOf(files);
    }

    /** What is wrong, a sentence each. */
    List<String> problems() {
        return List.copyOf(problems);
    }

    /** @param practice whose they are; empty where a column of people says it */
    void add(List<String> people, List<String> events, String practice) {
        people.forEach(path -> add(new SourceFile(path, Side.PEOPLE, practice)));
        events.forEach(path -> add(new SourceFile(path, Side.EVENTS, practice)));
    }

    /** Adds each folder in a folder: the practice of its name, with {@code people.csv} and {@code events.csv}. */
    void addFolders(String folder) throws IOException {
        Path root = new Path(folder);
        FileSystem at = root.getFileSystem(storage);
        try {
            Stream.of(at.listStatus(root))
                    .filter(FileStatus::isDirectory)
                    .map(FileStatus::getPath)
                    .sorted(Comparator.comparing(Path::getName))
                    .forEach(practice -> add(
                            List.of(new Path(practice, "people.csv").toString()),
                            List.of(new Path(practice, "events.csv").toString()),
                            practice.getName()));
        } catch (FileNotFoundException none) {
            problems.add(folder + ": there is no such folder.");
        }
    }

    private void add(SourceFile file) {
        files.add(file);
    }

    /** All fields that the files have. Of one that a file gives a type, and another none, the type is taken. */
    RecordFields fields(ZoneId zone) throws IOException {
        if (files.isEmpty()) {
            problems.add("There is no practice: nothing is in the folder.");
        }
        Map<Side, Map<String, Field>> custom = new LinkedHashMap<>();
        for (SourceFile file : files) {
            Map<String, Field> known = custom.computeIfAbsent(file.side(), _ -> new LinkedHashMap<>());
            customFields(file, zone).forEach(field -> known.merge(field.name(), field, this::typed));
        }
        RecordFields fields = RecordFields.withCustom(
                custom.getOrDefault(Side.PEOPLE, Map.of()).values(),
                custom.getOrDefault(Side.EVENTS, Map.of()).values());
        for (Side side : Side.values()) {
            takenTwice(side.of(fields)).ifPresent(problems::add);
        }
        return fields;
    }

    private Field typed(Field one, Field other) {
        return one.type() == FieldType.TEXT ? other : one;
    }

    private static Optional<String> takenTwice(List<Field> fields) {
        List<String> names = fields.stream().map(Field::name).toList();
        return fields.stream()
                .filter(field -> field.type() == FieldType.DATE)
                .map(field -> PartColumns.last(field.name()))
                .filter(names::contains)
                .findFirst()
                .map(name -> "The column “" + name + "” has the name that the last day of a date goes by. Rename it.");
    }

    private List<Field> customFields(SourceFile file, ZoneId zone) throws IOException {
        Path path = new Path(file.path());
        try (var bytes = new BufferedInputStream(path.getFileSystem(storage).open(path))) {
            return switch (file.side()) {
                case PEOPLE -> ofPeople(file, PeopleFile.open(bytes, zone));
                case EVENTS -> EventsFile.open(bytes, zone).customFields();
            };
        } catch (FileNotFoundException none) {
            problems.add(file.path() + ": there is no such file, or it may not be read.");
        } catch (UnreadableFile unreadable) {
            problems.add(file.path() + ":" + unreadable.problem().line() + ": "
                    + unreadable.problem().reason());
        }
        return List.of();
    }

    private List<Field> ofPeople(SourceFile file, PeopleFile people) {
        if (file.practice().isEmpty() && !people.fieldNames().contains(SourceRows.PRACTICE)) {
            problems.add(
                    file.path() + ": it has no column “practice”, so it does not say whose these people are. Add it,"
                            + " or name the practice with --practice.");
        }
        return people.customFields();
    }
}
