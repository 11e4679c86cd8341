package dipstick.server.practice;

import java.nio.file.Path;
import java.time.ZoneId;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * The settings that the server is started with.
 *
 * @param data the folder in which everything is kept
 * @param zone the practice's time zone; empty for this machine's
 * @param practice the practice's name; may be empty
 * @param proxies a pattern of the addresses of the proxies whose word on who asks is taken; empty where nobody's is
 * @param dayFirst whether 3/2/1950 is the third of February here, rather than the second of March
 * @param demo whether this is the demo, with its invented practice and its accounts
 */
@ConfigurationProperties("dipstick")
public record PracticeSettings(
        Path data, String zone, String practice, String proxies, boolean dayFirst, boolean demo) {
    public ZoneId zoneId() {
        return zone.isBlank() ? ZoneId.systemDefault() : ZoneId.of(zone);
    }
}
