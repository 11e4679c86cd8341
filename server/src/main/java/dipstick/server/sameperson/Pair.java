package dipstick.server.sameperson;

import java.util.List;

/**
 * Two people side by side.
 *
 * @param why what speaks for them being one, in sentences; none where somebody only looks at them so
 * @param fields what is on file of either, in the order of the fields
 */
record Pair(Side one, Side other, List<String> why, List<Beside> fields) {
    /**
     * @param records how many records they have
     * @param lastRecord the day of the latest one in words; empty where there is none with a day
     */
    record Side(String id, String name, int records, String lastRecord) {}

    /** @param agrees whether both are on file and the same, as text is compared */
    record Beside(String field, String one, String other, boolean agrees) {}
}
