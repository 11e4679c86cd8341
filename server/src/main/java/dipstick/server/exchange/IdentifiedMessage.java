package dipstick.server.exchange;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.util.UUID;
import org.springframework.mail.javamail.JavaMailSender;

/** A message with a number of our own (Message-ID, RFC 5322) in place of the one that is made of this machine's name. */
public final class IdentifiedMessage extends MimeMessage {
    private final String id;

    private IdentifiedMessage(MimeMessage source, String id) {
        super(source.getSession());
        this.id = id;
    }

    /** @param from the address that mail is sent from */
    public static MimeMessage of(JavaMailSender sender, String from) {
        String domain = from.substring(from.lastIndexOf('@') + 1);
        return new IdentifiedMessage(sender.createMimeMessage(), UUID.randomUUID() + "@" + domain);
    }

    @Override
    protected void updateMessageID() throws MessagingException {
        setHeader("Message-ID", "<" + id + ">");
    }
}
