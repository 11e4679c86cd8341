package dipstick.server.exchange;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
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
import org.springframework.stereotype.Service;

/**
 * The mail server: the one that is set up, or in the demo a stand-in that speaks SMTP, delivers nothing and shows what it
 * was sent.
 */
@Service
public class MailSending {
    public static final String UNREACHABLE =
            "The mail server could not be reached, or did not let us in. Nothing was sent to them; try again later.";

    private static final String REFUSED = "The mail server refused it, so it was not sent.";

    private static final Logger LOG = LoggerFactory.getLogger(MailSending.class);

    private final Optional<MailStandIn> standIn;
    private final Optional<JavaMailSender> sender;
    private final String from;

    MailSending(
            ObjectProvider<MailStandIn> standIn,
            ObjectProvider<JavaMailSender> setUp,
            @Value("${dipstick.mail-from:practice@example.org}") String from) {
        this.standIn = Optional.ofNullable(standIn.getIfAvailable());
        this.sender = this.standIn.map(MailStandIn::sender).or(() -> Optional.ofNullable(setUp.getIfAvailable()));
        this.from = from;
    }

    public boolean isReady() {
        return sender.isPresent();
    }

    boolean isStandIn() {
        return standIn.isPresent();
    }

    /** Something that can be sent. */
    public interface Sendable {
        /** @param from the address that mail is sent from */
        MimeMessage mime(JavaMailSender server, String from) throws MessagingException;
    }

    /** Sends it; gives why not, in a sentence, where the server is not there or does not take it. */
    public Optional<String> send(Sendable message) {
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
    List<MailStandIn.SentMail> sent() {
        return standIn.map(MailStandIn::sent).orElse(List.of());
    }
}
