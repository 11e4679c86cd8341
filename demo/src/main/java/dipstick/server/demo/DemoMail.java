package dipstick.server.demo;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import dipstick.server.exchange.MailStandIn;
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
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Component;

/** A mail server on this machine, by the real protocol (SMTP, RFC 5321), that keeps what it is given in memory. */
@Component
@ConditionalOnProperty("dipstick.demo")
class DemoMail implements MailStandIn {
    private final GreenMail server;
    private final JavaMailSenderImpl sender = new JavaMailSenderImpl();

    DemoMail() {
        server = new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        server.start();
        sender.setHost("127.0.0.1");
        sender.setPort(server.getSmtp().getPort());
    }

    @Override
    public JavaMailSender sender() {
        return sender;
    }

    @Override
    public List<SentMail> sent() {
        return Arrays.stream(server.getReceivedMessages())
                .map(DemoMail::shown)
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
        server.stop();
    }
}
