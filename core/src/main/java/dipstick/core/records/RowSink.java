package dipstick.core.records;

import java.util.function.Consumer;

/** Takes the rows of a file one after another, good ones as records and bad ones as problems. */
public interface RowSink<T> {
    void record(long line, T row);

    void problem(RowProblem problem);

    /** Hands good rows to one, whatever their line, and bad ones to another. */
    static <T> RowSink<T> of(Consumer<? super T> good, Consumer<RowProblem> bad) {
        return new RowSink<>() {
            @Override
            public void record(long line, T row) {
                good.accept(row);
            }

            @Override
            public void problem(RowProblem problem) {
                bad.accept(problem);
            }
        };
    }
}
