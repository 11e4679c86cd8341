package dipstick.server.outreach.plan;

/** Where somebody stands by a reading: on the list, to check, or off it. */
public enum Standing {
    ON,
    CHECK,
    OFF
}
