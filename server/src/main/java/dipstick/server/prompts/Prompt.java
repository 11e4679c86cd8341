package dipstick.server.prompts;

import java.time.LocalDate;

/**
 * That something is due of somebody, for whoever has them before them.
 *
 * @param list the name of the list
 * @param say what may be said to them; empty where the coordinator wrote nothing
 * @param why the sentence that decides it by the records of now
 * @param due a date, "never", or empty
 * @param since the day on which they joined the list
 */
public record Prompt(String set, String list, String say, String why, String due, LocalDate since) {}
