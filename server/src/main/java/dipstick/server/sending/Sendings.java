package dipstick.server.sending;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.exchange.MailSending;
import dipstick.server.outreach.ListedNow;
import dipstick.server.practice.Today;
import dipstick.server.sending.Composing.Composed;
import dipstick.server.sending.Sending.What;
import dipstick.server.sending.SendingMapper.SentTo;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import dipstick.server.web.Revision;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sends colleagues what they are to have, each once for each time, and tells why somebody was not sent it. */
@Service
class Sendings {
    private static final Logger LOG = LoggerFactory.getLogger(Sendings.class);

    /** A mail server that was not there is tried again so much later. */
    private static final Duration AGAIN = Duration.ofMinutes(10);

    private static final String ITSELF = "dipstick";

    private final SendingMapper sendings;
    private final Composing composing;
    private final MailSending mail;
    private final ListedNow listed;
    private final CriteriaSets sets;
    private final Sharing sharing;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;

    Sendings(
            SendingMapper sendings,
            Composing composing,
            MailSending mail,
            ListedNow listed,
            CriteriaSets sets,
            Sharing sharing,
            Accounts accounts,
            AuditLog audit,
            Today today) {
        this.sendings = sendings;
        this.composing = composing;
        this.mail = mail;
        this.listed = listed;
        this.sets = sets;
        this.sharing = sharing;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
    }

    List<Sending> all() {
        return sendings.all().stream().map(Sending.Row::sending).toList();
    }

    Optional<Sending> find(String id) {
        return sendings.find(id).map(Sending.Row::sending);
    }

    List<SentTo> sentTo(String sending) {
        return sendings.sentTo(sending);
    }

    /** Saves it; who is sent it from now on is first sent it at the next time. */
    @Transactional
    Sending save(Sending sending, Set<String> colleagues) {
        colleagues.forEach(accounts::open);
        Revision.save(
                sending.revision() == 1,
                () -> sendings.insert(sending.row()),
                () -> sendings.update(sending.row()),
                "what is sent here");
        Instant now = today.now();
        List<SentTo> before = sendings.sentTo(sending.id());
        before.stream()
                .filter(one -> !colleagues.contains(one.account()))
                .forEach(one -> sendings.leaveOut(sending.id(), one.account()));
        for (String colleague : colleagues) {
            long mark = before.stream()
                    .filter(one -> one.account().equals(colleague))
                    .map(SentTo::mark)
                    .findFirst()
                    .orElseGet(listed::mark);
            sendings.keep(new SentTo(sending.id(), colleague, now, Instant.EPOCH, mark, ""));
        }
        audit.record(
                Act.LIST_CHANGED,
                sending.setId() + ", " + words(sending.what()) + " is sent to "
                        + colleagues.stream().sorted().collect(Collectors.joining(", ")));
        return sending;
    }

    @Transactional
    void remove(Sending sending) {
        sendings.leaveAllOut(sending.id());
        sendings.delete(sending.id());
        audit.record(Act.LIST_CHANGED, sending.setId() + ", " + words(sending.what()) + " is sent no more");
    }

    /** Sends all of which the time has come; where the mail server is gone, it is not waited for again and again. */
    void sendDue() {
        Instant now = today.now();
        boolean gone = false;
        for (Sending sending : all()) {
            Optional<Instant> due = sending.schedule().latestDue(now, today.zone());
            for (SentTo to : due.isPresent() ? sentTo(sending.id()) : List.<SentTo>of()) {
                boolean isDue = to.dueAt().isBefore(due.get())
                        && !to.triedAt().plus(AGAIN).isAfter(now);
                if (isDue && gone) {
                    again(to, MailSending.UNREACHABLE);
                } else if (isDue) {
                    gone = send(sending, to, due.get())
                            .filter(MailSending.UNREACHABLE::equals)
                            .isPresent();
                }
            }
        }
    }

    /** Gives why the mail server did not take it; it is tried again. */
    private Optional<String> send(Sending sending, SentTo to, Instant due) {
        // Whoever comes to be on a list while this is written is told of the next time.
        long mark = listed.mark();
        try {
            Optional<String> why = notFor(sending.setId(), to.account());
            if (why.isPresent()) {
                done(to, due, to.mark(), why.get());
                return Optional.empty();
            }
            Composed composed = composing.compose(
                    sending.setId(), sending.what(), accounts.colleague(to.account()), sending.account(), to.mark());
            if (sending.onlyNew() && !composed.hasNew()) {
                done(to, due, mark, "");
                return Optional.empty();
            }
            Optional<String> failed = mail.send(composed.mail());
            if (failed.isPresent()) {
                again(to, failed.get());
            } else {
                audited(ITSELF, sending.setId(), sending.what(), to.account(), composed.people());
                done(to, due, mark, "");
            }
            return failed;
        } catch (RuntimeException broken) {
            // Of one colleague; the others are sent theirs.
            LOG.error("What is sent to {} could not be written", to.account(), broken);
            again(to, "It could not be written; the server's log says why.");
            return Optional.empty();
        }
    }

    private void again(SentTo to, String problem) {
        sendings.keep(new SentTo(to.sending(), to.account(), to.dueAt(), today.now(), to.mark(), problem));
    }

    private void done(SentTo to, Instant due, long mark, String problem) {
        sendings.keep(new SentTo(to.sending(), to.account(), due, today.now(), mark, problem));
    }

    /** Why somebody is not sent a list, in a sentence. */
    private Optional<String> notFor(String set, String account) {
        Colleague colleague = accounts.colleague(account);
        if (colleague.closed()) {
            return Optional.of("The account is closed.");
        }
        if (accounts.emailOf(account).isEmpty()) {
            return Optional.of("Has no e-mail address here; an administrator adds it to the account.");
        }
        if (!set.isEmpty() && !sharing.of(colleague, set).includes(Right.VIEW)) {
            return Optional.of("The list is not shared with them.");
        }
        if (!set.isEmpty() && sets.inForce().stream().noneMatch(one -> one.id().equals(set))) {
            return Optional.of("The list is out of use.");
        }
        return mail.isReady() ? Optional.empty() : Optional.of("No mail server is set up here (spring.mail.host).");
    }

    /** @param text as it was sent */
    record SentNow(String to, String subject, String text, int people) {}

    /** Sends something to whoever is signed in, to see what it is like; what they are sent by itself stays as it is. */
    SentNow now(String set, What what) {
        Colleague here = accounts.here();
        notFor(set, here.name()).ifPresent(why -> {
            throw Problems.refused(HttpStatus.CONFLICT, "cannot-be-sent", "Nothing was sent to you. " + why);
        });
        long weekAgo = what == What.NEW ? sinceAWeek() : 0;
        Composed composed = composing.compose(set, what, here, here.name(), weekAgo);
        mail.send(composed.mail()).ifPresent(why -> {
            throw Problems.refused(HttpStatus.BAD_GATEWAY, "not-sent", why);
        });
        audited(here.name(), set, what, here.name(), composed.people());
        return new SentNow(
                composed.mail().to(), composed.mail().subject(), composed.mail().text(), composed.people());
    }

    private long sinceAWeek() {
        return listed.markAt(today.now().minus(Duration.ofDays(7)));
    }

    private void audited(String by, String set, What what, String to, int people) {
        audit.record(
                by,
                Act.LIST_EXPORTED,
                (set.isEmpty() ? "all lists" : set) + ", " + words(what) + " by e-mail to " + to + ", " + people
                        + (people == 1 ? " person" : " people"));
    }

    private static String words(What what) {
        return switch (what) {
            case LIST -> "the list";
            case NEW -> "what is new";
            case MORNING -> "the morning sheet";
        };
    }
}
