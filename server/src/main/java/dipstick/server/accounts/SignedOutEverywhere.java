package dipstick.server.accounts;

import java.util.Optional;

/**
 * An account was closed, has other rights or another password: whatever was opened with it before ended.
 *
 * @param stays the session in which it was done by its own colleague
 */
public record SignedOutEverywhere(String account, Optional<String> stays) {}
