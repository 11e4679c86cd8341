package dipstick.server.exchange;

import java.util.List;
import org.springframework.mail.javamail.JavaMailSender;

/** A mail server that sends nothing on and shows what it was given; the demo brings one. */
public interface MailStandIn {
    /** Something that was sent to it; {@code at} is an ISO time. */
    record SentMail(String to, String subject, String text, String at) {}

    JavaMailSender sender();

    /** The newest first. */
    List<SentMail> sent();
}
