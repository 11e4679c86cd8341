package dipstick.server.prompts;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Today;
import dipstick.server.records.OtherNumbers;
import dipstick.server.together.ListsTouched;
import dipstick.server.web.Problems;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Of whom nobody is to be told for a while. Each stays with the number under which it was said, and is found by all numbers
 * of a person, so that it follows who is joined and who is parted.
 */
@Service
class Dismissals {
    /** Longer than that is being excused, which the list shows. */
    private static final int MOST_DAYS = 366;

    private final PromptMapper prompts;
    private final OtherNumbers numbers;
    private final AuditLog audit;
    private final Today today;
    private final ApplicationEventPublisher events;

    Dismissals(
            PromptMapper prompts, OtherNumbers numbers, AuditLog audit, Today today, ApplicationEventPublisher events) {
        this.prompts = prompts;
        this.numbers = numbers;
        this.audit = audit;
        this.today = today;
        this.events = events;
    }

    /** Those of somebody that hold today. */
    List<Dismissal> of(String person) {
        return numbers.allOf(person).stream()
                .flatMap(number -> prompts.dismissalsOf(number).stream())
                .filter(one -> one.holdsOn(today.day()))
                .toList();
    }

    /** @param until the last day on which nobody is told */
    @Transactional
    long dismiss(String set, String person, String reason, LocalDate until, String who) {
        LocalDate day = today.day();
        if (until.isBefore(day) || until.isAfter(day.plusDays(MOST_DAYS))) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "not-a-while",
                    "A while ends between today and a year from now. Nothing was saved; to leave somebody out for longer,"
                            + " excuse them on the list.");
        }
        long id = prompts.insertDismissal(new Dismissal(0, set, person, reason.strip(), day, until, who, false));
        audit.record(who, Act.LIST_WORKED, set + ", no prompt of " + person + " until " + until);
        events.publishEvent(ListsTouched.whole(Set.of(set)));
        return id;
    }

    /** Has colleagues told again. */
    @Transactional
    void end(String set, long id, String who) {
        Dismissal dismissal = prompts.dismissal(set, id)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND, "no-such-dismissal", "This prompt is not dismissed on this list."));
        if (prompts.end(set, id) == 1) {
            audit.record(who, Act.LIST_WORKED, set + ", prompt of " + dismissal.person() + " again");
            events.publishEvent(ListsTouched.whole(Set.of(set)));
        }
    }
}
