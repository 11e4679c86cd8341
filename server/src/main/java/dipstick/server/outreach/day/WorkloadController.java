package dipstick.server.outreach.day;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.practice.Spans;
import dipstick.server.practice.Today;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who has how much to do, and did how much lately. */
@RestController
class WorkloadController {
    private final ActMapper acts;
    private final FollowUps followUps;
    private final Sharing sharing;
    private final Accounts accounts;
    private final Today today;

    WorkloadController(ActMapper acts, FollowUps followUps, Sharing sharing, Accounts accounts, Today today) {
        this.acts = acts;
        this.followUps = followUps;
        this.sharing = sharing;
        this.accounts = accounts;
        this.today = today;
    }

    /** On a list that somebody has people of in hand. */
    record WorkedList(String list, int due, int ahead) {}

    /**
     * @param closed whether the account is closed, so that what it did is of the past
     * @param inHand people
     * @param lists what is due by today, and ahead, of those in hand
     */
    record Load(
            String name,
            boolean closed,
            int inHand,
            int attemptsOfWeek,
            int attemptsOfFourWeeks,
            List<WorkedList> lists) {}

    /** Of everybody who has somebody in hand, or tried to reach somebody in the last four weeks, by name. */
    @GetMapping("/api/workload")
    List<Load> workload() {
        LocalDate day = today.day();
        Map<String, Integer> inHand = byAccount(acts.inHand());
        Map<String, Integer> ofWeek = byAccount(acts.attemptsAfter(day.minusDays(Spans.TRIED)));
        Map<String, Integer> ofFourWeeks = byAccount(acts.attemptsAfter(day.minusDays(Spans.TRIED_LONG)));
        return accounts.all().stream()
                .filter(one -> inHand.containsKey(one.name()) || ofFourWeeks.containsKey(one.name()))
                .map(one -> new Load(
                        one.displayName(),
                        one.closed(),
                        inHand.getOrDefault(one.name(), 0),
                        ofWeek.getOrDefault(one.name(), 0),
                        ofFourWeeks.getOrDefault(one.name(), 0),
                        lists(one, day)))
                .toList();
    }

    private List<WorkedList> lists(Colleague colleague, LocalDate day) {
        Map<String, List<FollowUps.FollowUp>> byList = followUps.of(colleague).stream()
                .collect(Collectors.groupingBy(this::named, TreeMap::new, Collectors.toList()));
        return byList.entrySet().stream()
                .map(list -> {
                    int due = (int) list.getValue().stream()
                            .filter(one -> !one.on().isAfter(day))
                            .count();
                    return new WorkedList(list.getKey(), due, list.getValue().size() - due);
                })
                .toList();
    }

    /** A list that is not shared with whoever asks is there to nobody by its name. */
    private String named(FollowUps.FollowUp one) {
        return sharing.here(one.set()).includes(Right.VIEW) ? one.list() : "lists that are not shared with you";
    }

    private static Map<String, Integer> byAccount(List<ActMapper.CountOf> counts) {
        return counts.stream().collect(Collectors.toMap(ActMapper.CountOf::account, ActMapper.CountOf::number));
    }
}
