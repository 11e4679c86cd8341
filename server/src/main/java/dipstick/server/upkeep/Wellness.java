package dipstick.server.upkeep;

import dipstick.server.criteria.Evaluators;
import dipstick.server.deliveries.Rhythm;
import dipstick.server.practice.Today;
import dipstick.server.records.Views;
import io.micrometer.core.instrument.FunctionCounter;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.time.Duration;
import java.util.List;
import java.util.function.Supplier;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.boot.health.contributor.Status;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What watches the server is told besides what every server tells: room, records, backups; and their figures. */
@Configuration
class Wellness {
    /** Pages go on, but somebody has to do something before they do not. */
    private static final Status ATTENTION = new Status("ATTENTION");

    /** A renewal that failed is tried again by itself. */
    private static final Duration LONGEST_BEHIND = Duration.ofMinutes(15);

    private final Room room;
    private final Views views;
    private final Evaluators evaluators;
    private final Backups backups;
    private final Rhythm rhythm;
    private final Today today;

    Wellness(Room room, Views views, Evaluators evaluators, Backups backups, Rhythm rhythm, Today today) {
        this.room = room;
        this.views = views;
        this.evaluators = evaluators;
        this.backups = backups;
        this.rhythm = rhythm;
        this.today = today;
    }

    @Bean
    HealthIndicator roomHealthIndicator() {
        return () -> health(room.words(), "bytesLeft", room.left());
    }

    @Bean
    HealthIndicator recordsHealthIndicator() {
        return () -> {
            Duration behind = behind();
            return health(
                    behind.compareTo(LONGEST_BEHIND) < 0 ? "" : "Records are kept that no page shows yet.",
                    "secondsBehind",
                    behind.toSeconds());
        };
    }

    @Bean
    HealthIndicator backupHealthIndicator() {
        return () -> backups.last()
                .map(this::health)
                .orElseGet(() -> Health.status(ATTENTION)
                        .withDetail("words", "There is no backup yet.")
                        .build());
    }

    /** Files that come by themselves, and those that somebody has to look at. */
    @Bean
    HealthIndicator deliveriesHealthIndicator() {
        return () -> {
            List<String> amiss = rhythm.amiss();
            return health(String.join(" ", amiss), "amiss", amiss.size());
        };
    }

    private Health health(Backups.Kept last) {
        return health(
                backups.isStale(last) ? "The last backup is old. " + backups.problem() : backups.problem(),
                "secondsOld",
                age(last).toSeconds());
    }

    /** @param words why somebody has to do something; empty where nobody has to */
    private static Health health(String words, String figure, long value) {
        Health.Builder health =
                words.isBlank() ? Health.up() : Health.status(ATTENTION).withDetail("words", words.strip());
        return health.withDetail(figure, value).build();
    }

    @Bean
    MeterBinder dipstickMeters() {
        return this::bind;
    }

    private void bind(MeterRegistry registry) {
        gauge(
                registry,
                "dipstick.people",
                "People on file",
                () -> views.current().population().size());
        gauge(
                registry,
                "dipstick.records",
                "Event records on file",
                () -> views.current().population().events().size());
        gauge(
                registry,
                "dipstick.records.behind.seconds",
                "For how long records are kept that no page shows",
                () -> behind().toSeconds());
        gauge(
                registry,
                "dipstick.answers.bytes",
                "Memory that kept answers of criteria take",
                () -> evaluators.answers().bytes());
        gauge(
                registry,
                "dipstick.answers.kept",
                "Answers of criteria that are kept",
                () -> evaluators.answers().answers());
        counter(
                registry,
                "dipstick.answers.found",
                "Answers that were kept when they were asked for",
                () -> evaluators.answers().found());
        counter(
                registry,
                "dipstick.answers.worked.out",
                "Answers that had to be worked out",
                () -> evaluators.answers().workedOut());
        gauge(registry, "dipstick.room.bytes", "Room left on the disk of the data folder", room::left);
        gauge(
                registry,
                "dipstick.backup.age.seconds",
                "Age of the last backup; none where there is no backup",
                () -> backups.last().<Number>map(last -> age(last).toSeconds()).orElse(Double.NaN));
    }

    private static void gauge(MeterRegistry registry, String name, String words, Supplier<Number> value) {
        Gauge.builder(name, value).description(words).register(registry);
    }

    private static void counter(MeterRegistry registry, String name, String words, Supplier<Number> value) {
        FunctionCounter.builder(name, value, counted -> counted.get().doubleValue())
                .description(words)
                .register(registry);
    }

    private Duration behind() {
        return views.behindSince()
                .map(since -> Duration.between(since, today.now()))
                .orElse(Duration.ZERO);
    }

    private Duration age(Backups.Kept backup) {
        return Duration.between(backup.at(), today.now());
    }
}
