package dipstick.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.practice.PracticeSettings;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.support.StaticListableBeanFactory;
import org.springframework.mail.MailSendException;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;

class MailSendingTest {
    private static final LetterTemplate.Letter LETTER = new LetterTemplate.Letter("Please call", "Dear Ada");

    private static MailSending sending(boolean demo, Map<String, JavaMailSender> setUp) {
        StaticListableBeanFactory beans = new StaticListableBeanFactory();
        setUp.forEach(beans::addBean);
        ObjectProvider<JavaMailSender> provider = beans.getBeanProvider(JavaMailSender.class);
        return new MailSending(new PracticeSettings(Path.of("unused"), "", "", demo), provider, "practice@example.org");
    }

    @Test
    void the_demo_has_a_stand_in_that_shows_what_it_was_sent_and_refuses_when_it_is_gone() {
        MailSending mail = sending(true, Map.of());
        assertThat(mail.send("ada@example.org", LETTER)).isEmpty();
        assertThat(mail.sent()).singleElement().satisfies(sent -> {
            assertThat(sent.to()).isEqualTo("ada@example.org");
            assertThat(sent.subject()).isEqualTo("Please call");
            assertThat(sent.text()).contains("Dear Ada");
        });
        assertThat(mail.send("no address at all", LETTER))
                .as("one that nobody can be written to at")
                .hasValueSatisfying(why -> assertThat(why).isNotEqualTo(MailSending.UNREACHABLE));
        mail.stop();
        assertThat(mail.send("ada@example.org", LETTER)).contains(MailSending.UNREACHABLE);
    }

    @Test
    void a_server_that_refuses_one_message_is_still_there_for_the_others() {
        JavaMailSender refusing = new JavaMailSenderImpl() {
            @Override
            public void send(SimpleMailMessage message) {
                throw new MailSendException(Map.of(message, new IllegalArgumentException("550 no such mailbox")));
            }
        };
        assertThat(sending(false, Map.of("mail", refusing)).send("ada@example.org", LETTER))
                .hasValueSatisfying(why -> assertThat(why).startsWith("The mail server refused it"));
    }

    @Test
    void elsewhere_there_is_none_until_one_is_set_up() {
        assertThat(sending(false, Map.of()).isReady()).isFalse();
    }
}
