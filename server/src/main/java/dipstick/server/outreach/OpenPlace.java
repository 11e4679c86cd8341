package dipstick.server.outreach;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A place of somebody on a list on which something is to be done about them.
 *
 * @param name of the list
 * @param toCheck whether the records do not say if they belong on it, at the last reading or now
 * @param due a date, "never", or empty, as at the last reading
 * @param since the day on which they joined
 * @param why the sentence that decides it by the records of now
 * @param keptBack why they are not to be spoken to of it: excused, or held back; nothing where they may be
 * @param inHandOf the colleague who has them in hand; nothing where nobody has, or whoever asks
 * @param revision by which changes that cross each other are told
 */
public record OpenPlace(
        String set,
        String name,
        boolean toCheck,
        String due,
        LocalDate since,
        String why,
        Optional<String> keptBack,
        Optional<String> inHandOf,
        int revision) {}
