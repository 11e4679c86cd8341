package dipstick.region.keys;

import dipstick.command.Commands;
import dipstick.region.records.Manifest;
import dipstick.region.records.RegionFault;
import dipstick.region.records.RegionFolder;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code ./dipstick region keys}: a key for each practice, to be given to nobody else. */
@Command(
        name = "keys",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description =
                "Makes a key for each practice that has none, with which region evaluate --keys writes who is on its list.")
public final class KeysCommand implements Callable<Integer> {
    private final PrintWriter out;
    private final PrintWriter err;

    @Option(
            names = "--records",
            required = true,
            paramLabel = "FOLDER",
            description = "The records, as region convert wrote them.")
    private String records = "";

    @Option(
            names = "--keys",
            required = true,
            paramLabel = "FOLDER",
            description = "Where the keys lie; those that are there stay as they are.")
    private String keys = "";

    public KeysCommand(PrintWriter out, PrintWriter err) {
        this.out = out;
        this.err = err;
    }

    @Override
    public Integer call() throws IOException {
        Configuration storage = new Configuration();
        try {
            Manifest manifest = new RegionFolder(new Path(records), storage).manifest();
            int made = new PracticeKeys(keys).makeMissing(manifest.practices(), storage);
            out.println("Made " + made + " keys; " + (manifest.practices().size() - made) + " were there.");
            return Commands.RAN;
        } catch (RegionFault fault) {
            err.println(fault.getMessage());
            return Commands.BAD_INPUT;
        }
    }
}
