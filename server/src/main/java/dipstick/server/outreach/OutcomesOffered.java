package dipstick.server.outreach;

/** What can come of attempts is another than it was, and so may be who was reached. */
record OutcomesOffered() {}
