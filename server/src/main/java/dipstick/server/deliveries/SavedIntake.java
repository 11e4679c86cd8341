package dipstick.server.deliveries;

import java.time.Instant;

/** A version of an intake, as it is kept. */
record SavedIntake(
        String id, int version, String name, String document, boolean retired, Instant changedAt, String changedBy) {}
