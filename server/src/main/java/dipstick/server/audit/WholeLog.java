package dipstick.server.audit;

/** Who may read all of the log; who only administers learns nothing of who is on which list. */
public interface WholeLog {
    /** Whether whoever asks here may. */
    boolean mayBeReadHere();
}
