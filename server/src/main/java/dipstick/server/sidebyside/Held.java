package dipstick.server.sidebyside;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Holds in memory what somebody is laying side by side, for an hour; nobody else gets at it. */
@Component
class Held {
    private static final Duration HELD_FOR = Duration.ofHours(1);

    /** So many, and lists of so many cells together, are held at once; what was held longest goes. */
    private static final int MOST = 200;

    private static final long MOST_CELLS = 6_000_000;

    private final Clock clock;
    private final LinkedHashMap<String, One> held = new LinkedHashMap<>();

    Held(Clock clock) {
        this.clock = clock;
    }

    /** @param of the numbers of what it was made of */
    private record One(String owner, Instant since, Object what, long cells, Set<String> of) {}

    /**
     * Holds two lists that were laid side by side; they go with either of the lists.
     *
     * @param of the numbers of both
     * @return its number from now on
     */
    synchronized String hold(Laid laid, Set<String> of, String owner) {
        return hold(new One(owner, clock.instant(), laid, 0, of));
    }

    /** Its number from now on. */
    synchronized String hold(Laid.Side side, String owner) {
        return hold(new One(owner, clock.instant(), side, side.things().cells(), Set.of()));
    }

    private String hold(One one) {
        while (held.size() >= MOST || (!held.isEmpty() && cells() + one.cells() > MOST_CELLS)) {
            letGo(held.firstEntry().getKey());
        }
        String id = UUID.randomUUID().toString();
        held.put(id, one);
        return id;
    }

    private void letGo(String id) {
        held.remove(id);
        held.values().removeIf(other -> other.of().contains(id));
    }

    private long cells() {
        return held.values().stream().mapToLong(One::cells).sum();
    }

    synchronized <T> Optional<T> find(String id, Class<T> kind, String owner) {
        return Optional.ofNullable(held.get(id))
                .filter(one -> one.owner().equals(owner) && kind.isInstance(one.what()))
                .map(one -> kind.cast(one.what()));
    }

    @Scheduled(fixedDelay = 5, timeUnit = TimeUnit.MINUTES)
    synchronized void letGoWhatIsOld() {
        Map.copyOf(held).forEach((id, one) -> {
            if (one.since().plus(HELD_FOR).isBefore(clock.instant())) {
                letGo(id);
            }
        });
    }
}
