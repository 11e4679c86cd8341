package dipstick.region;

import de.siegmar.fastcsv.reader.CsvReader;
import dipstick.command.Commands;
import dipstick.core.evaluate.Evaluator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.spark.SparkConf;
import org.apache.spark.sql.SparkSession;
import org.jspecify.annotations.NullMarked;
import picocli.CommandLine;
import tools.jackson.core.TokenStreamFactory;
import tools.jackson.databind.json.JsonMapper;

/** Where the work is done: this machine, or a cluster that a Spark master hands out. */
public final class Cluster {
    static final String HERE = "local[*]";

    private static final String JVM = "--add-opens=java.base/java.lang=ALL-UNNAMED"
            + " --add-opens=java.base/java.lang.invoke=ALL-UNNAMED --add-opens=java.base/java.io=ALL-UNNAMED"
            + " --add-opens=java.base/java.net=ALL-UNNAMED --add-opens=java.base/java.nio=ALL-UNNAMED"
            + " --add-opens=java.base/java.util=ALL-UNNAMED"
            + " --add-opens=java.base/java.util.concurrent=ALL-UNNAMED"
            + " --add-opens=java.base/sun.nio.ch=ALL-UNNAMED --sun-misc-unsafe-memory-access=allow"
            // A task is one core's work: the cluster says how many run at once.
            + " -Djava.util.concurrent.ForkJoinPool.common.parallelism=1";

    /** What runs at the workers and is not among Spark's own, by a class of each jar. */
    private static final List<Class<?>> OURS = List.of(
            Cluster.class,
            Commands.class,
            Evaluator.class,
            CsvReader.class,
            TokenStreamFactory.class,
            JsonMapper.class,
            NullMarked.class,
            CommandLine.class);

    private Cluster() {}

    /**
     * @param master as Spark names it, such as {@code local[2]}, {@code spark://host:7077}, {@code yarn} or {@code k8s://…}
     */
    public static SparkSession start(String master, String what) {
        SparkConf settings = new SparkConf()
                .setMaster(master)
                .setAppName("Dipstick: " + what)
                .setIfMissing("spark.ui.enabled", "false")
                // Records and lists are for nobody else to read.
                .setIfMissing("spark.hadoop.fs.permissions.umask-mode", "077")
                .set("spark.executor.defaultJavaOptions", JVM)
                .set("spark.sql.session.timeZone", "UTC");
        if (!master.startsWith("local")) {
            settings.set("spark.jars", String.join(",", ours()));
        }
        return SparkSession.builder().config(settings).getOrCreate();
    }

    /** Where they lie. */
    static Set<String> ours() {
        return OURS.stream()
                .map(one ->
                        one.getProtectionDomain().getCodeSource().getLocation().toString())
                .collect(Collectors.toSet());
    }
}
