package dipstick.bench;

import dipstick.bench.Latencies.Summary;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;

/**
 * How long colleagues wait at a demo that runs: one of them, then many at once, each of whom begins the day, opens a desk and
 * notes something, and pauses for 10 to 30 seconds.
 */
final class Clients {
    private record Account(String name, String password) {}

    /** As the demo's sign-in page shows them; all of them may work lists. */
    private static final List<Account> ACCOUNTS = List.of(
            new Account("orla", "amber-level-1"),
            new Account("tam", "amber-level-2"),
            new Account("ines", "amber-level-3"));

    private static final int SHORTEST_PAUSE_MS = 10_000;
    private static final int LONGEST_PAUSE_MS = 30_000;
    private static final int ROUNDS_ALONE = 10;

    private final URI address;

    private Clients(URI address) {
        this.address = address;
    }

    /** @param arguments where the demo is, how many there are (50), and for how many seconds (60) */
    public static void main(String[] arguments) throws InterruptedException, ExecutionException, IOException {
        URI address = URI.create(arguments.length > 0 ? arguments[0] : "http://localhost:8086");
        int many = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 50;
        int seconds = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 60;
        Clients clients = new Clients(address);
        Map<String, Summary> one = clients.alone();
        Map<String, Summary> all = clients.together(many, seconds);
        System.out.printf(
                "%-10s %7s %9s %9s %9s   %7s %9s %9s %9s %8s%n",
                "ms", "one", "median", "95 of 100", "longest", many, "median", "95 of 100", "longest", "ratio");
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

    private Map<String, Summary> alone() throws IOException, InterruptedException {
        Latencies latencies = new Latencies();
        Colleague colleague = new Colleague(address, latencies, 0);
        colleague.signIn(ACCOUNTS.getFirst().name(), ACCOUNTS.getFirst().password());
        for (int i = 0; i < ROUNDS_ALONE; i++) {
            colleague.round();
        }
        return latencies.summaries();
    }

    private Map<String, Summary> together(int many, int seconds) throws InterruptedException, ExecutionException {
        Latencies latencies = new Latencies();
        long end = System.nanoTime() + seconds * 1_000_000_000L;
        try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
            List<Future<?>> working = IntStream.range(0, many)
                    .<Future<?>>mapToObj(i -> threads.submit(() -> {
                        work(i, latencies, end);
                        return i;
                    }))
                    .toList();
            for (Future<?> one : working) {
                one.get();
            }
        }
        return latencies.summaries();
    }

    private void work(int number, Latencies latencies, long end) throws IOException, InterruptedException {
        Account account = ACCOUNTS.get(number % ACCOUNTS.size());
        Random chance = new Random(number);
        Colleague colleague = new Colleague(address, latencies, number);
        colleague.signIn(account.name(), account.password());
        while (System.nanoTime() < end) {
            colleague.round();
            Thread.sleep(chance.nextInt(SHORTEST_PAUSE_MS, LONGEST_PAUSE_MS));
        }
    }
}
