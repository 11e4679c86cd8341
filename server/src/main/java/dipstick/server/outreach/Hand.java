package dipstick.server.outreach;

import java.time.Instant;

/** Somebody whom a colleague has in hand, on whichever lists they are. */
record Hand(String person, String account, Instant since) {}
