package dipstick.region.evaluate;

import java.io.IOException;
import java.io.PrintWriter;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.IntStream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/** {@code ./dipstick region ribbon}: a year before and a year after, by months. */
@Command(
        name = "ribbon",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = "Counts who is eligible, has it and is on the list as of each month from a year before the"
                + " as-of date to a year after it.")
public final class RibbonCommand implements Callable<Integer> {
    private static final int MONTHS = 12;

    private final PrintWriter err;

    @Mixin
    private final Asking asking = new Asking();

    @Mixin
    private final Hiding hiding = new Hiding();

    public RibbonCommand(PrintWriter err) {
        this.err = err;
    }

    @Override
    public Integer call() throws IOException {
        return asking.ask(
                "ribbon",
                RibbonCommand::months,
                (region, question, out) -> RibbonFiles.write(question, region.levels(question), hiding.below(), out),
                err);
    }

    private static List<LocalDate> months(LocalDate asOf) {
        return IntStream.rangeClosed(-MONTHS, MONTHS).mapToObj(asOf::plusMonths).toList();
    }
}
