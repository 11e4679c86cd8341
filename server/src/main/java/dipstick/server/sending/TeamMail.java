package dipstick.server.sending;

import dipstick.server.exchange.IdentifiedMessage;
import dipstick.server.exchange.MailSending;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.web.util.HtmlUtils;

/**
 * An e-mail to a colleague: a few words, tables without contact details, and where to go on.
 *
 * @param to their address
 * @param intro what it is, in a sentence
 * @param link to the list or the sheet
 * @param end who has it sent, and how it stops
 */
record TeamMail(String to, String subject, String intro, List<Table> tables, String link, String end)
        implements MailSending.Sendable {
    TeamMail {
        tables = List.copyOf(tables);
    }

    /** @param title above it; empty for none */
    record Table(String title, List<String> columns, List<List<String>> rows) {
        Table {
            columns = List.copyOf(columns);
            rows = List.copyOf(rows);
        }
    }

    /** As text and as HTML; it says that a program sent it (Auto-Submitted, RFC 3834). */
    @Override
    public MimeMessage mime(JavaMailSender sender, String from) throws MessagingException {
        MimeMessage message = IdentifiedMessage.of(sender, from);
        MimeMessageHelper helper = new MimeMessageHelper(message, true, StandardCharsets.UTF_8.name());
        helper.setFrom(from);
        helper.setTo(to);
        helper.setSubject(subject);
        helper.setText(text(), html());
        message.setHeader("Auto-Submitted", "auto-generated");
        message.setHeader("Content-Language", "en");
        return message;
    }

    String text() {
        StringBuilder text = new StringBuilder(intro).append("\n");
        for (Table table : tables) {
            text.append("\n");
            if (!table.title().isEmpty()) {
                text.append(table.title()).append("\n");
            }
            table.rows()
                    .forEach(row -> text.append("- ")
                            .append(row.stream().filter(cell -> !cell.isEmpty()).collect(Collectors.joining("; ")))
                            .append("\n"));
        }
        return text.append("\n")
                .append(link)
                .append("\n\n")
                .append(end)
                .append("\n")
                .toString();
    }

    private String html() {
        StringBuilder html = new StringBuilder("<!DOCTYPE html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>")
                .append(escaped(subject))
                .append("</title></head><body><p>")
                .append(escaped(intro))
                .append("</p>");
        for (Table table : tables) {
            if (!table.title().isEmpty()) {
                html.append("<h2>").append(escaped(table.title())).append("</h2>");
            }
            html.append("<table border=\"1\" cellspacing=\"0\" cellpadding=\"4\"><thead><tr>")
                    .append(cells(table.columns(), "th"))
                    .append("</tr></thead><tbody>");
            table.rows()
                    .forEach(row -> html.append("<tr>").append(cells(row, "td")).append("</tr>"));
            html.append("</tbody></table>");
        }
        return html.append("<p><a href=\"")
                .append(escaped(link))
                .append("\">Open in Dipstick</a></p><p>")
                .append(escaped(end))
                .append("</p></body></html>")
                .toString();
    }

    private static String cells(List<String> texts, String element) {
        return texts.stream()
                .map(text -> "<" + element + " align=\"left\">" + escaped(text) + "</" + element + ">")
                .collect(Collectors.joining());
    }

    private static String escaped(String text) {
        return HtmlUtils.htmlEscape(text, StandardCharsets.UTF_8.name());
    }
}
