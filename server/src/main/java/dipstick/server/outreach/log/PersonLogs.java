package dipstick.server.outreach.log;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.Reasons;
import dipstick.server.outreach.attempts.Outcomes;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.AttemptOutcome;
import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.log.PersonLog.LoggedAct;
import dipstick.server.outreach.log.PersonLog.OnList;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Reads what was done about one person, as far as whoever is signed in may know it. */
@Service
public class PersonLogs {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final Outcomes outcomes;
    private final Reasons reasons;
    private final CriteriaSets sets;
    private final Sharing sharing;
    private final Accounts accounts;

    PersonLogs(
            EntryMapper entries,
            ActMapper acts,
            Outcomes outcomes,
            Reasons reasons,
            CriteriaSets sets,
            Sharing sharing,
            Accounts accounts) {
        this.entries = entries;
        this.acts = acts;
        this.outcomes = outcomes;
        this.reasons = reasons;
        this.sets = sets;
        this.sharing = sharing;
        this.accounts = accounts;
    }

    public PersonLog of(String person) {
        Map<String, SavedSet> seen = sets.inForce().stream()
                .filter(set -> sharing.here(set.id()).includes(Right.VIEW))
                .collect(Collectors.toMap(SavedSet::id, Function.identity()));
        List<OnList> lists = entries.ofPerson(person).stream()
                .filter(entry -> seen.containsKey(entry.setId()))
                .map(entry -> new OnList(
                        entry.setId(),
                        seen.get(entry.setId()).publishedName(),
                        entry.standing(),
                        entry.state(),
                        entry.dueOn(),
                        reasons.why(seen.get(entry.setId()), person),
                        entry.isOpen()))
                .toList();
        Map<String, AttemptOutcome> known = outcomes.byId();
        Colleague who = accounts.here();
        List<LoggedAct> log = acts.ofPerson(person).stream()
                .filter(act -> seen.containsKey(act.setId()) || act.kind().isContact())
                .map(act -> logged(act, Optional.ofNullable(seen.get(act.setId())), known, who))
                .toList();
        return new PersonLog(lists, log);
    }

    private LoggedAct logged(DeskAct act, Optional<SavedSet> list, Map<String, AttemptOutcome> known, Colleague who) {
        return new LoggedAct(
                act.batch(),
                list.map(SavedSet::publishedName).orElse(""),
                act.at().toString(),
                act.account().isEmpty() ? "" : accounts.displayName(act.account()),
                act.account().equals(who.name()),
                act.kind(),
                Optional.ofNullable(known.get(act.outcome()))
                        .map(AttemptOutcome::name)
                        .orElse(""),
                list.isPresent() ? act.words() : "",
                act.undone());
    }
}
