package dipstick.region.evaluate;

import dipstick.command.Commands;
import dipstick.command.CriteriaFiles;
import dipstick.command.Settings;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.parts.Question;
import dipstick.region.Target;
import dipstick.region.WholeFolder;
import dipstick.region.records.Manifest;
import dipstick.region.records.RegionFault;
import dipstick.region.records.RegionFolder;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.hadoop.conf.Configuration;
import org.apache.spark.api.java.JavaSparkContext;
import org.apache.spark.sql.SparkSession;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** What every command that asks has in common: of which records, what, where it goes, and where it is worked out. */
final class Asking {
    @Option(
            names = "--records",
            required = true,
            paramLabel = "FOLDER",
            description = "The records, as region convert wrote them.")
    private String records = "";

    @Option(
            names = "--criteria",
            required = true,
            paramLabel = "FILE",
            description = "The criteria set to evaluate; given again, sets that it may name as members.")
    private List<Path> criteria = List.of();

    @Option(
            names = "--dial",
            paramLabel = "NAME=VALUE",
            description = "Turns a dial of the criteria set; several texts are separated by semicolons.")
    private List<String> dials = List.of();

    @Option(names = "--as-of", paramLabel = "DAY", description = "The as-of date; by default today in the zone.")
    private Optional<String> asOf = Optional.empty();

    @Option(
            names = "--zone",
            paramLabel = "ZONE",
            description = "The time zone of the practices; by default this machine's.")
    private Optional<String> zone = Optional.empty();

    @Mixin
    private final Target target = new Target();

    /** The days that are asked, from the one that is given. */
    interface Days {
        List<LocalDate> of(LocalDate asOf);
    }

    /** Works an answer out, and writes it into a folder. */
    interface Answering {
        void answer(RegionEvaluation region, Question question, OutFiles out) throws RegionFaults, IOException;
    }

    int ask(String what, Days days, Answering answering, PrintWriter err) throws IOException {
        Settings settings = Settings.of(asOf, zone, dials);
        List<String> problems = new ArrayList<>(settings.problems());
        List<Question.Document> documents = new ArrayList<>();
        for (Path path : criteria) {
            CriteriaFiles.text(path, problems)
                    .ifPresent(text -> documents.add(new Question.Document(path.toString(), text)));
        }
        if (!problems.isEmpty()) {
            return refused(problems, err);
        }
        try (SparkSession spark = target.start(what)) {
            Configuration storage = spark.sparkContext().hadoopConfiguration();
            try (WholeFolder whole = target.folder(spark)) {
                RegionFolder folder = new RegionFolder(new org.apache.hadoop.fs.Path(records), storage);
                Manifest manifest = folder.manifest();
                Question question = new Question(
                        documents,
                        settings.dials(),
                        settings.zone(),
                        days.of(settings.asOf()),
                        manifest.customOfPeople(),
                        manifest.customOfEvents());
                question.read();
                answering.answer(
                        new RegionEvaluation(JavaSparkContext.fromSparkContext(spark.sparkContext()), folder, manifest),
                        question,
                        new OutFiles(whole.aside(), storage));
                whole.finish();
                return Commands.RAN;
            }
        } catch (InvalidCriteria invalid) {
            return refused(CriteriaFiles.said(invalid), err);
        } catch (RegionFaults faults) {
            return refused(faults.told(), err);
        } catch (RegionFault fault) {
            return refused(List.of(fault.getMessage()), err);
        }
    }

    private static int refused(List<String> problems, PrintWriter err) {
        problems.forEach(err::println);
        err.println("Nothing was written.");
        return Commands.BAD_INPUT;
    }
}
