package dipstick.server.records;

/**
 * The records that are shown fell behind those that are kept, or caught up with them.
 *
 * @param behind whether something is kept and not shown
 */
public record RecordsBehind(boolean behind) {}
