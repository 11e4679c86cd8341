package dipstick.server.sidebyside;

/** Where a list of things comes from. */
enum SideKind {
    FILE,
    ROSTER,
    LIST,
    /** Everybody on file. */
    PEOPLE
}
