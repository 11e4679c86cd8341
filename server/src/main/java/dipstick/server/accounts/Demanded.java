package dipstick.server.accounts;

/** What is asked of a role besides a password; the later is more. */
enum Demanded {
    NOTHING,
    /** A code, or a passkey in place of the password. */
    EITHER,
    PASSKEY
}
