package dipstick.server.records;

/** Records were brought in and are committed. */
public record RecordsChanged() {}
