package dipstick.server.outreach.entries;

import dipstick.server.outreach.plan.Effect;

/**
 * What can come of an attempt to reach somebody.
 *
 * @param id which is also the code of the contact record
 * @param place in the order in which they are offered; the first nine have the digits as keys
 * @param inUse whether it is still offered
 */
public record AttemptOutcome(String id, String name, Effect effect, int place, boolean inUse) {}
