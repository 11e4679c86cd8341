package dipstick.region;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.parts.SentQuestion;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/** The commands over a cluster of two workers: the same answers as {@code evaluate}, and what goes wrong. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class RegionIT {
    private static final String HERE = "local[2]";
    private static final List<String> PRACTICES = List.of("Fen End", "Müll & Söhne");

    @TempDir
    private static Path folder;

    private static StandaloneCluster cluster;
    private static Path records;
    private static List<Asked> kit;

    private final StringWriter said = new StringWriter();

    @BeforeAll
    static void start() throws Exception {
        cluster = StandaloneCluster.start(folder);
        kit = Asked.kit().toList();
        records = folder.resolve("records");
    }

    @AfterAll
    static void stop() {
        cluster.close();
    }

    /** At the cluster, unless another master is named. */
    private int run(String... arguments) {
        PrintWriter out = new PrintWriter(said, true);
        List<String> all = new ArrayList<>(List.of(arguments));
        all.addAll(List.of("--zone", "Europe/Lisbon"));
        if (!all.contains("--master")) {
            all.addAll(List.of("--master", cluster.master()));
        }
        return RegionCommands.run(out, out, all.toArray(String[]::new));
    }

    private int ask(String command, Asked asked, Path from, Path out, String... more) {
        List<String> arguments =
                new ArrayList<>(List.of(command, "--records", from.toString(), "--out", out.toString(), "--as-of"));
        arguments.add(asked.question().asOf().getFirst().toString());
        asked.question().documents().forEach(document -> arguments.addAll(List.of("--criteria", document.name())));
        asked.question().dials().forEach((name, value) -> arguments.addAll(List.of("--dial", name + "=" + value)));
        arguments.addAll(List.of(more));
        return run(arguments.toArray(String[]::new));
    }

    private static Asked named(String name) {
        return kit.stream().filter(one -> one.name().equals(name)).findFirst().orElseThrow();
    }

    private static String list(Path out, String practice) throws IOException {
        return Files.readString(out.resolve("practices").resolve(practice).resolve("list.csv"));
    }

    private static List<Path> leftBehind() throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(path -> path.getFileName().toString().startsWith("."))
                    .toList();
        }
    }

    /** Two practices with the same people, one of them in many parts, and a third that has nobody. */
    @Test
    @Order(1)
    void folders_of_practices_become_parts() throws Exception {
        Path practices = Files.createDirectory(folder.resolve("practices"));
        for (String practice : PRACTICES) {
            Path own = Files.createDirectory(practices.resolve(practice));
            Files.copy(Asked.KIT_PEOPLE, own.resolve("people.csv"));
            Files.copy(Asked.KIT_EVENTS, own.resolve("events.csv"));
        }
        Path empty = Files.createDirectory(practices.resolve("Empty"));
        Files.writeString(empty.resolve("people.csv"), "id\n");
        Files.writeString(empty.resolve("events.csv"), "person_id,kind\n");
        int status = run(
                "convert",
                "--practices",
                practices.toString(),
                "--people-of-a-part",
                "160",
                "--out",
                records.toString(),
                "--master",
                HERE);
        assertThat(said.toString()).contains("Converted 3 practices, 906 people and 12120 events.");
        assertThat(status).isZero();
        assertThat(leftBehind()).isEmpty();
    }

    @Test
    @Order(2)
    void a_set_says_of_each_practice_what_it_says_of_it_alone() throws Exception {
        Asked asked = named("after-each");
        Path out = folder.resolve("out");
        assertThat(ask("evaluate", asked, records, out)).as(said.toString()).isZero();
        String expected = asked.expected().substring(asked.expected().indexOf("person_id"));
        assertThat(list(out, "Fen%20End")).isEqualTo(expected);
        assertThat(list(out, "M%C3%BCll%20%26%20S%C3%B6hne")).isEqualTo(expected);
        assertThat(list(out, "Empty")).isEqualTo("person_id,state,due_on,band\n");
        assertThat(Files.readString(out.resolve("levels.csv"))).startsWith("""
                        practice,section,criterion,alone_yes,alone_unsure,remaining_yes,remaining_unsure
                        ,population,,848,0,,
                        ,include,asked,58,44,58,44
                        """).contains("\nEmpty,list,,0,0,,\n");
        assertThat(leftBehind()).isEmpty();
    }

    @Test
    @Order(3)
    void what_is_there_is_written_over_only_when_that_is_said() throws Exception {
        Asked asked = named("after-each");
        Path out = folder.resolve("out");
        String before = Files.readString(out.resolve("levels.json"));
        assertThat(ask("levels", asked, records, out, "--master", HERE)).isEqualTo(2);
        assertThat(said.toString()).contains("it is there already").contains("--again");
        assertThat(Files.readString(out.resolve("levels.json"))).isEqualTo(before);
        assertThat(ask("ribbon", asked, records, out, "--again", "--hide-below", "40", "--master", HERE))
                .as(said.toString())
                .isZero();
        assertThat(out.resolve("levels.json")).doesNotExist();
        List<String> ribbon = Files.readAllLines(out.resolve("ribbon.csv"));
        assertThat(ribbon).hasSize(1 + 25 * 4);
        assertThat(ribbon.stream()
                        .skip(1)
                        .flatMap(line -> Stream.of(line.split(",")).skip(2))
                        .filter(number -> !number.isEmpty())
                        .mapToInt(Integer::parseInt))
                .isNotEmpty()
                .allMatch(number -> number == 0 || number >= 40);
        assertThat(leftBehind()).isEmpty();
    }

    @Test
    @Order(4)
    void of_a_file_that_is_cut_off_nothing_is_written() throws Exception {
        Path damaged = folder.resolve("damaged");
        copy(records, damaged);
        Path file;
        try (Stream<Path> all = Files.walk(damaged.resolve("events"))) {
            file = all.filter(path -> path.toString().endsWith(".parquet"))
                    .sorted()
                    .findFirst()
                    .orElseThrow();
        }
        byte[] whole = Files.readAllBytes(file);
        Files.write(file, Arrays.copyOf(whole, whole.length / 2));
        Path out = folder.resolve("of-damaged");
        assertThat(ask("evaluate", named("after-each"), damaged, out, "--master", HERE))
                .isEqualTo(2);
        assertThat(said.toString())
                .contains(file.getParent().getParent().getFileName().toString())
                .contains("no Parquet file that is whole")
                .contains("Nothing was written.");
        assertThat(out).doesNotExist();

        Files.delete(file);
        assertThat(ask("evaluate", named("after-each"), damaged, out, "--master", HERE))
                .isEqualTo(2);
        assertThat(said.toString()).contains("Files are missing");
        assertThat(out).doesNotExist();
        assertThat(leftBehind()).isEmpty();
    }

    private static void copy(Path from, Path to) throws IOException {
        try (Stream<Path> all = Files.walk(from)) {
            for (Path path :
                    all.filter(path -> !path.toString().endsWith(".crc")).toList()) {
                Files.copy(path, to.resolve(from.relativize(path).toString()));
            }
        }
    }

    /** Of a file for all practices, with events in two files, some of nobody, and an id that two practices have. */
    @Test
    @Order(5)
    void a_column_says_whose_people_are() throws Exception {
        Path people = Files.writeString(
                folder.resolve("all-people.csv"), "id,practice,sex\n1,Fen End,female\n2,=Mill,male\n3,=Mill,female\n");
        Path some =
                Files.writeString(folder.resolve("some.csv"), "person_id,kind,on\n1,visit,2026-05-04\n2,visit,2026\n");
        Path more = Files.writeString(folder.resolve("more.csv"), "person_id,kind,on\n1,visit,2026-05\n9,visit,2026\n");
        Path whose = folder.resolve("whose");
        List<String> convert = List.of(
                "convert", "--people", people.toString(), "--events", some.toString(), "--events", more.toString());
        assertThat(run(with(convert, "--out", whose.toString(), "--master", HERE)))
                .as(said.toString())
                .isZero();
        assertThat(said.toString())
                .contains("Converted 2 practices, 3 people and 3 events.")
                .contains("Passed over 1 events of people who are in no file.");

        SentQuestion visited = new SentQuestion(
                List.of(JsonMapper.shared().readTree("""
                {"format": "dipstick-criteria/1", "id": "visited", "name": "Visited", "include": [{"id": "v", "test":
                  {"events": {"kinds": ["visit"], "window": {"dates": ["2026-05-01", "2026-05-31"]}}}}]}
                """)),
                Map.of(),
                ZoneId.of("Europe/Lisbon"),
                LocalDate.of(2026, 11, 23));
        Path question = Files.writeString(folder.resolve("visited.question.json"), visited.text());
        Path out = folder.resolve("visited");
        List<String> evaluate = List.of("evaluate", "--records", whose.toString(), "--question", question.toString());
        assertThat(run(with(evaluate, "--out", out.toString(), "--master", HERE)))
                .as(said.toString())
                .isZero();
        assertThat(list(out, "Fen%20End")).isEqualTo("person_id,state,due_on,band\n1,on,,\n");
        assertThat(list(out, "%3DMill")).isEqualTo("person_id,state,due_on,band\n2,check,,\n");
        assertThat(Files.readString(out.resolve("levels.csv"))).contains("\n'=Mill,list,,0,1,,\n");
        assertThat(Files.readString(out.resolve("levels.json")))
                .contains("\"asked\" : \"" + visited.fingerprint() + "\"", "\"asOf\" : \"2026-11-23\"");

        Files.writeString(people, "id,practice\n1,Fen End\n");
        Path others = Files.writeString(folder.resolve("others.csv"), "id,practice\n1,Mill\n");
        assertThat(run(with(
                        convert,
                        "--people",
                        others.toString(),
                        "--out",
                        folder.resolve("no").toString(),
                        "--master",
                        HERE)))
                .isEqualTo(2);
        assertThat(said.toString()).contains("The person “1” is in several practices");
        assertThat(folder.resolve("no")).doesNotExist();
    }

    private static String[] with(List<String> arguments, String... more) {
        return Stream.concat(arguments.stream(), Stream.of(more)).toArray(String[]::new);
    }

    @Test
    @Order(6)
    void who_is_on_a_list_is_read_with_the_key_of_its_practice_alone() throws Exception {
        Path whose = folder.resolve("whose");
        Path keys = folder.resolve("keys");
        Path out = folder.resolve("locked");
        List<String> evaluate = List.of(
                "evaluate",
                "--records",
                whose.toString(),
                "--question",
                folder.resolve("visited.question.json").toString(),
                "--keys",
                keys.toString(),
                "--out",
                out.toString(),
                "--master",
                HERE);
        assertThat(run(evaluate.toArray(String[]::new))).isEqualTo(2);
        assertThat(said.toString()).contains("there is no such key");
        assertThat(out).doesNotExist();

        assertThat(here("keys", "--records", whose.toString(), "--keys", keys.toString()))
                .isEqualTo("Made 2 keys; 0 were there.\n");
        assertThat(here("keys", "--records", whose.toString(), "--keys", keys.toString()))
                .isEqualTo("Made 0 keys; 2 were there.\n");
        assertThat(run(evaluate.toArray(String[]::new))).as(said.toString()).isZero();
        Path practice = out.resolve("practices/Fen%20End");
        assertThat(practice.resolve("list.csv")).doesNotExist();
        String list = practice.resolve("list.parquet").toString();
        String own = keys.resolve("Fen%20End.key").toString();
        String other = keys.resolve("%3DMill.key").toString();
        assertThat(here("open", "--list", list, "--key", own)).isEqualTo("person_id,state,due_on,band\n1,on,,\n");
        assertThat(here("open", "--list", list, "--key", other)).contains("this key does not open it");
    }

    /** What a command says that needs no cluster. */
    private static String here(String... arguments) {
        StringWriter words = new StringWriter();
        PrintWriter out = new PrintWriter(words, true);
        RegionCommands.run(out, out, arguments);
        return words.toString();
    }

    /** Last: the cluster has one worker afterwards. */
    @Test
    @Order(9)
    void a_worker_that_is_killed_changes_nothing() throws Exception {
        Asked asked = named("after-each");
        Path out = folder.resolve("of-one");
        long before = cluster.applications();
        CompletableFuture<Integer> status = CompletableFuture.supplyAsync(() -> ask("evaluate", asked, records, out));
        cluster.awaitWorkAtTheSecond(before);
        cluster.killSecondWorker();
        assertThat(status.get()).as(said.toString()).isZero();
        assertThat(list(out, "Fen%20End"))
                .isEqualTo(asked.expected().substring(asked.expected().indexOf("person_id")));
    }
}
