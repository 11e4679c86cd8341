package dipstick.server.accounts;

import dipstick.server.WrittenForPages;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PasswordRulesTest {
    /** Written by {@code -Dpasswords.write=true}. */
    @Test
    void pages_say_the_same_length() throws Exception {
        WrittenForPages.sameAs("session/passwords.json", Map.of("shortest", PasswordRules.SHORTEST), "passwords.write");
    }
}
