package dipstick.server.exchange;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import dipstick.server.practice.PracticeSettings;
import jakarta.annotation.PreDestroy;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.time.Instant;
import java.util.Arrays;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.MailAuthenticationException;
import org.springframework.mail.MailParseException;
import org.springframework.mail.MailSendException;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Service;

/**
 * The mail server: the one that is set up, or in the demo a stand-in that speaks SMTP, delivers nothing and shows what it
 * was sent.
 */
@Service
class MailSending {
    static final String UNREACHABLE =
            "The mail server could not be reached, or did not let us in. Nothing was sent to them; try again later.";

    private static final String REFUSED = "The mail server refused it, so it was not sent.";

    private static final Logger LOG = LoggerFactory.getLogger(MailSending.class);

    private final Optional<GreenMail> standIn;
    private final Optional<JavaMailSender> sender;
    private final String from;

    MailSending(
            PracticeSettings settings,
            ObjectProvider<JavaMailSender> setUp,
            @Value("${dipstick.mail-from:practice@example.org}") String from) {
        this.standIn = settings.demo() ? Optional.of(begin()) : Optional.empty();
        this.sender = standIn.<JavaMailSender>map(MailSending::senderTo)
                .or(() -> Optional.ofNullable(setUp.getIfAvailable()));
        this.from = from;
    }

    /** Something that was sent to the stand-in. */
    record SentMail(String to, String subject, String text, String at) {}

    private static GreenMail begin() {
        ServerSetup anyFreePort = new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP);
        GreenMail server = new GreenMail(anyFreePort);
        server.start();
        return server;
    }

    private static JavaMailSender senderTo(GreenMail server) {
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        sender.setHost("127.0.0.1");
        sender.setPort(server.getSmtp().getPort());
        return sender;
    }

    boolean isReady() {
        return sender.isPresent();
    }

    boolean isStandIn() {
        return standIn.isPresent();
    }

    /** Sends it; gives why not, in a sentence, where the server is not there or does not take it. */
    Optional<String> send(MailMessage message) {
        try {
            JavaMailSender server = sender.orElseThrow();
            server.send(message.mime(server, from));
            return Optional.empty();
        } catch (MessagingException unusable) {
            return Optional.of("The e-mail address cannot be written to.");
        } catch (MailParseException unusable) {
            return Optional.of("The e-mail address cannot be written to.");
        } catch (MailAuthenticationException refused) {
            LOG.warn("The mail server refused the sign-in");
            return Optional.of(UNREACHABLE);
        } catch (MailSendException failed) {
            // There is a cause where there was no connection, and none where this one message was refused.
            Optional<Throwable> noConnection = Optional.ofNullable(failed.getCause());
            noConnection.ifPresent(cause -> LOG.warn("The mail server cannot be reached: {}", cause.getMessage()));
            return Optional.of(noConnection.isPresent() ? UNREACHABLE : REFUSED);
        }
    }

    /** The newest first; nothing where there is no stand-in. */
    List<SentMail> sent() {
        return standIn.stream()
                .flatMap(server -> Arrays.stream(server.getReceivedMessages()))
                .map(MailSending::shown)
                .toList()
                .reversed();
    }

    private static SentMail shown(MimeMessage message) {
        try {
            Date at = message.getSentDate();
            return new SentMail(
                    GreenMailUtil.getAddressList(message.getRecipients(Message.RecipientType.TO)),
                    message.getSubject(),
                    text(message),
                    (at == null ? Instant.EPOCH : at.toInstant()).toString());
        } catch (MessagingException | IOException unreadable) {
            throw new IllegalStateException("A mail that was sent cannot be read", unreadable);
        }
    }

    /** The part that is text. */
    private static String text(Part part) throws MessagingException, IOException {
        if (part.getContent() instanceof Multipart several) {
            for (int i = 0; i < several.getCount(); i++) {
                String text = text(several.getBodyPart(i));
                if (!text.isEmpty()) {
                    return text;
                }
            }
            return "";
        }
        return part.isMimeType("text/plain") ? String.valueOf(part.getContent()) : "";
    }

    @PreDestroy
    void stop() {
        standIn.ifPresent(GreenMail::stop);
    }
}
