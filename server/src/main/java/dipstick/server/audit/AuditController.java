package dipstick.server.audit;

import dipstick.server.practice.Today;
import dipstick.server.web.Days;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who did what, and when; read, and never changed. */
@RestController
@RequestMapping("/api/audit")
class AuditController {
    private static final int PAGE = 200;

    private final AuditMapper entries;
    private final AuditLog log;
    private final Today today;

    AuditController(AuditMapper entries, AuditLog log, Today today) {
        this.entries = entries;
        this.log = log;
        this.today = today;
    }

    record AuditEntry(long id, String at, String account, String act, String subject) {}

    /** @param more whether there are older ones; ask for those before the last one's id */
    record AuditPage(List<String> acts, List<AuditEntry> entries, boolean more) {}

    /**
     * The newest first.
     *
     * @param before an entry's id; those older than it are given
     * @param find words that the entry's subject holds
     * @param from the first day, in the practice's zone, and {@code through} the last
     */
    @GetMapping
    AuditPage find(
            @RequestParam Optional<Long> before,
            @RequestParam(defaultValue = "") String account,
            @RequestParam(defaultValue = "") String act,
            @RequestParam(defaultValue = "") String find,
            @RequestParam Optional<LocalDate> from,
            @RequestParam Optional<LocalDate> through) {
        from.ifPresent(Days::requireCounted);
        through.ifPresent(Days::requireCounted);
        if (before.isEmpty()) {
            log.record(Act.AUDIT_LOG_READ, find);
        }
        List<AuditEntry> found = entries
                .find(
                        before.orElse(Long.MAX_VALUE),
                        account,
                        act,
                        find.toLowerCase(Locale.ROOT),
                        from.map(this::start).orElse(Instant.EPOCH),
                        through.map(day -> start(day.plusDays(1)))
                                .orElse(start(today.day().plusYears(1))),
                        PAGE + 1)
                .stream()
                .map(one -> new AuditEntry(one.id(), one.at().toString(), one.account(), one.act(), one.subject()))
                .toList();
        return new AuditPage(
                Arrays.stream(Act.values()).map(Act::name).toList(),
                found.stream().limit(PAGE).toList(),
                found.size() > PAGE);
    }

    private Instant start(LocalDate day) {
        return day.atStartOfDay(today.zone()).toInstant();
    }
}
