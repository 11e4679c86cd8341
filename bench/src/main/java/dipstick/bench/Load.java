package dipstick.bench;

import dipstick.bench.Latencies.Summary;
import java.io.IOException;
import java.net.URI;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/**
 * How long colleagues wait at a demo that runs: one of them alone, then many at once. Each begins the day, sits down at a
 * desk and listens; reads the desk, the rack and Today again when told that something about a list is new; and notes
 * something every 10 to 30 seconds. In the middle a file of records is brought in.
 */
@Command(
        name = "load",
        mixinStandardHelpOptions = true,
        description = "How long many at once wait at a demo that runs.")
final class Load implements Callable<Integer> {
    /** As the demo's sign-in page shows them; all of them may work lists. */
    private static final Map<String, String> PASSWORDS =
            Map.of("orla", "amber-level-1", "tam", "amber-level-2", "ines", "amber-level-3");

    private static final List<String> NAMES = List.of("orla", "tam", "ines");

    /** May look at the server's figures, and bring files in. */
    private static final String ADMINISTRATOR = "orla";

    private static final int SHORTEST_PAUSE_MS = 10_000;
    private static final int LONGEST_PAUSE_MS = 30_000;
    private static final int ROUNDS_ALONE = 10;
    private static final int ROWS_BROUGHT_IN = 2_000;

    /** The number of the first person of the demo. */
    private static final int FIRST_PERSON = 10_000;

    private static final Pattern FIGURE =
            Pattern.compile("^(jvm_memory_used_bytes|jvm_threads_live_threads)\\{([^}]*)} (\\S+)$", Pattern.MULTILINE);

    @Option(
            names = "--url",
            defaultValue = "http://localhost:8086",
            description = "Where the demo is: ${DEFAULT-VALUE}.")
    private URI address;

    @Option(names = "--clients", defaultValue = "50", description = "How many at once: ${DEFAULT-VALUE}.")
    private int clients;

    @Option(names = "--minutes", defaultValue = "5", description = "For how long: ${DEFAULT-VALUE}.")
    private double minutes;

    private final AtomicInteger failures = new AtomicInteger();

    private Load() {}

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new Load()).execute(arguments));
    }

    @Override
    public Integer call() throws IOException, InterruptedException, ExecutionException {
        try (Colleague watching = new Colleague(address, new Latencies(), 0)) {
            watching.signIn(ADMINISTRATOR, PASSWORDS.get(ADMINISTRATOR));
            Map<String, Summary> one = alone();
            System.out.println("before: " + figures(watching));
            Map<String, Summary> all = together(watching);
            System.out.println("after:  " + figures(watching));
            print(one, all);
        }
        System.out.println("failed: " + failures.get());
        return failures.get() == 0 ? 0 : 1;
    }

    private void print(Map<String, Summary> one, Map<String, Summary> all) {
        System.out.printf(
                "%-10s %7s %9s %9s %9s   %7d %9s %9s %9s %8s%n",
                "ms", "one", "median", "95 of 100", "longest", clients, "median", "95 of 100", "longest", "ratio");
        all.forEach((what, of) -> {
            Summary alone = one.getOrDefault(what, of);
            System.out.printf(
                    "%-10s %7d %9.1f %9.1f %9.1f   %7d %9.1f %9.1f %9.1f %8.1f%n",
                    what,
                    alone.asked(),
                    alone.median(),
                    alone.p95(),
                    alone.longest(),
                    of.asked(),
                    of.median(),
                    of.p95(),
                    of.longest(),
                    of.p95() / alone.p95());
        });
    }

    /** Memory that is in use, and threads. */
    private static String figures(Colleague watching) throws IOException, InterruptedException {
        double heap = 0;
        double threads = 0;
        Matcher figure = FIGURE.matcher(watching.figures(PASSWORDS.get(ADMINISTRATOR)));
        while (figure.find()) {
            if (figure.group(1).startsWith("jvm_threads")) {
                threads = Double.parseDouble(figure.group(3));
            } else if (figure.group(2).contains("area=\"heap\"")) {
                heap += Double.parseDouble(figure.group(3));
            }
        }
        return "%.0f MB of heap in use, %.0f threads".formatted(heap / 1_000_000, threads);
    }

    private Map<String, Summary> alone() throws IOException, InterruptedException {
        Latencies latencies = new Latencies();
        try (Colleague colleague = new Colleague(address, latencies, 0)) {
            colleague.signIn(ADMINISTRATOR, PASSWORDS.get(ADMINISTRATOR));
            for (int i = 0; i < ROUNDS_ALONE; i++) {
                String list = colleague.sitDown();
                colleague.note(list, colleague.desk(list), new Seen(latencies));
            }
        }
        return latencies.summaries();
    }

    private Map<String, Summary> together(Colleague watching)
            throws IOException, InterruptedException, ExecutionException {
        Latencies latencies = new Latencies();
        Seen seen = new Seen(latencies);
        long begin = System.nanoTime();
        long end = begin + (long) (minutes * Duration.ofMinutes(1).toNanos());
        try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
            List<Future<?>> working = IntStream.range(0, clients)
                    .<Future<?>>mapToObj(i -> threads.submit(() -> {
                        new AtDesk(address, latencies, seen, failures, i).work(end);
                        return i;
                    }))
                    .toList();
            Thread.sleep(Duration.ofNanos((end - begin) / 2));
            bringIn(watching, latencies);
            for (Future<?> one : working) {
                one.get();
            }
        }
        return latencies.summaries();
    }

    private void bringIn(Colleague watching, Latencies latencies) throws InterruptedException {
        String rows = IntStream.range(0, ROWS_BROUGHT_IN)
                .mapToObj(i -> (FIRST_PERSON + i) + ",visit,2020-01-0" + (1 + i % 9) + ",Load check,load-" + i)
                .collect(Collectors.joining("\n", "person_id,kind,occurred_on,text,record_id\n", "\n"));
        long from = System.nanoTime();
        try {
            watching.bringIn("load.csv", rows);
            latencies.add("a file", System.nanoTime() - from);
        } catch (IOException failure) {
            System.err.println(failure.getMessage());
            failures.incrementAndGet();
        }
    }

    /** Somebody who works until a time, and their stream. */
    private record AtDesk(URI address, Latencies latencies, Seen seen, AtomicInteger failures, int number) {
        void work(long end) throws InterruptedException {
            String name = NAMES.get(number % NAMES.size());
            Random chance = new Random(number);
            try (Colleague colleague = new Colleague(address, latencies, number)) {
                // They do not come through the door in one moment.
                Thread.sleep(chance.nextInt(SHORTEST_PAUSE_MS));
                colleague.signIn(name, PASSWORDS.get(name));
                String list = colleague.sitDown();
                colleague.desk(list);
                Thread listening = Thread.startVirtualThread(() -> new Listening(colleague, list, seen, failures).go());
                while (System.nanoTime() < end) {
                    Thread.sleep(chance.nextInt(SHORTEST_PAUSE_MS, LONGEST_PAUSE_MS));
                    colleague.note(list, colleague.desk(list), seen);
                }
                colleague.close();
                listening.join();
            } catch (IOException failure) {
                System.err.println(failure.getMessage());
                failures.incrementAndGet();
            }
        }
    }
}
