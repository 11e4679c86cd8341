package dipstick.server.records;

/** What a file that is brought in holds. */
enum FileKind {
    PEOPLE,
    EVENTS,
    /** What another system writes, read by an intake. */
    OTHER
}
