package dipstick.server.privacy;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How long what is not needed any more is kept, in days; 0 for ever.
 *
 * @param offFileDays after somebody went off file, until they are erased
 * @param importLogDays after a file was brought in, until what is said of it goes
 */
@ConfigurationProperties("dipstick.retention")
record RetentionSettings(int offFileDays, int importLogDays) {}
