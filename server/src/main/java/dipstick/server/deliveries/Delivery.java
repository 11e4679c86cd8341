package dipstick.server.deliveries;

import dipstick.intake.describe.Intake;
import dipstick.intake.propose.Proposal;
import dipstick.server.records.RecordsIn.Brought;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.IntSupplier;

/** One file of another system on its way in. */
final class Delivery {
    private final String id;
    private final String fileName;
    private final Path folder;
    private final Path file;
    private final Instant receivedAt;
    private final AtomicReference<State> state = new AtomicReference<>(new State.Reading());
    private volatile IntSupplier rowsRead = () -> 0;

    Delivery(String id, String fileName, Path folder, Path file, Instant receivedAt) {
        this.id = id;
        this.fileName = fileName;
        this.folder = folder;
        this.file = file;
        this.receivedAt = receivedAt;
    }

    /**
     * What was found out of the file.
     *
     * @param file itself, where it came packed
     * @param name its own, where it came packed
     * @param known whether an intake of the practice reads it
     */
    record Found(Path file, String name, Proposal proposal, boolean known) {
        /** Whether something that only a person can say is not said yet. */
        boolean isOpen(Intake intake) {
            return !known && !proposal.questions().isEmpty() && intake.equals(proposal.intake());
        }
    }

    sealed interface State {
        record Reading() implements State {}

        record Trying(Found found, Intake intake) implements State {}

        record Tried(Found found, Intake intake, Trial trial) implements State {}

        record Taking(Found found, Intake intake, Trial trial) implements State {}

        record Taken(Found found, Intake intake, Trial trial, long delivery, Brought brought, boolean shown)
                implements State {}

        /** The reason says whether anything was changed. */
        record Failed(Optional<Found> found, Optional<Intake> intake, String reason) implements State {}
    }

    String id() {
        return id;
    }

    String fileName() {
        return fileName;
    }

    /** Everything that belongs to it lies here. */
    Path folder() {
        return folder;
    }

    Path file() {
        return file;
    }

    Path problemsFile() {
        return folder.resolve("problems.csv");
    }

    /** Whatever reads it now tells how far it is. */
    void follow(Making making) {
        rowsRead = making::rowsSoFar;
    }

    /** How many of its rows were read in this stage until now. */
    int rowsRead() {
        return rowsRead.getAsInt();
    }

    State state() {
        return state.get();
    }

    void become(State next) {
        state.set(next);
    }

    boolean become(State before, State next) {
        return state.compareAndSet(before, next);
    }

    /** Its size in bytes, as it was sent. */
    long size() {
        return file.toFile().length();
    }

    /** Whether something is being done with it now, or waits to be. */
    boolean isUnderWay() {
        return switch (state()) {
            case State.Reading _, State.Trying _, State.Taking _ -> true;
            case State.Tried _, State.Taken _, State.Failed _ -> false;
        };
    }

    /** Whether nobody did anything with it since then, and nothing is being done with it now. */
    boolean isLeftSince(Instant then) {
        return receivedAt.isBefore(then) && !isUnderWay();
    }
}
