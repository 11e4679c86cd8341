package dipstick.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.server.practice.PracticeSettings;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.support.StaticListableBeanFactory;
import org.springframework.mail.MailException;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSender;

class MailSendingTest {
    private static final ObjectProvider<JavaMailSender> NOBODY =
            new StaticListableBeanFactory().getBeanProvider(JavaMailSender.class);

    private static MailSending sending(boolean demo) {
        return new MailSending(new PracticeSettings(Path.of("unused"), "", "", demo), NOBODY, "practice@example.org");
    }

    @Test
    void the_demo_has_a_stand_in_that_shows_what_it_was_sent_and_refuses_when_it_is_gone() {
        MailSending mail = sending(true);
        SimpleMailMessage message = new SimpleMailMessage();
        message.setFrom(mail.from());
        message.setTo("ada@example.org");
        message.setSubject("Please call");
        message.setText("Dear Ada");
        mail.send(message);
        assertThat(mail.sent()).singleElement().satisfies(sent -> {
            assertThat(sent.to()).isEqualTo("ada@example.org");
            assertThat(sent.subject()).isEqualTo("Please call");
            assertThat(sent.text()).contains("Dear Ada");
        });
        mail.stop();
        assertThatThrownBy(() -> mail.send(message)).isInstanceOf(MailException.class);
    }

    @Test
    void elsewhere_there_is_none_until_one_is_set_up() {
        assertThat(sending(false).isReady()).isFalse();
    }
}
