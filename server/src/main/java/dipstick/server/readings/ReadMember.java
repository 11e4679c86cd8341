package dipstick.server.readings;

/**
 * Somebody on the list, or to check, at a reading; {@code dueOn} and {@code band} are empty where there is none.
 *
 * @param why the sentence that decided it
 */
public record ReadMember(String person, String state, String dueOn, String band, String why) {}
