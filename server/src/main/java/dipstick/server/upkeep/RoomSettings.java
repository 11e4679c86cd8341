package dipstick.server.upkeep;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * How much room there has to be on the disk.
 *
 * @param warn below it every page says so
 * @param least below it nothing more is written
 */
@ConfigurationProperties("dipstick.room")
record RoomSettings(DataSize warn, DataSize least) {}
