package dipstick.server.prompts;

import dipstick.core.wording.DayWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Spans;
import dipstick.server.practice.Today;
import dipstick.server.web.Days;
import dipstick.server.web.Download;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who on a list has an appointment ahead, and the sheet of a morning. */
@RestController
@RequestMapping("/api/coming-in")
class ComingInController {
    private final Expected expected;
    private final MorningSheet sheet;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;

    ComingInController(Expected expected, MorningSheet sheet, Accounts accounts, AuditLog audit, Today today) {
        this.expected = expected;
        this.sheet = sheet;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
    }

    /** @param groups by site and provider */
    record SheetOfDay(String day, List<MorningSheet.SheetGroup> groups) {}

    /** Within a week; each at their first appointment. */
    @GetMapping
    List<ComingIn> week() {
        audit.recordOnce(Act.LIST_READ, "coming in this week");
        LocalDate day = today.day();
        return expected.first(day, day.plusDays(Spans.COMING_IN), accounts.here());
    }

    /** @param day today where there is none */
    @GetMapping("/sheet")
    SheetOfDay sheet(@RequestParam Optional<LocalDate> day) {
        LocalDate of = counted(day);
        audit.recordOnce(Act.LIST_READ, "morning sheet of " + of);
        return new SheetOfDay(of.toString(), sheet.of(of, accounts.here()));
    }

    /** The same to print. */
    @GetMapping(value = "/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(@RequestParam Optional<LocalDate> day) {
        LocalDate of = counted(day);
        Colleague who = accounts.here();
        audit.record(Act.LIST_EXPORTED, "morning sheet of " + of + " as PDF");
        return Download.of(
                MediaType.APPLICATION_PDF_VALUE,
                "coming-in-" + of + ".pdf",
                sheet.print(
                        of,
                        sheet.of(of, who),
                        who.displayName() + ", " + DayWords.day(today.day()) + " " + today.timeOf(today.now())));
    }

    private LocalDate counted(Optional<LocalDate> day) {
        day.ifPresent(Days::requireCounted);
        return day.orElseGet(today::day);
    }
}
