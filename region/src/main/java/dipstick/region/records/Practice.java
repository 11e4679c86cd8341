package dipstick.region.records;

import java.io.Serializable;

/**
 * A practice whose records are there.
 *
 * @param parts into how many its people are divided
 * @param people how many it has
 * @param events how many records of them, those of people who are not there too
 */
public record Practice(String name, int parts, long people, long events) implements Serializable {}
