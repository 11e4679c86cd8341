package dipstick.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.support.StaticListableBeanFactory;
import org.springframework.mail.MailSendException;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;

class MailSendingTest {
    private static final LetterTemplate.Letter LETTER = new LetterTemplate.Letter("Please call", "Dear Ada");

    private static MailMessage to(String address) {
        return new MailMessage(address, "en", LETTER, "Otterbrook, the Practice", "desk@example.org", "The desk");
    }

    private static MailSending sending(Map<String, JavaMailSender> setUp) {
        StaticListableBeanFactory beans = new StaticListableBeanFactory();
        setUp.forEach(beans::addBean);
        ObjectProvider<JavaMailSender> provider = beans.getBeanProvider(JavaMailSender.class);
        return new MailSending(beans.getBeanProvider(MailStandIn.class), provider, "practice@example.org");
    }

    @Test
    void where_no_server_is_told_of_nothing_can_be_sent_and_nothing_is_a_stand_in() {
        MailSending mail = sending(Map.of());
        assertThat(mail.isReady()).isFalse();
        assertThat(mail.isStandIn()).isFalse();
        assertThat(mail.sent()).isEmpty();
    }

    @Test
    void a_server_that_refuses_one_message_is_still_there_for_the_others() {
        JavaMailSender refusing = new JavaMailSenderImpl() {
            @Override
            public void send(MimeMessage message) {
                throw new MailSendException(Map.of(message, new IllegalArgumentException("550 no such mailbox")));
            }
        };
        assertThat(sending(Map.of("mail", refusing)).send(to("ada@example.org")))
                .hasValueSatisfying(why -> assertThat(why).startsWith("The mail server refused it"));
    }

    @Test
    void a_mail_is_from_the_practice_answered_to_it_and_can_be_declined_through_it() throws Exception {
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        LetterTemplate.Letter letter =
                new LetterTemplate.Letter("Please <call>", "Dear Ada & Bo,\n\nline one\nline two");
        MimeMessage message = new MailMessage(
                        "ada@example.org", "en", letter, "Otterbrook", "desk@example.org", "The desk")
                .mime(sender, "noreply@practice.example.org");
        message.saveChanges();
        assertThat(message.getFrom()[0].toString()).isEqualTo("Otterbrook <noreply@practice.example.org>");
        assertThat(message.getReplyTo()[0].toString()).isEqualTo("Otterbrook <desk@example.org>");
        assertThat(message.getHeader("Auto-Submitted")).containsExactly("auto-generated");
        assertThat(message.getHeader("List-Unsubscribe"))
                .containsExactly("<mailto:desk@example.org?subject=Please%20do%20not%20write%20to%20me>");
        assertThat(message.getMessageID()).endsWith("@practice.example.org>");
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        message.writeTo(whole);
        assertThat(whole.toString(StandardCharsets.UTF_8))
                .contains("text/plain", "text/html", "Dear Ada &amp; Bo,", "line one<br>line two", "The desk")
                .doesNotContain("<title>Please <call>");
    }

    @Test
    void elsewhere_there_is_none_until_one_is_set_up() {
        assertThat(sending(Map.of()).isReady()).isFalse();
    }
}
