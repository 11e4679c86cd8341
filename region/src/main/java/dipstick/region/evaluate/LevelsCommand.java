package dipstick.region.evaluate;

import java.io.IOException;
import java.io.PrintWriter;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/** {@code ./dipstick region levels}: only counts. */
@Command(
        name = "levels",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = "Counts the levels of each practice and of all together; names nobody.")
public final class LevelsCommand implements Callable<Integer> {
    private final PrintWriter err;

    @Mixin
    private final Asking asking = new Asking();

    @Mixin
    private final Hiding hiding = new Hiding();

    public LevelsCommand(PrintWriter err) {
        this.err = err;
    }

    @Override
    public Integer call() throws IOException {
        return asking.ask(
                "levels",
                List::of,
                (region, question, out) -> LevelFiles.write(question, region.levels(question), hiding.below(), out),
                err);
    }
}
