package dipstick.server.outreach.attempts;

/** What can come of attempts is another than it was, and so may be who was reached. */
public record OutcomesOffered() {}
