package dipstick.server.exchange;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.UnsupportedEncodingException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.web.util.HtmlUtils;

/**
 * An e-mail to somebody, from the practice and to be answered to it.
 *
 * @param practice its name
 * @param replyTo the practice's own address; empty where answers go to the sender's
 * @param signedBy the lines under it
 */
record MailMessage(
        String to, String language, LetterTemplate.Letter letter, String practice, String replyTo, String signedBy)
        implements MailSending.Sendable {
    private static final String UNSUBSCRIBE = "Please do not write to me";

    /**
     * As text and as HTML. It says that it was made by a program (Auto-Submitted, RFC 3834), and how to be written to no
     * more (List-Unsubscribe, RFC 2369): through the practice, who notes it on file.
     *
     * @param from the address that mail is sent from
     */
    @Override
    public MimeMessage mime(JavaMailSender sender, String from) throws MessagingException {
        MimeMessage message = IdentifiedMessage.of(sender, from);
        MimeMessageHelper helper = new MimeMessageHelper(message, true, StandardCharsets.UTF_8.name());
        helper.setFrom(named(from));
        if (!replyTo.isBlank()) {
            helper.setReplyTo(named(replyTo));
        }
        helper.setTo(to);
        helper.setSubject(letter.subject());
        helper.setText(text(), html());
        message.setHeader("Auto-Submitted", "auto-generated");
        message.setHeader("Content-Language", language);
        message.setHeader(
                "List-Unsubscribe",
                "<mailto:" + (replyTo.isBlank() ? from : replyTo) + "?subject="
                        + URLEncoder.encode(UNSUBSCRIBE, StandardCharsets.UTF_8).replace("+", "%20") + ">");
        return message;
    }

    private InternetAddress named(String address) throws MessagingException {
        try {
            return practice.isBlank()
                    ? new InternetAddress(address)
                    : new InternetAddress(address, practice, StandardCharsets.UTF_8.name());
        } catch (UnsupportedEncodingException missing) {
            throw new IllegalStateException("Every Java platform has UTF-8", missing);
        }
    }

    private String text() {
        return letter.body().strip() + (signedBy.isBlank() ? "" : "\n\n" + signedBy.strip()) + "\n";
    }

    private String html() {
        String paragraphs = HtmlUtils.htmlEscape(text().strip(), StandardCharsets.UTF_8.name())
                .replaceAll("\n\\s*\n", "</p><p>")
                .replace("\n", "<br>");
        return "<!DOCTYPE html><html lang=\"" + HtmlUtils.htmlEscape(language)
                + "\" dir=\"auto\"><head><meta charset=\"utf-8\"><title>"
                + HtmlUtils.htmlEscape(letter.subject(), StandardCharsets.UTF_8.name())
                + "</title></head><body><p>" + paragraphs + "</p></body></html>";
    }
}
