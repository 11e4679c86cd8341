package dipstick.core.records;

/** A file of which no row can be trusted: not delimited text, without a header, or broken off inside quotes. */
public final class UnreadableFile extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient RowProblem problem;

    public UnreadableFile(long line, String reason) {
        super(reason);
        this.problem = new RowProblem(line, "", reason);
    }

    public RowProblem problem() {
        return problem;
    }
}
