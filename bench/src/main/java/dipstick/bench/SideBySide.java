package dipstick.bench;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Snapshot;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.sql.SQLTimeoutException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Asks the engine and databases the same questions, checks that the answers are the same, and prints a table. */
@Command(name = "bench", mixinStandardHelpOptions = true, description = "The engine side by side with databases.")
final class SideBySide implements Callable<Integer> {
    /** More than the engine keeps answers for, so that none is asked for again while it is kept. */
    private static final int DIFFERENT_EDITS = 2000;

    enum Size {
        small(20_000, 1_000_000),
        middle(200_000, 10_000_000),
        large(1_000_000, 50_000_000);

        private final Region region;

        Size(int people, int events) {
            this.region = new Region(people, events);
        }

        Region region() {
            return region;
        }
    }

    @Parameters(description = "small, middle or large", defaultValue = "small", arity = "0..1")
    private Size size = Size.small;

    @Option(
            names = "--peers",
            split = ",",
            description = "which databases: ${COMPLETION-CANDIDATES}",
            defaultValue = "DUCKDB,SQLITE,H2")
    private List<Peer.Kind> kinds = List.of();

    @Option(names = "--alone", description = "only the engine")
    private boolean alone;

    @Option(names = "--postgresql", description = "the JDBC address of an empty database of a local server")
    private Optional<String> postgresql = Optional.empty();

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new SideBySide()).execute(arguments));
    }

    /** The median milliseconds of everyone for one question. */
    private record Row(String question, Map<String, Double> millis, String note) {}

    @Override
    public Integer call() throws Exception {
        Region region = size.region;
        System.out.printf("%,d people, %,d events%n", region.people(), region.events());
        System.out.printf(
                "Memory is read at %.1f GB/s by one thread, %.1f GB/s by two.%n",
                Bandwidth.gigabytesPerSecond(1), Bandwidth.gigabytesPerSecond(2));
        long before = usedHeap();
        long start = System.nanoTime();
        Engine engine = Engine.load(region);
        double seconds = (System.nanoTime() - start) / 1e9;
        System.out.printf(
                "The engine took them in %.1f s, which is %,.0f events a second, into %.1f bytes of heap for each event.%n",
                seconds, region.events() / seconds, (usedHeap() - before) / (double) region.events());
        printSnapshot(engine);
        List<Row> rows = new ArrayList<>();
        for (Question question : Questions.all()) {
            rows.add(ofEngine(engine, question));
        }
        rows.add(new Row("one edit to new levels", new LinkedHashMap<>(Map.of("engine", edit(engine))), ""));
        for (Peer.Kind kind : kinds()) {
            ask(kind, engine, region, rows);
        }
        print(rows);
        return 0;
    }

    private static void printSnapshot(Engine engine) throws IOException {
        Path file = Files.createTempDirectory("bench").resolve("region.snapshot");
        long start = System.nanoTime();
        Snapshot.write(file, "region", new Snapshot.Content(engine.population(), Map.of()), Optional.empty());
        double written = (System.nanoTime() - start) / 1e9;
        start = System.nanoTime();
        int read = Snapshot.read(file, "region", Optional.empty())
                .orElseThrow()
                .population()
                .events()
                .size();
        double seconds = (System.nanoTime() - start) / 1e9;
        System.out.printf(
                "A snapshot of %,d MB was written in %.1f s and read in %.1f s, which is %,.0f events a second.%n",
                Files.size(file) / 1_000_000, written, seconds, read / seconds);
        Files.delete(file);
    }

    private List<Peer.Kind> kinds() {
        List<Peer.Kind> all = new ArrayList<>(alone ? List.of() : kinds);
        postgresql.ifPresent(any -> all.add(Peer.Kind.POSTGRESQL));
        return all;
    }

    private static Row ofEngine(Engine engine, Question question) throws Exception {
        CriteriaSet set = engine.read(question.document());
        double millis = Timing.median(() -> {
            if (question.days().size() > 1) {
                return engine.counts(set, question.days());
            }
            LocalDate day = question.days().getFirst();
            return isDelivered(question)
                    ? engine.fetch(set, day)
                    : set.bands().isEmpty() ? engine.count(set, day) : engine.members(set, day);
        });
        double megabytes =
                Touched.bytes(set, engine.population()) * question.days().size() / 1e6;
        String note = String.format("%.1f MB, %.1f GB/s", megabytes, megabytes / millis);
        return new Row(question.name(), new LinkedHashMap<>(Map.of("engine", millis)), note);
    }

    private static boolean isDelivered(Question question) {
        return question.name().contains("delivered");
    }

    /** The levels after an edit: everything else of the set was answered before. */
    private static double edit(Engine engine) throws Exception {
        List<CriteriaSet> edits = IntStream.rangeClosed(1, DIFFERENT_EDITS)
                .mapToObj(days -> engine.read(Questions.levelsDocument("P" + days + "D")))
                .toList();
        Evaluator evaluator = engine.asOf(Region.AS_OF);
        AtomicInteger next = new AtomicInteger();
        return Timing.median(() -> levels(evaluator.read(edits.get(next.getAndIncrement() % DIFFERENT_EDITS))));
    }

    private static List<Long> levels(Reading reading) {
        List<Long> levels = new ArrayList<>();
        reading.levels()
                .forEach(level -> level.remaining().ifPresent(remaining -> levels.add((long) remaining.yesCount())));
        levels.add((long) reading.eligibleAndHas().yesCount());
        return levels;
    }

    private void ask(Peer.Kind kind, Engine engine, Region region, List<Row> rows) throws Exception {
        Path folder = Files.createTempDirectory("bench");
        long start = System.nanoTime();
        try (Peer peer = Peer.load(kind, url(kind, folder), region)) {
            System.out.printf("%s took them in %.1f s.%n", peer.words(), (System.nanoTime() - start) / 1e9);
            List<Question> questions = Questions.all();
            for (int i = 0; i < questions.size(); i++) {
                try {
                    compare(engine, peer, questions.get(i));
                    rows.get(i).millis().put(peer.words(), time(peer, questions.get(i)));
                } catch (SQLTimeoutException late) {
                    System.out.printf(
                            "%s has not answered “%s” after %d s.%n",
                            peer.words(), questions.get(i).name(), Peer.PATIENCE_SECONDS);
                }
            }
            LocalDate lookback = Region.AS_OF.minusMonths(12);
            String sql = Questions.levelsSql(Region.AS_OF, lookback);
            List<Long> expected = levels(engine.asOf(Region.AS_OF).read(engine.read(Questions.levelsDocument("P12M"))));
            same("levels", peer, expected, peer.row(sql));
            rows.getLast().millis().put(peer.words(), Timing.median(() -> peer.row(sql)));
        }
    }

    private String url(Peer.Kind kind, Path folder) {
        return switch (kind) {
            case DUCKDB -> "jdbc:duckdb:";
            case SQLITE -> "jdbc:sqlite:" + folder.resolve("region.db");
            case H2 -> "jdbc:h2:" + folder.resolve("region") + ";CACHE_SIZE=4000000";
            case POSTGRESQL -> postgresql.orElseThrow();
        };
    }

    private static double time(Peer peer, Question question) throws Exception {
        return Timing.median(() -> {
            long sum = 0;
            for (LocalDate day : question.days()) {
                String sql = question.sql().apply(day);
                sum += isDelivered(question) ? peer.fetch(sql) : peer.count(sql);
            }
            return sum;
        });
    }

    private static void compare(Engine engine, Peer peer, Question question) throws SQLException {
        CriteriaSet set = engine.read(question.document());
        for (LocalDate day : question.days()) {
            TreeMap<Integer, String> expected = engine.membersWithBands(set, day);
            same(question.name(), peer, expected, peer.members(question.sql().apply(day)));
        }
    }

    private static void same(String question, Peer peer, Object engine, Object answer) {
        if (!engine.equals(answer)) {
            throw new IllegalStateException("“" + question + "” is answered in another way by " + peer.words());
        }
    }

    private static void print(List<Row> rows) {
        System.out.println(
                "All answers that were given are the same. Medians in milliseconds, and how many times the engine's:");
        for (Row row : rows) {
            double engine = row.millis().get("engine");
            StringBuilder line = new StringBuilder(String.format("%-38s engine %9.2f", row.question(), engine));
            row.millis().forEach((who, millis) -> {
                if (!who.equals("engine")) {
                    line.append(String.format(" | %s %9.1f (%.0f×)", who, millis, millis / engine));
                }
            });
            System.out.println(line + (row.note().isEmpty() ? "" : " | reads " + row.note()));
        }
    }

    private static long usedHeap() {
        for (int i = 0; i < 3; i++) {
            System.gc();
        }
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }
}
