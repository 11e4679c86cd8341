package dipstick.server.rosters;

import dipstick.server.criteria.CriteriaChanges;
import dipstick.server.criteria.ListsOutdated;
import dipstick.server.practice.Today;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Has rosters, and rows of them, end when their last day is over; also while the server was stopped. */
@Component
class RosterEnds {
    private final Rosters rosters;
    private final Today today;
    private final ApplicationEventPublisher events;
    private LocalDate lookedOn = LocalDate.MIN;

    RosterEnds(Rosters rosters, Today today, ApplicationEventPublisher events) {
        this.rosters = rosters;
        this.today = today;
        this.events = events;
    }

    @EventListener(ApplicationStartedEvent.class)
    @Scheduled(fixedDelayString = "PT20S", initialDelayString = "PT20S")
    synchronized void look() {
        LocalDate day = today.day();
        if (day.equals(lookedOn)) {
            return;
        }
        List<CriteriaChanges.Rewritten> rewritten = rosters.end();
        if (!rewritten.isEmpty()) {
            events.publishEvent(new ListsOutdated(
                    rewritten.stream().map(CriteriaChanges.Rewritten::id).collect(Collectors.toSet())));
        }
        lookedOn = day;
    }
}
