package dipstick.server.readings;

import java.time.LocalDate;

/** How a list, or a part of it, stood at a reading. */
public record LevelAt(LocalDate asOf, int eligible, int has, int onList, int toCheck) {}
