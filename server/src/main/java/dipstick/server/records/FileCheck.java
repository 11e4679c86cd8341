package dipstick.server.records;

import dipstick.core.records.RowProblem;
import java.util.List;

/**
 * What reading a file through showed, before anything is taken.
 *
 * @param goodRows that can be taken
 * @param badLines lines with at least one problem
 * @param firstProblems the first of them; the whole of them is in the problems file
 * @param unreadable whether the file as a whole cannot be taken
 * @param absent people on file whom a file of people does not name
 * @param erased rows of people who were erased here, which are left out
 */
record FileCheck(
        int goodRows, int badLines, List<RowProblem> firstProblems, boolean unreadable, int absent, int erased) {}
