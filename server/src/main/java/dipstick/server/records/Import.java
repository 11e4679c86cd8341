package dipstick.server.records;

import java.nio.file.Path;
import java.time.Instant;
import java.util.concurrent.atomic.AtomicReference;

/** One file on its way in: uploaded, read through, then taken or left. */
final class Import {
    private final String id;
    private final FileKind kind;
    private final String fileName;
    private final long bytes;
    private final Path file;
    private final Instant receivedAt;
    private final AtomicReference<State> state = new AtomicReference<>(new State.Checking(0));

    Import(String id, FileKind kind, String fileName, long bytes, Path file, Instant receivedAt) {
        this.id = id;
        this.kind = kind;
        this.fileName = fileName;
        this.bytes = bytes;
        this.file = file;
        this.receivedAt = receivedAt;
    }

    /** Where the file is on its way; sizes are in bytes of the file. */
    sealed interface State {
        record Checking(long read) implements State {}

        record Checked(FileCheck check) implements State {}

        record Taking(FileCheck check, long read) implements State {}

        /** @param shown whether the view shows them; else it is being tried again */
        record Taken(FileCheck check, Changes changes, int unknownPeople, boolean shown) implements State {}

        /** The reason says whether anything was changed. */
        record Failed(String reason) implements State {}
    }

    String id() {
        return id;
    }

    FileKind kind() {
        return kind;
    }

    String fileName() {
        return fileName;
    }

    long bytes() {
        return bytes;
    }

    Path file() {
        return file;
    }

    /** Whether nobody did anything with it since then, and nothing is being done with it now. */
    boolean isLeftSince(Instant then) {
        return receivedAt.isBefore(then)
                && switch (state()) {
                    case State.Checking _, State.Taking _ -> false;
                    case State.Checked _, State.Taken _, State.Failed _ -> true;
                };
    }

    Path problemsFile() {
        return file.resolveSibling(file.getFileName() + ".problems.csv");
    }

    State state() {
        return state.get();
    }

    void become(State next) {
        state.set(next);
    }

    /**
     * Goes from checked to taking; nothing where it is not checked, or is being taken already.
     *
     * @param everybody whether whoever is not in it goes off file: only where there is somebody in it and every line could
     *     be read, so that nobody goes for a slip of the pen
     */
    boolean startTaking(boolean everybody) {
        return state.get() instanceof State.Checked checked
                && !checked.check().unreadable()
                && (!everybody || mayBeEverybody(checked.check()))
                && state.compareAndSet(checked, new State.Taking(checked.check(), 0));
    }

    private boolean mayBeEverybody(FileCheck check) {
        return kind == FileKind.PEOPLE && check.badLines() == 0 && check.goodRows() > 0;
    }
}
