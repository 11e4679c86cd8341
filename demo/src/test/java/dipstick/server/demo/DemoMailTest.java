package dipstick.server.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.springframework.mail.MailSendException;
import org.springframework.mail.SimpleMailMessage;

class DemoMailTest {
    private static SimpleMailMessage to(String address) {
        SimpleMailMessage message = new SimpleMailMessage();
        message.setFrom("practice@example.org");
        message.setTo(address);
        message.setSubject("Please call");
        message.setText("Dear Ada");
        return message;
    }

    @Test
    void it_shows_what_it_was_sent_and_nothing_goes_to_it_once_it_is_gone() {
        DemoMail mail = new DemoMail();
        mail.sender().send(to("ada@example.org"), to("bo@example.org"));
        assertThat(mail.sent()).hasSize(2).anySatisfy(sent -> {
            assertThat(sent.to()).isEqualTo("ada@example.org");
            assertThat(sent.subject()).isEqualTo("Please call");
            assertThat(sent.text()).contains("Dear Ada");
        });
        mail.stop();
        assertThatThrownBy(() -> mail.sender().send(to("ada@example.org"))).isInstanceOf(MailSendException.class);
    }
}
