package dipstick.bench;

import dipstick.core.criteria.CriteriaSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/**
 * Asks the engine and a database questions that were made from a seed, and reports how many times faster the engine is, by
 * the geometric mean and the worst: right after a start, for the first run of a new question when it has run for a while,
 * and for the median of the runs after that. An evaluator keeps nothing from one run to the next. Questions as of many days
 * are asked of the database as of one after another, and of the column database by one statement for all of them, too: the
 * faster counts. Questions with bands ask for everybody on the list with their band, the others for how many there are.
 */
@Command(name = "generated", mixinStandardHelpOptions = true, description = "Generated questions, side by side.")
final class Generated implements Callable<Integer> {
    private static final int RUNS = 5;
    private static final int WORST_SHOWN = 12;

    @Parameters(description = "small, middle or large", defaultValue = "middle", arity = "0..1")
    private SideBySide.Size size = SideBySide.Size.middle;

    @Option(names = "--seed", defaultValue = "1", description = "of the questions (${DEFAULT-VALUE})")
    private long seed;

    @Option(names = "--questions", defaultValue = "48", description = "how many (${DEFAULT-VALUE})")
    private int count;

    @Option(names = "--peer", defaultValue = "DUCKDB", description = "${COMPLETION-CANDIDATES}")
    private Peer.Kind peer = Peer.Kind.DUCKDB;

    @Option(names = "--url", defaultValue = "jdbc:duckdb:", description = "where the database is made")
    private String url = "jdbc:duckdb:";

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new Generated()).execute(arguments));
    }

    /** Milliseconds for the first run and for the median of the later ones. */
    private record Took(double first, double later) {
        Took orFaster(Took other) {
            return other.later() < later ? other : this;
        }
    }

    private record Compared(Question question, Took engine, Took database) {
        double first() {
            return database.first() / engine.first();
        }

        double later() {
            return database.later() / engine.later();
        }
    }

    @Override
    public Integer call() throws Exception {
        Region region = size.region();
        System.out.printf("%,d people, %,d events, seed %d%n", region.people(), region.events(), seed);
        Engine engine = Engine.load(region);
        List<Compared> all = new ArrayList<>();
        try (Peer database = Peer.load(peer, url, region)) {
            List<Double> cold = new ArrayList<>();
            for (Question question : GeneratedQuestions.of(seed + 1, count)) {
                CriteriaSet set = engine.read(question.document());
                database.run(question.tables());
                double ofEngine = once(() -> answer(engine, set, question));
                cold.add(once(() -> answer(database, question)) / ofEngine);
            }
            print("Right after the start", cold);
            for (Question question : GeneratedQuestions.of(seed, count)) {
                all.add(compare(engine, database, question));
            }
        }
        print(all);
        return 0;
    }

    private static Compared compare(Engine engine, Peer database, Question question) throws Exception {
        CriteriaSet set = engine.read(question.document());
        database.run(question.tables());
        Took ofEngine = time(() -> answer(engine, set, question));
        Took ofDatabase = time(() -> answer(database, question));
        Object answer = answer(engine, set, question);
        same(question, answer, answer(database, question));
        if (database.answersManyDays() && question.ofDays().isPresent()) {
            String ofDays = question.ofDays().get();
            same(question, answer, database.column(ofDays));
            ofDatabase = ofDatabase.orFaster(time(() -> database.column(ofDays)));
        }
        same(
                question,
                engine.membersWithBands(set, Region.AS_OF),
                database.members(question.sql().apply(Region.AS_OF)));
        Compared compared = new Compared(question, ofEngine, ofDatabase);
        System.out.printf(
                "%-26s engine %8.2f, then %8.2f ms | %s %9.2f, then %9.2f ms | %6.1f×, then %6.1f×%n",
                question.name(),
                ofEngine.first(),
                ofEngine.later(),
                database.words(),
                ofDatabase.first(),
                ofDatabase.later(),
                compared.first(),
                compared.later());
        return compared;
    }

    private static void same(Question question, Object engine, Object database) {
        if (!engine.equals(database)) {
            throw new IllegalStateException(question.name() + " is answered otherwise: " + question.document());
        }
    }

    private static Object answer(Engine engine, CriteriaSet set, Question question) {
        return question.hasBands() ? engine.membersWithBands(set, Region.AS_OF) : engine.counts(set, question.days());
    }

    private static Object answer(Peer database, Question question) throws SQLException {
        if (question.hasBands()) {
            return database.members(question.sql().apply(Region.AS_OF));
        }
        List<Long> counts = new ArrayList<>();
        for (LocalDate day : question.days()) {
            counts.add(database.count(question.sql().apply(day)));
        }
        return counts;
    }

    private static Took time(Callable<?> asking) throws Exception {
        double first = once(asking);
        List<Double> later = new ArrayList<>();
        for (int i = 0; i < RUNS; i++) {
            later.add(once(asking));
        }
        later.sort(Comparator.naturalOrder());
        return new Took(first, later.get(RUNS / 2));
    }

    private static double once(Callable<?> asking) throws Exception {
        long from = System.nanoTime();
        asking.call();
        return (System.nanoTime() - from) / 1e6;
    }

    private static void print(List<Compared> all) {
        System.out.println("All answers are the same. The worst:");
        all.stream()
                .sorted(Comparator.comparingDouble(Compared::later))
                .limit(WORST_SHOWN)
                .forEach(one -> System.out.printf(
                        "%6.1f× %s %s%n", one.later(), one.question().name(), shown(one)));
        print("A new question", all.stream().map(Compared::first).toList());
        print("The same again", all.stream().map(Compared::later).toList());
        print(
                "The same again, as of one day",
                all.stream()
                        .filter(one -> one.question().days().size() == 1)
                        .map(Compared::later)
                        .toList());
    }

    private static void print(String when, List<Double> ratios) {
        double geometricMean =
                Math.exp(ratios.stream().mapToDouble(Math::log).average().orElseThrow());
        System.out.printf(
                "%s: geometric mean %.1f×, worst %.1f×%n",
                when,
                geometricMean,
                ratios.stream().mapToDouble(Double::doubleValue).min().orElseThrow());
    }

    private static String shown(Compared one) {
        String parts = one.question().parts();
        return parts.length() > 700 ? parts.substring(0, 700) + "…" : parts;
    }
}
