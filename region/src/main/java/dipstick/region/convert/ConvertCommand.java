package dipstick.region.convert;

import dipstick.command.Commands;
import dipstick.command.Settings;
import dipstick.core.records.RecordFields;
import dipstick.region.Target;
import dipstick.region.WholeFolder;
import dipstick.region.records.Practice;
import dipstick.region.records.RegionFault;
import dipstick.region.records.RegionFolder;
import java.io.IOException;
import java.io.PrintWriter;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.apache.hadoop.conf.Configuration;
import org.apache.spark.sql.SparkSession;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code ./dipstick region convert}: writes people and events as Parquet, by practice and by part. */
@Command(
        name = "convert",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = "Writes people and events of one or many practices as Parquet files.")
public final class ConvertCommand implements Callable<Integer> {
    private static final int PEOPLE_OF_A_PART = 20_000;

    private final PrintWriter out;
    private final PrintWriter err;

    @Option(
            names = "--practices",
            paramLabel = "FOLDER",
            description = "A folder with one for each practice, which holds people.csv and events.csv.")
    private Optional<String> practices = Optional.empty();

    @Option(
            names = "--people",
            paramLabel = "FILE",
            description = "People, as CSV; may be given again. A column “practice” says whose they are.")
    private List<String> people = List.of();

    @Option(names = "--events", paramLabel = "FILE", description = "Event records, as CSV; may be given again.")
    private List<String> events = List.of();

    @Option(names = "--practice", paramLabel = "NAME", description = "Whose these people are, where no column says it.")
    private Optional<String> practice = Optional.empty();

    @Option(
            names = "--zone",
            paramLabel = "ZONE",
            description = "The time zone of the practices; by default this machine's.")
    private Optional<String> zone = Optional.empty();

    @Option(
            names = "--people-of-a-part",
            paramLabel = "N",
            description = "How many people are asked at once, about; by default ${DEFAULT-VALUE}.")
    private int peopleOfAPart = PEOPLE_OF_A_PART;

    @Mixin
    private final Target target = new Target();

    public ConvertCommand(PrintWriter out, PrintWriter err) {
        this.out = out;
        this.err = err;
    }

    @Override
    public Integer call() throws IOException {
        if (practices.isEmpty() == people.isEmpty() || peopleOfAPart < 1) {
            err.println(
                    "Name either a folder of --practices, or files of --people and --events; and at least one person of a"
                            + " part.");
            return Commands.BAD_INPUT;
        }
        Settings settings = Settings.of(Optional.empty(), zone, List.of());
        if (!settings.problems().isEmpty()) {
            return refused(settings.problems());
        }
        try (SparkSession spark = target.start("convert")) {
            Configuration storage = spark.sparkContext().hadoopConfiguration();
            try (WholeFolder whole = target.folder(spark)) {
                return convert(spark, settings.zone(), whole, storage);
            }
        } catch (RegionFault fault) {
            err.println(fault.getMessage());
            return Commands.BAD_INPUT;
        }
    }

    private int convert(SparkSession spark, ZoneId in, WholeFolder whole, Configuration storage) throws IOException {
        Sources sources = new Sources(storage);
        if (practices.isPresent()) {
            sources.addFolders(practices.get());
        }
        sources.add(people, events, practice.orElse(""));
        RecordFields fields = sources.fields(in);
        if (!sources.problems().isEmpty()) {
            return refused(sources.problems());
        }
        RegionFolder records = new RegionFolder(whole.aside(), storage);
        Conversion.Converted converted =
                new Conversion(spark, fields, in).into(records, sources.files(), peopleOfAPart);
        if (!converted.problems().isEmpty()) {
            return refused(converted.problems());
        }
        records.write(converted.manifest());
        whole.finish();
        List<Practice> written = converted.manifest().practices();
        out.println("Converted " + written.size() + " practices, "
                + written.stream().mapToLong(Practice::people).sum() + " people and "
                + written.stream().mapToLong(Practice::events).sum() + " events.");
        if (converted.passedOver() > 0) {
            out.println("Passed over " + converted.passedOver() + " events of people who are in no file.");
        }
        return Commands.RAN;
    }

    private int refused(List<String> problems) {
        problems.forEach(err::println);
        err.println("Nothing was written.");
        return Commands.BAD_INPUT;
    }
}
