package dipstick.server.audit;

import dipstick.server.practice.Today;
import dipstick.server.web.Days;
import dipstick.server.web.Download;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Who did what, and when; read, and never changed. */
@RestController
@RequestMapping("/api/audit")
class AuditController {
    private static final int PAGE = 200;
    /** Of an export, everybody who was in it is named; a page shows the beginning. */
    private static final int LONGEST_SUBJECT = 600;

    private final AuditMapper entries;
    private final AuditLog log;
    private final AuditChain chain;
    private final WholeLog wholeLog;
    private final Today today;

    AuditController(AuditMapper entries, AuditLog log, AuditChain chain, WholeLog wholeLog, Today today) {
        this.entries = entries;
        this.log = log;
        this.chain = chain;
        this.wholeLog = wholeLog;
        this.today = today;
    }

    /** @param session by which several acts of one sign-in are told */
    record AuditEntry(long id, String at, String account, String act, String subject, String address, String session) {}

    /**
     * @param entries how many there are in the chain
     * @param broken the id of the first entry that was changed, or before which one is missing; nothing where all are right
     * @param head the hash of the last one
     */
    record ChainState(long entries, Optional<Long> broken, String head) {}

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
            @RequestParam(defaultValue = "") @Size(max = 200) String account,
            @RequestParam(defaultValue = "") @Size(max = 200) String act,
            @RequestParam(defaultValue = "") @Size(max = 200) String find,
            @RequestParam Optional<LocalDate> from,
            @RequestParam Optional<LocalDate> through) {
        from.ifPresent(Days::requireCounted);
        through.ifPresent(Days::requireCounted);
        Set<Act> may = mayRead();
        if (before.isEmpty()) {
            log.record(Act.AUDIT_LOG_READ, find);
        }
        List<AuditEntry> found = entries
                .find(
                        before.orElse(Long.MAX_VALUE),
                        account,
                        act,
                        may.stream().map(Act::name).toList(),
                        find.toLowerCase(Locale.ROOT),
                        from.map(this::start).orElse(Instant.EPOCH),
                        through.map(day -> start(day.plusDays(1)))
                                .orElse(start(today.day().plusYears(1))),
                        LONGEST_SUBJECT,
                        PAGE + 1)
                .stream()
                .map(one -> new AuditEntry(
                        one.id(),
                        one.at().toString(),
                        one.account(),
                        one.act(),
                        one.subject(),
                        one.address(),
                        one.session()))
                .toList();
        return new AuditPage(
                may.stream().map(Act::name).toList(), found.stream().limit(PAGE).toList(), found.size() > PAGE);
    }

    /** Whether any entry was changed or removed since it was written. */
    @GetMapping("/chain")
    ChainState verify() {
        AuditChain.Verified verified = chain.verify();
        log.record(Act.AUDIT_LOG_READ, "verified: " + (verified.broken().isEmpty() ? "right" : "broken"));
        return new ChainState(verified.entries(), verified.broken(), verified.head());
    }

    /** Everything, as one JSON object on each line (https://github.com/ndjson/ndjson-spec), the oldest first. */
    @GetMapping(value = "/export", produces = "application/x-ndjson")
    void export(HttpServletResponse response) throws IOException {
        Set<String> may = mayRead().stream().map(Act::name).collect(Collectors.toSet());
        log.record(Act.AUDIT_LOG_READ, "exported");
        chain.extend();
        try (OutputStream out =
                Download.into(response, "application/x-ndjson", "audit-log-" + today.day() + ".ndjson")) {
            long after = 0;
            List<AuditMapper.Link> next = entries.chained(after, PAGE);
            while (!next.isEmpty()) {
                for (AuditMapper.Link link : next) {
                    after = link.place();
                    if (may.contains(link.act())) {
                        out.write((JsonMapper.shared().writeValueAsString(line(link)) + "\n")
                                .getBytes(StandardCharsets.UTF_8));
                    }
                }
                next = entries.chained(after, PAGE);
            }
        }
    }

    private static Map<String, Object> line(AuditMapper.Link link) {
        Map<String, Object> line = new LinkedHashMap<>();
        line.put("place", link.place());
        line.put("at", link.at().toString());
        line.put("account", link.account());
        line.put("act", link.act());
        line.put("subject", link.subject());
        line.put("address", link.address());
        line.put("session", link.session());
        line.put("hash", link.hash());
        return line;
    }

    private Set<Act> mayRead() {
        return wholeLog.mayBeReadHere() ? EnumSet.allOf(Act.class) : Act.OF_THE_HOUSE;
    }

    private Instant start(LocalDate day) {
        return day.atStartOfDay(today.zone()).toInstant();
    }
}
