package dipstick.server.exchange;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.exchange.Letters.LeftOut;
import dipstick.server.exchange.WrittenTo.What;
import dipstick.server.outreach.desk.Desk;
import dipstick.server.outreach.work.LoggedAttempts;
import dipstick.server.paper.Letterhead;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Sends e-mail to people of a list (SMTP, RFC 5321). */
@RestController
class MailController {
    private final MailSending mail;
    private final Letters letters;
    private final LoggedAttempts attempts;
    private final Desk desk;
    private final CriteriaSets sets;
    private final Views views;
    private final Sharing sharing;
    private final Letterheads letterheads;
    private final WrittenTo writtenTo;
    private final AuditLog audit;

    MailController(
            MailSending mail,
            Letters letters,
            LoggedAttempts attempts,
            Desk desk,
            CriteriaSets sets,
            Views views,
            Sharing sharing,
            Letterheads letterheads,
            WrittenTo writtenTo,
            AuditLog audit) {
        this.mail = mail;
        this.letters = letters;
        this.attempts = attempts;
        this.desk = desk;
        this.sets = sets;
        this.views = views;
        this.sharing = sharing;
        this.letterheads = letterheads;
        this.writtenTo = writtenTo;
        this.audit = audit;
    }

    record Mailing(
            @NotEmpty @Size(max = 2000) List<String> people,
            @NotBlank @Size(max = 100) String template,
            @NotBlank @Size(max = 400) String reason,
            Optional<Boolean> again,
            Optional<Boolean> toCheck) {}

    /**
     * @param sent the people to whom it went
     * @param leftOut those to whom nothing went, each with why
     * @param notLogged those to whom it went though it could not be logged as an attempt, each with why
     */
    record Mailed(List<String> sent, List<LeftOut> leftOut, List<LeftOut> notLogged) {}

    /** Whether mail can be sent, and whether it goes to the demo's stand-in, which shows it. */
    record MailState(boolean ready, boolean standIn) {}

    @GetMapping("/api/mail")
    MailState state() {
        return new MailState(mail.isReady(), mail.isStandIn());
    }

    /** What the demo's stand-in was sent, the newest first. */
    @GetMapping("/api/mail/sent")
    List<MailStandIn.SentMail> sent() {
        return mail.sent();
    }

    @PostMapping("/api/lists/{set}/out/mail")
    Mailed send(@PathVariable String set, @Valid @RequestBody Mailing mailing) {
        sharing.require(set, mailing.toCheck().orElse(false) ? Right.CHANGE : Right.WORK);
        if (!mail.isReady()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "no-mail-server",
                    "No mail server is set up here (spring.mail.host), so nothing was sent.");
        }
        Letters.Run run = letters.write(new Letters.Order(
                mailing.template(),
                What.EMAIL,
                sets.getInForce(set).id(),
                desk.listed(set, mailing.people()),
                views.current().population(),
                mailing.again().orElse(false),
                mailing.toCheck().orElse(false)));
        Mailed mailed = send(set, mailing.template(), run);
        audit.record(
                Act.LIST_EXPORTED,
                set + " as e-mail from " + letterheads.current().practice() + " to " + String.join(", ", mailed.sent())
                        + "; " + mailing.reason().strip());
        return mailed;
    }

    /** Sends to one after another, and logs each as soon as it is sent; when the server is gone, the others are left. */
    private Mailed send(String set, String template, Letters.Run run) {
        List<LeftOut> leftOut = new ArrayList<>(run.leftOut());
        List<LeftOut> notLogged = new ArrayList<>();
        List<String> sent = new ArrayList<>();
        Optional<String> gone = Optional.empty();
        for (Letters.Written one : run.written()) {
            String person = one.person().person().id();
            String name = one.person().person().name();
            Optional<String> refused = gone.isPresent() ? gone : mail.send(message(one));
            if (refused.isPresent()) {
                leftOut.add(new LeftOut(person, name, refused.get()));
                gone = refused.filter(MailSending.UNREACHABLE::equals);
            } else {
                sent.add(person);
                writtenTo.record(set, What.EMAIL, template, List.of(person));
                attempts.log(set, LoggedAttempts.SENT_EMAIL, person, false)
                        .ifPresent(why -> notLogged.add(new LeftOut(person, name, why)));
            }
        }
        return new Mailed(sent, leftOut, notLogged);
    }

    private MailMessage message(Letters.Written one) {
        Letterhead head = letterheads.current();
        return new MailMessage(
                one.to().getFirst(), one.language(), one.letter(), head.practice(), head.email(), head.signedBy());
    }
}
