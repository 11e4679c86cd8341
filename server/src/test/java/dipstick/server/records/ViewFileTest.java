package dipstick.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.population.PopulationBuilder;
import dipstick.core.population.Snapshot;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.server.database.DatabaseKey;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The view beside the database is used when it fits, and nothing is lost when it does not. */
class ViewFileTest {
    @TempDir
    private Path folder;

    @Test
    void the_view_comes_back_for_the_same_records_only() throws Exception {
        ViewFile file = new ViewFile(folder.toString(), new DatabaseKey(""));
        assertThat(file.read("one")).isEmpty();
        file.writeAside("one", content());
        assertThat(awaited(file, "one").population().find("p1")).isPresent();
        assertThat(file.read("two")).isEmpty();
    }

    @Test
    void the_latest_of_small_changes_is_written_at_the_end() {
        ViewFile file = new ViewFile(folder.toString(), new DatabaseKey(""));
        file.writeLater("one", content());
        file.writeLater("two", content());
        assertThat(file.read("two")).isEmpty();
        file.finish();
        assertThat(file.read("one")).isEmpty();
        assertThat(file.read("two")).isPresent();
    }

    @Test
    void what_cannot_be_read_or_written_is_passed_over() throws Exception {
        Path path = folder.resolve("records.snapshot");
        Files.createDirectories(path.resolve("a folder in its place"));
        ViewFile file = new ViewFile(folder.toString(), new DatabaseKey(""));
        file.writeAside("one", content());
        file.finish();
        assertThat(file.read("one")).isEmpty();
    }

    @Test
    void what_an_interrupted_writing_left_is_removed() throws Exception {
        Path part = Files.writeString(folder.resolve("snapshot123.part"), "half");
        assertThat(new ViewFile(folder.toString(), new DatabaseKey("")).read("one"))
                .isEmpty();
        assertThat(part).doesNotExist();
    }

    private static Snapshot.Content awaited(ViewFile file, String stamp) throws InterruptedException {
        for (int tries = 0; tries < 200; tries++) {
            Optional<Snapshot.Content> content = file.read(stamp);
            if (content.isPresent()) {
                return content.get();
            }
            Thread.sleep(Duration.ofMillis(50));
        }
        throw new AssertionError("The file was not written");
    }

    private static Snapshot.Content content() {
        PopulationBuilder builder = new PopulationBuilder(RecordFields.KNOWN);
        builder.add(new PersonRecord("p1", Map.of("id", new FieldValue.OfText("p1"))));
        return new Snapshot.Content(builder.seal(), Map.of());
    }
}
