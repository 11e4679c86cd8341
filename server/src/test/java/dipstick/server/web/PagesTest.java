package dipstick.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import java.net.http.HttpResponse;
import java.util.HashSet;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The one page, at each of its addresses. */
class PagesTest {
    private static final Pattern NONCE = Pattern.compile("nonce-([A-Z0-9]+)'");

    @Test
    void each_answer_has_a_word_of_its_own_in_the_page_and_in_its_policy_and_is_not_kept() throws Exception {
        RunningServer server = RunningServer.shared();
        Visitor visitor = server.visitor();
        Set<String> nonces = new HashSet<>();
        for (String address : new String[] {"/", "/lists/kidney", "/index.html", "/"}) {
            HttpResponse<String> page = visitor.follow(server.address().resolve(address));
            String policy = page.headers().firstValue("Content-Security-Policy").orElseThrow();
            Matcher nonce = NONCE.matcher(policy);
            assertThat(nonce.find()).as(policy).isTrue();
            assertThat(page.body()).contains("nonce=\"" + nonce.group(1) + "\"").doesNotContain(PageNonce.PLACE);
            assertThat(policy).doesNotContain("unsafe").contains("object-src 'none'");
            assertThat(page.headers().firstValue("Cache-Control")).contains("no-store");
            nonces.add(nonce.group(1));
        }
        assertThat(nonces).hasSize(4);
        assertThat(visitor.get("/assets/none.js").status()).isEqualTo(404);
        assertThat(visitor.get("/actuator/none").status()).isEqualTo(404);
    }
}
