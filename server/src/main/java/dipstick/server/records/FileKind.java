package dipstick.server.records;

/** What a file that is brought in holds. */
enum FileKind {
    PEOPLE,
    EVENTS
}
