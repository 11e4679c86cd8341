package dipstick.region.evaluate;

import dipstick.command.Commands;
import dipstick.command.CriteriaFiles;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.parts.Question;
import dipstick.region.Target;
import dipstick.region.WholeFolder;
import dipstick.region.records.Manifest;
import dipstick.region.records.RegionFault;
import dipstick.region.records.RegionFolder;
import java.io.IOException;
import java.io.PrintWriter;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
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

    @Mixin
    private final WhatIsAsked asked = new WhatIsAsked();

    @Mixin
    private final Target target = new Target();

    /** The days that are asked, from the one that is given. */
    interface Days {
        List<LocalDate> of(LocalDate asOf);
    }

    /** Works an answer out, and writes it into a folder. */
    interface Answering {
        void answer(RegionEvaluation region, Question question, OutFiles out)
                throws RegionFaults, InvalidCriteria, IOException;
    }

    int ask(String what, Days days, Answering answering, PrintWriter err) throws IOException {
        List<String> problems = new ArrayList<>();
        WhatIsAsked.Read read = asked.read(problems);
        if (!problems.isEmpty()) {
            return refused(problems, err);
        }
        try (SparkSession spark = target.start(what)) {
            Configuration storage = spark.sparkContext().hadoopConfiguration();
            try (WholeFolder whole = target.folder(spark)) {
                RegionFolder folder = new RegionFolder(new org.apache.hadoop.fs.Path(records), storage);
                Manifest manifest = folder.manifest();
                Question question = read.of(manifest, days.of(read.asOf()));
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
