package dipstick.region.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.parts.AskedRecords;
import dipstick.core.parts.PartAnswer;
import dipstick.region.Asked;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the parts of a population answer together is what {@code evaluate} says of all of it, to the byte. */
class PartRecordsTest {
    private static final int SEEDS = Integer.getInteger("proof.parts", 3);

    @TempDir
    private Path folder;

    private final Map<Path, RegionFolder> written = new HashMap<>();

    private String together(Asked asked, int parts) throws Exception {
        CriteriaSet set = asked.question().read();
        RegionFolder region = written(asked, parts);
        List<PartAnswer> answers = new ArrayList<>();
        for (int number = 0; number < parts; number++) {
            PartRecords records = PartRecords.read(
                    region, asked.question().fields(), new Part(PartFolders.PRACTICE, number), new AskedRecords(set));
            PartAnswer answer =
                    PartAnswer.of(records.population(), set, asked.question().asOf(), PartAnswer.Wanted.LIST);
            answers.add(PartAnswer.read(answer.written()));
        }
        return asked.written(answers.stream().reduce(PartAnswer::plus).orElseThrow());
    }

    private RegionFolder written(Asked asked, int parts) throws IOException {
        if (!written.containsKey(asked.people())) {
            Path into = Files.createDirectory(folder.resolve("region" + written.size()));
            written.put(
                    asked.people(),
                    PartFolders.write(
                            into,
                            asked.people(),
                            asked.events(),
                            asked.question().fields(),
                            asked.question().zone(),
                            parts));
        }
        return written.get(asked.people());
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 16})
    void every_case_of_the_kit(int parts) throws Exception {
        List<Asked> cases = Asked.kit().toList();
        assertThat(cases).hasSizeGreaterThan(100);
        // Each part is opened for each case: the more parts, the fewer cases.
        for (int i = 0; i < cases.size(); i += (parts + 1) / 2) {
            Asked one = cases.get(i);
            if (one.question().zone().equals(cases.getFirst().question().zone())) {
                assertThat(together(one, parts)).as(one.name()).isEqualTo(one.expected());
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 16})
    void random_documents_over_random_records(int parts) throws Exception {
        for (Asked one : made().toList()) {
            assertThat(together(one, parts))
                    .as("%s: %s", one.name(), one.question().documents())
                    .isEqualTo(one.expected());
        }
    }

    private Stream<Asked> made() {
        return IntStream.rangeClosed(1, SEEDS).boxed().flatMap(seed -> {
            try {
                return Asked.made(folder, seed, 25, 10);
            } catch (IOException unwritten) {
                throw new AssertionError(unwritten);
            }
        });
    }

    @Test
    void of_a_file_that_is_cut_off_nothing_is_said_but_its_name() throws Exception {
        Asked one = Asked.kit().findFirst().orElseThrow();
        together(one, 1);
        Path file = file(Side.EVENTS, "second");
        byte[] whole = Files.readAllBytes(file);
        Files.write(file, java.util.Arrays.copyOf(whole, whole.length - 100));
        assertThatThrownBy(() -> together(one, 1))
                .isInstanceOf(RegionFault.class)
                .hasMessageContaining("second.parquet")
                .hasMessageContaining("no Parquet file that is whole");
    }

    @Test
    void a_file_of_another_schema_is_named() throws Exception {
        Asked one = Asked.kit().findFirst().orElseThrow();
        together(one, 1);
        Files.copy(
                file(Side.PEOPLE, "all"),
                file(Side.EVENTS, "second"),
                java.nio.file.StandardCopyOption.REPLACE_EXISTING);
        assertThatThrownBy(() -> together(one, 1))
                .isInstanceOf(RegionFault.class)
                .hasMessageContaining("second.parquet: it is of another schema")
                .hasMessageContaining("person_id");
    }

    private Path file(Side side, String name) throws IOException {
        // What Hadoop keeps beside it would say that it was changed.
        Path there = folder.resolve("region0/" + side.folder() + "/practice=Fen%20End/part=0");
        Files.deleteIfExists(there.resolve("." + name + ".parquet.crc"));
        return there.resolve(name + ".parquet");
    }
}
