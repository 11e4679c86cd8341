package dipstick.server.outreach.entries;

import java.time.Instant;

/** Somebody whom a colleague has in hand, on whichever lists they are. */
public record Hand(String person, String account, Instant since) {}
