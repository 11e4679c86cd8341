package dipstick.server.exchange;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.exchange.Letters.LeftOut;
import dipstick.server.exchange.Letters.Way;
import dipstick.server.outreach.Desk;
import dipstick.server.practice.PracticeSettings;
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
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.mail.MailException;
import org.springframework.mail.SimpleMailMessage;
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
    private final Desk desk;
    private final CriteriaSets sets;
    private final Views views;
    private final Sharing sharing;
    private final PracticeSettings practice;
    private final AuditLog audit;

    MailController(
            MailSending mail,
            Letters letters,
            Desk desk,
            CriteriaSets sets,
            Views views,
            Sharing sharing,
            PracticeSettings practice,
            AuditLog audit) {
        this.mail = mail;
        this.letters = letters;
        this.desk = desk;
        this.sets = sets;
        this.views = views;
        this.sharing = sharing;
        this.practice = practice;
        this.audit = audit;
    }

    record Mailing(
            @NotEmpty @Size(max = 2000) List<String> people,
            @NotBlank @Size(max = 100) String template,
            @NotBlank @Size(max = 400) String reason) {}

    /** @param sent the people to whom it went; nothing went to those who were left out */
    record Mailed(List<String> sent, List<LeftOut> leftOut) {}

    /** Whether mail can be sent, and whether it goes to the demo's stand-in, which shows it. */
    record MailState(boolean ready, boolean standIn) {}

    @GetMapping("/api/mail")
    MailState state() {
        return new MailState(mail.isReady(), mail.isStandIn());
    }

    /** What the demo's stand-in was sent, the newest first. */
    @GetMapping("/api/mail/sent")
    List<MailSending.SentMail> sent() {
        return mail.sent();
    }

    @PostMapping("/api/lists/{set}/out/mail")
    Mailed send(@PathVariable String set, @Valid @RequestBody Mailing mailing) {
        sharing.require(set, Right.WORK);
        if (!mail.isReady()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "no-mail-server",
                    "No mail server is set up here (spring.mail.host), so nothing was sent.");
        }
        Letters.Run run = letters.write(
                mailing.template(),
                Way.EMAIL,
                sets.getInForce(set).publishedName(),
                desk.listed(set, mailing.people()),
                views.current().population());
        List<LeftOut> leftOut = new ArrayList<>(run.leftOut());
        List<String> sent = new ArrayList<>();
        for (Letters.Written one : run.written()) {
            SimpleMailMessage message = new SimpleMailMessage();
            message.setFrom(mail.from());
            message.setTo(one.to());
            message.setSubject(one.letter().subject());
            message.setText(one.letter().body());
            try {
                mail.send(message);
                sent.add(one.person());
            } catch (MailException refused) {
                leftOut.add(new LeftOut(
                        one.person(),
                        one.person(),
                        "The mail server refused it, so it was not sent. Try again later."));
            }
        }
        audit.record(
                Act.LIST_EXPORTED,
                set + " as e-mail from " + practice.practice() + " to "
                        + sent.stream().collect(Collectors.joining(", ")) + "; "
                        + mailing.reason().strip());
        return new Mailed(sent, leftOut);
    }
}
