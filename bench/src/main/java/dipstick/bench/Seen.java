package dipstick.bench;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** What was noted, by list and person, so that whoever hears of it can tell after how long. */
final class Seen {
    private final Latencies latencies;
    private final Map<String, Long> begun = new ConcurrentHashMap<>();

    Seen(Latencies latencies) {
        this.latencies = latencies;
    }

    /** Something that is being noted. */
    interface Noted {
        /** The server said that it is kept. */
        void done();
    }

    Noted noting(String list, String person) {
        String key = list + " " + person;
        begun.put(key, System.nanoTime());
        return () -> begun.computeIfPresent(key, (_, _) -> System.nanoTime());
    }

    /** Somebody else was told of it; counted from when it was kept, or from when it was sent where that is not known yet. */
    void heard(String list, String person) {
        Long since = begun.get(list + " " + person);
        if (since != null) {
            latencies.add("heard", System.nanoTime() - since);
        }
    }
}
