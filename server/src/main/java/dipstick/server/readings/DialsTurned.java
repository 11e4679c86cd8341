package dipstick.server.readings;

/**
 * The dials of a list were turned.
 *
 * @param set the id of its set
 */
record DialsTurned(String set) {}
