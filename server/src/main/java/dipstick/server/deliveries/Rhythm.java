package dipstick.server.deliveries;

import dipstick.server.practice.Today;
import dipstick.server.records.RecordsIn;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;

/** Whether files come as they are used to, and whether those that wait are looked at. */
@Service
public class Rhythm {
    /** Before there are so many, nobody knows how often they come. */
    private static final int ENOUGH = 4;

    private static final int LATE_AFTER_TIMES = 3;

    /** What comes every hour may rest over a weekend. */
    private static final Duration NEVER_LATE_BEFORE = Duration.ofDays(4);

    private static final Duration LOOKED_AT_WITHIN = Duration.ofDays(1);

    private final RecordsIn records;
    private final Intakes intakes;
    private final Incoming incoming;
    private final Today today;

    Rhythm(RecordsIn records, Intakes intakes, Incoming incoming, Today today) {
        this.records = records;
        this.intakes = intakes;
        this.incoming = incoming;
        this.today = today;
    }

    /** What somebody should look at, in sentences; none where all is as it should be. */
    public List<String> amiss() {
        List<String> amiss = new ArrayList<>();
        long left = waitingTooLong();
        if (left > 0) {
            amiss.add(left == 1 ? "A file waits for longer than a day." : left + " files wait for longer than a day.");
        }
        Map<String, List<Instant>> taken = records.takenByIntake();
        intakes.inForce().stream()
                .map(SavedIntake::name)
                .distinct()
                .filter(name -> isLate(taken.getOrDefault(name, List.of())))
                .forEach(name -> amiss.add("Nothing came by “" + name + "” for much longer than usual."));
        return amiss;
    }

    private long waitingTooLong() {
        try {
            return incoming.waiting().stream()
                    .filter(file -> file.since().isBefore(today.now().minus(LOOKED_AT_WITHIN)))
                    .count();
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The folder of arrivals cannot be read", unreadable);
        }
    }

    /** @param taken when files were, the latest first */
    private boolean isLate(List<Instant> taken) {
        if (taken.size() < ENOUGH) {
            return false;
        }
        List<Duration> gaps = IntStream.range(1, taken.size())
                .mapToObj(i -> Duration.between(taken.get(i), taken.get(i - 1)))
                .sorted()
                .toList();
        Duration late = gaps.get(gaps.size() / 2).multipliedBy(LATE_AFTER_TIMES);
        Duration allowed = late.compareTo(NEVER_LATE_BEFORE) < 0 ? NEVER_LATE_BEFORE : late;
        return Duration.between(taken.getFirst(), today.now()).compareTo(allowed) > 0;
    }
}
