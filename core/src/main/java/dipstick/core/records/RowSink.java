package dipstick.core.records;

/** Takes the rows of a file one after another, good ones as records and bad ones as problems. */
public interface RowSink<T> {
    void record(long line, T row);

    void problem(RowProblem problem);
}
