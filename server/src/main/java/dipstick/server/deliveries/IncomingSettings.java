package dipstick.server.deliveries;

import dipstick.server.practice.PracticeSettings;
import java.nio.file.Path;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * The folder into which other systems put their files.
 *
 * @param folder empty for {@code incoming} in the data folder
 * @param every how often it is looked at; a file that did not grow from one look to the next is whole
 */
@ConfigurationProperties("dipstick.incoming")
record IncomingSettings(String folder, Duration every) {
    Path in(PracticeSettings practice) {
        return folder.isBlank() ? practice.data().resolve("incoming") : Path.of(folder);
    }
}
