package dipstick.server.accounts;

/** Somebody signed out, was signed out, or was idle for too long. */
public record SessionEnded(String session) {}
