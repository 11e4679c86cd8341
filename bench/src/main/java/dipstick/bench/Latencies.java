package dipstick.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** How long each kind of question took, whoever asked. */
final class Latencies {
    private final Map<String, List<Double>> milliseconds = new LinkedHashMap<>();

    synchronized void add(String what, long nanos) {
        milliseconds.computeIfAbsent(what, _ -> new ArrayList<>()).add(nanos / 1e6);
    }

    /** Half of them, and nineteen of twenty, took no longer than this; and the longest. */
    record Summary(int asked, double median, double p95, double longest) {}

    synchronized Map<String, Summary> summaries() {
        Map<String, Summary> all = new LinkedHashMap<>();
        milliseconds.forEach((what, times) -> {
            List<Double> sorted = times.stream().sorted().toList();
            int last = sorted.size() - 1;
            all.put(
                    what,
                    new Summary(
                            sorted.size(), sorted.get(last / 2), sorted.get((int) (last * 0.95)), sorted.getLast()));
        });
        return all;
    }
}
