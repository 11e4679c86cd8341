package dipstick.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.deliveries.IncomingFolder.Arrived;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a look at the folder of arrivals finds, look by look. */
class IncomingFolderTest {
    private static final Instant MONDAY = Instant.parse("2026-03-09T08:00:00Z");

    @TempDir
    private Path root;

    private IncomingFolder folder;
    private Path lab;

    @BeforeEach
    void room() throws IOException {
        folder = new IncomingFolder(root);
        folder.makeRoom(List.of("lab", "../out", ""));
        lab = root.resolve("lab");
    }

    @Test
    void only_what_an_intake_is_called_plainly_has_room() {
        assertThat(root).isDirectoryContaining(path -> path.equals(lab));
        assertThat(root.resolveSibling("out")).doesNotExist();
    }

    @Test
    void a_file_that_still_grows_is_left_alone_until_it_is_whole() throws IOException {
        Path file = lab.resolve("slow.csv");
        for (String row : List.of("id", "1", "2")) {
            Files.writeString(file, row + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
            assertThat(folder.settled()).as("it grew to row %s", row).isEmpty();
        }
        assertThat(folder.settled()).containsExactly(new Arrived("lab", file));
        assertThat(folder.settled()).as("until it is moved").containsExactly(new Arrived("lab", file));
    }

    @Test
    void a_file_written_over_in_the_same_length_is_not_whole_yet() throws IOException {
        Path file = Files.writeString(lab.resolve("same.csv"), "id\n1\n");
        Files.setLastModifiedTime(file, FileTime.from(MONDAY));
        assertThat(folder.settled()).isEmpty();
        Files.writeString(file, "id\n2\n");
        Files.setLastModifiedTime(file, FileTime.from(MONDAY.plusSeconds(1)));
        assertThat(folder.settled()).isEmpty();
        assertThat(folder.settled()).hasSize(1);
    }

    @Test
    void one_that_went_and_came_again_is_a_new_one() throws IOException {
        Path file = Files.writeString(lab.resolve("again.csv"), "id\n");
        folder.settled();
        Files.delete(file);
        assertThat(folder.settled()).isEmpty();
        Files.writeString(file, "id\n");
        assertThat(folder.settled()).isEmpty();
        assertThat(folder.settled()).hasSize(1);
    }

    @Test
    void what_is_named_as_on_its_way_and_what_is_no_file_in_a_folder_never_settles() throws IOException {
        for (String name : List.of(".lab.csv", "lab.csv.part", "lab.csv.tmp", "lab.csv" + IncomingFolder.REPORT)) {
            Files.writeString(lab.resolve(name), "id\n");
        }
        Files.writeString(root.resolve("beside.csv"), "id\n");
        Files.createDirectories(lab.resolve("folder.csv"));
        folder.settled();
        assertThat(folder.settled()).isEmpty();
    }

    @Test
    void no_earlier_file_of_the_name_is_lost_and_each_keeps_its_report() throws IOException {
        for (String rows : List.of("id\n1\n", "id\n2\n", "id\n3\n")) {
            Path file = Files.writeString(lab.resolve("lab.csv"), rows);
            folder.waits(new Arrived("lab", file), Map.of("why", List.of(rows)));
        }
        for (IncomingFolder.Waiting waits : folder.waiting()) {
            assertThat(waits.report().at("/why/0").asString())
                    .as(waits.fileName())
                    .isEqualTo(Files.readString(waits.file()));
        }
        assertThat(folder.waiting())
                .extracting(waits -> Files.readString(waits.file()))
                .containsExactlyInAnyOrder("id\n1\n", "id\n2\n", "id\n3\n");

        IncomingFolder.Waiting one = folder.waiting().getFirst();
        folder.putAway(one);
        assertThat(folder.waiting(one.id())).isEmpty();
        assertThat(folder.waiting()).hasSize(2);
        assertThat(lab.resolve("put-away").resolve(one.fileName())).exists();
        assertThat(lab.resolve("put-away").resolve(one.fileName() + IncomingFolder.REPORT))
                .exists();
    }
}
