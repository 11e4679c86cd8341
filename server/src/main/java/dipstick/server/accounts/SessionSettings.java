package dipstick.server.accounts;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How long somebody stays signed in.
 *
 * @param idle without asking for anything
 * @param longest whatever they do
 */
@ConfigurationProperties("dipstick.session")
record SessionSettings(Duration idle, Duration longest) {}
