package dipstick.region.evaluate;

import dipstick.core.parts.PartAnswer;
import dipstick.region.keys.PracticeKeys;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code ./dipstick region evaluate}: the list of each practice, and the levels. */
@Command(
        name = "evaluate",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = "Writes the list of each practice, and the levels of each and of all together.")
public final class EvaluateCommand implements Callable<Integer> {
    private final PrintWriter err;

    @Mixin
    private final Asking asking = new Asking();

    @Option(
            names = "--keys",
            paramLabel = "FOLDER",
            description =
                    "The practices' keys, as region keys makes them: who is on a list is read with its own alone.")
    private String keys = "";

    @Mixin
    private final Hiding hiding = new Hiding();

    public EvaluateCommand(PrintWriter err) {
        this.err = err;
    }

    @Override
    public Integer call() throws IOException {
        return asking.ask(
                "evaluate",
                List::of,
                (region, question, out) -> {
                    Map<String, PartAnswer> practices = region.lists(question, out.folder(), PracticeKeys.in(keys));
                    LevelFiles.write(question, practices, hiding.below(), out);
                },
                err);
    }
}
