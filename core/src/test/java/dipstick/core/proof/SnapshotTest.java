package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.population.Snapshot;
import dipstick.core.proof.RandomRecords.Made;
import dipstick.core.records.Fields;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.node.ObjectNode;

/** A population read back from its file answers as the one that was written; a file that does not fit is not read. */
class SnapshotTest {
    @TempDir
    private Path folder;

    @Test
    void what_is_read_back_answers_the_same() throws Exception {
        for (int seed = 1; seed <= 30; seed++) {
            Random random = new Random(seed);
            LocalDate asOf = RandomRecords.asOf(random);
            RandomRecords maker = new RandomRecords(random, asOf);
            Made records = maker.make(20);
            Population written = Records.of(records.peopleFile(), records.eventsFile());
            Population read = roundTrip(written);
            List<ObjectNode> sets = new RandomDocuments(random, maker, asOf).make();
            assertThat(WholeAnswer.of(sets, read, asOf))
                    .as("seed %d", seed)
                    .isEqualTo(WholeAnswer.of(sets, written, asOf));
            assertThat(read.fields()).isEqualTo(written.fields());
        }
    }

    @Test
    void ids_and_spellings_come_back_as_they_were() throws Exception {
        Population written = Records.of("id,family_name\np1,O’Ardle\n", """
                id,person_id,kind,text,on
                e0042,p1,visit,Hörtest,2026-01-01
                ,p1,visit,,
                1234567890123,p1,note,x,2026
                """);
        Population read = roundTrip(written);
        assertThat(read.events().of(0).mapToObj(row -> id(read, row)).toList())
                .containsExactly("e0042", "", "1234567890123");
        assertThat(read.find("p1")).isPresent();
        assertThat(read.events().text().written()).contains("Hörtest");
    }

    @Test
    void a_file_of_other_records_or_a_damaged_one_is_not_read() throws Exception {
        Path file = folder.resolve("view.snapshot");
        assertThat(Snapshot.read(file, "one", Optional.empty())).isEmpty();
        Population records = Records.of("id\np1\n", "person_id,kind\np1,visit\n");
        Snapshot.write(file, "one", new Snapshot.Content(records, Map.of("p8", 7)), Optional.empty());
        assertThat(Snapshot.read(file, "two", Optional.empty())).isEmpty();
        assertThat(Snapshot.read(file, "one", Optional.empty()).orElseThrow().waiting())
                .isEqualTo(Map.of("p8", 7));

        byte[] bytes = Files.readAllBytes(file);
        for (int at = 0; at < bytes.length; at += 11) {
            byte[] damaged = bytes.clone();
            damaged[at] ^= 0x40;
            Files.write(file, damaged);
            assertThat(Snapshot.read(file, "one", Optional.empty()))
                    .as("byte %d", at)
                    .isEmpty();
        }
        Files.write(file, Arrays.copyOf(bytes, bytes.length / 2));
        assertThat(Snapshot.read(file, "one", Optional.empty())).isEmpty();
        Files.write(file, new byte[3]);
        assertThat(Snapshot.read(file, "one", Optional.empty())).isEmpty();
    }

    private Population roundTrip(Population population) throws Exception {
        Path file = folder.resolve("view.snapshot");
        Snapshot.write(file, "stamp", new Snapshot.Content(population, Map.of()), Optional.empty());
        assertThat(folder).isDirectoryNotContaining("glob:**.part");
        return Snapshot.read(file, "stamp", Optional.empty()).orElseThrow().population();
    }

    private static String id(Population population, int row) {
        return ((Column.OfText)
                        population.events().column(Fields.EVENT.find("id").orElseThrow()))
                .writtenAt(row);
    }
}
