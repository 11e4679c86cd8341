package dipstick.region;

import dipstick.region.convert.ConvertCommand;
import dipstick.region.evaluate.EvaluateCommand;
import dipstick.region.evaluate.LevelsCommand;
import dipstick.region.evaluate.RibbonCommand;
import dipstick.region.keys.KeysCommand;
import dipstick.region.keys.OpenCommand;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** {@code ./dipstick region}: one criteria set over the records of many practices. */
@Command(
        name = "region",
        mixinStandardHelpOptions = true,
        description = "Asks one criteria set of the records of many practices, on this machine or on a cluster.")
public final class RegionCommands {

    private static final int FAILED = 1;

    private RegionCommands() {}

    public static void main(String[] arguments) {
        PrintWriter out = new PrintWriter(System.out, true, StandardCharsets.UTF_8);
        PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
        System.exit(run(out, err, arguments));
    }

    /** The exit status. */
    public static int run(PrintWriter out, PrintWriter err, String... arguments) {
        return new CommandLine(new RegionCommands())
                .addSubcommand(new ConvertCommand(out, err))
                .addSubcommand(new EvaluateCommand(err))
                .addSubcommand(new LevelsCommand(err))
                .addSubcommand(new RibbonCommand(err))
                .addSubcommand(new KeysCommand(out, err))
                .addSubcommand(new OpenCommand(out, err))
                .setOut(out)
                .setErr(err)
                .setExecutionExceptionHandler((failure, _, _) -> {
                    err.println("It was not done, and nothing was written: "
                            + String.valueOf(failure.getMessage())
                                    .lines()
                                    .findFirst()
                                    .orElse(""));
                    err.println("With DRIVER_OPTIONS=-Dregion.log=error it says more.");
                    return FAILED;
                })
                .execute(arguments);
    }
}
