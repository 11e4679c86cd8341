package dipstick.server.upkeep;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How backups are taken by themselves.
 *
 * @param folder where they are kept; empty for “backups” in the data folder
 * @param at when, as a cron expression with seconds in the practice's time; “-” for never
 * @param keep how many of them
 */
@ConfigurationProperties("dipstick.backup")
record BackupSettings(String folder, String at, int keep) {}
