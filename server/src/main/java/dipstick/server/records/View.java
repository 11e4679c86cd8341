package dipstick.server.records;

import dipstick.core.population.Population;
import java.time.Instant;

/**
 * The records as evaluations see them: immutable, and kept by each evaluation from its start to its end.
 *
 * @param version counts the views since the server started
 * @param eventsOfUnknownPeople records that wait for their people
 */
public record View(long version, Population population, int eventsOfUnknownPeople, Instant builtAt) {}
