package dipstick.server.outreach.log;

import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.plan.Standing;
import java.util.List;

/**
 * What colleagues did about somebody, and on which lists they are.
 *
 * @param acts the newest first
 */
public record PersonLog(List<OnList> lists, List<LoggedAct> acts) {
    /**
     * @param why the sentence that decides it by the records of now
     * @param open whether something is to be done
     */
    record OnList(
            String set, String name, Standing standing, Entry.State state, String due, String why, boolean open) {}

    /**
     * Of a list that whoever asks may not see only attempts are told, without the list and without words: nobody is to be
     * called twice in a morning, and nobody learns that there is such a list.
     *
     * @param list the name of the list on which it was done; empty where whoever asks may not see that list
     * @param mine whether whoever asks did it
     */
    record LoggedAct(
            String batch,
            String list,
            String at,
            String by,
            boolean mine,
            DeskAct.Kind kind,
            String outcome,
            String words,
            boolean undone) {}
}
