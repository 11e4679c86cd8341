package dipstick.server.readings;

/** A list was read anew, within the transaction that keeps the reading. */
public record ReadingTaken(TakenReading reading) {}
