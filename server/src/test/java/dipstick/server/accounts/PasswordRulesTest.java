package dipstick.server.accounts;

import dipstick.server.WrittenFile;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PasswordRulesTest {
    /** Written by {@code -Dpasswords.write=true}. */
    @Test
    void pages_say_the_same_length() throws Exception {
        WrittenFile.sameAs(
                "web/src/session/passwords.json", Map.of("shortest", PasswordRules.SHORTEST), "passwords.write");
    }
}
