package dipstick.server.demo;

import dipstick.server.outreach.Listed;
import dipstick.server.outreach.desk.Desk;
import dipstick.server.outreach.work.LoggedAttempts;
import dipstick.server.practice.Today;
import dipstick.server.readings.ReadMember;
import dipstick.server.readings.Readings;
import java.util.List;
import java.util.Set;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** What the demo's callers did in a week of its past. */
@Component
@ConditionalOnProperty("dipstick.demo")
class DemoCalls {
    private static final long SEED = 411;

    /** As often as they come about. */
    private static final List<String> OUTCOMES = List.of(
            "no-answer",
            "no-answer",
            "no-answer",
            "left-message",
            "left-message",
            "reached",
            "booked",
            "wrong-number",
            "declined",
            "sent-letter",
            "sent-letter");

    /** The next steps at which somebody is tried again. */
    private static final Set<String> TRIED = Set.of("Call", "Send a letter");

    /** The list that each of them works. */
    private record Round(String caller, String list, int share) {}

    private static final List<Round> ROUNDS = List.of(
            new Round("tam", "hearing-check-due", 30),
            new Round("ines", "shingles-vaccination", 32),
            new Round("ines", "bone-density-after-fracture", 12));

    private final Desk desk;
    private final Readings readings;
    private final LoggedAttempts attempts;
    private final Today today;

    DemoCalls(Desk desk, Readings readings, LoggedAttempts attempts, Today today) {
        this.desk = desk;
        this.readings = readings;
        this.attempts = attempts;
        this.today = today;
    }

    /** @param week by which what comes of it is drawn */
    void ofWeek(int week) {
        for (int i = 0; i < ROUNDS.size(); i++) {
            Chance chance = Chance.of(SEED + week, i);
            Round round = ROUNDS.get(i);
            as(round.caller(), () -> calls(round, chance));
        }
    }

    private void calls(Round round, Chance chance) {
        List<String> members = readings.latest(round.list()).map(readings::members).orElse(List.of()).stream()
                .map(ReadMember::person)
                .toList();
        String day = today.day().toString();
        for (Listed one : desk.listed(round.list(), members)) {
            boolean due = one.inTheWay().isEmpty() && one.nextOn().compareTo(day) <= 0;
            boolean theirs = !one.inHand().isEmpty() && TRIED.contains(one.nextStep());
            if (due && (theirs || chance.oneIn(round.share()))) {
                String outcome = chance.of(OUTCOMES);
                attempts.log(round.list(), outcome, one.person().id(), !outcome.equals("sent-letter"));
            }
        }
    }

    private static void as(String caller, Runnable work) {
        SecurityContextHolder.getContext()
                .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                        caller, "", AuthorityUtils.createAuthorityList("ROLE_CALLER")));
        try {
            work.run();
        } finally {
            SecurityContextHolder.clearContext();
        }
    }
}
