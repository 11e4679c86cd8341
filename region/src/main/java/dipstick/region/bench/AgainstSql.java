package dipstick.region.bench;

import dipstick.core.parts.Question;
import dipstick.region.Cluster;
import dipstick.region.evaluate.RegionEvaluation;
import dipstick.region.records.Manifest;
import dipstick.region.records.RegionFolder;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.apache.hadoop.fs.Path;
import org.apache.spark.api.java.JavaSparkContext;
import org.apache.spark.sql.SparkSession;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/**
 * {@code ./dipstick bench region}: each question asked of the parts, and of Spark SQL, over the same files, by turns; reading
 * included. Both count who is on the list, and must agree.
 */
@Command(name = "bench region", mixinStandardHelpOptions = true, sortOptions = false)
final class AgainstSql implements Callable<Integer> {
    @Option(names = "--records", required = true, description = "As region convert wrote them, of made practices.")
    private String records = "";

    @Option(names = "--cores", description = "How many cores of this machine; by default ${DEFAULT-VALUE}.")
    private int cores = 1;

    @Option(names = "--runs", description = "The median of how many; by default ${DEFAULT-VALUE}.")
    private int runs = 3;

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new AgainstSql()).execute(arguments));
    }

    @Override
    public Integer call() throws Exception {
        try (SparkSession spark = Cluster.start("local[" + cores + "]", "bench")) {
            spark.conf().set("spark.sql.datetime.java8API.enabled", "true");
            spark.conf().set("spark.sql.shuffle.partitions", Integer.toString(Math.max(2, cores * 2)));
            RegionFolder folder =
                    new RegionFolder(new Path(records), spark.sparkContext().hadoopConfiguration());
            Manifest manifest = folder.manifest();
            RegionEvaluation region =
                    new RegionEvaluation(JavaSparkContext.fromSparkContext(spark.sparkContext()), folder, manifest);
            spark.read().parquet(records + "/people").createOrReplaceTempView("people");
            spark.read().parquet(records + "/events").createOrReplaceTempView("events");
            double logarithms = 0;
            System.out.printf("%-34s %10s %10s %8s%n", "seconds", "parts", "SQL", "ratio");
            List<SqlQuestion> questions = SqlQuestion.all();
            for (SqlQuestion question : questions) {
                double ratio = compare(spark, region, manifest, question);
                logarithms += Math.log(ratio);
            }
            System.out.printf(
                    "%-34s %10s %10s %8.1f%n", "geometric mean", "", "", Math.exp(logarithms / questions.size()));
            return 0;
        }
    }

    private double compare(SparkSession spark, RegionEvaluation region, Manifest manifest, SqlQuestion asked)
            throws Exception {
        Question question = new Question(
                List.of(new Question.Document(asked.name(), asked.document())),
                Map.of(),
                ZoneId.of("UTC"),
                List.of(LocalDate.parse(SqlQuestion.AS_OF)),
                manifest.customOfPeople(),
                manifest.customOfEvents());
        List<Double> parts = new ArrayList<>();
        List<Double> sql = new ArrayList<>();
        for (int run = 0; run < runs; run++) {
            long begun = System.nanoTime();
            long here = region.onList(question);
            parts.add(seconds(begun));
            begun = System.nanoTime();
            long there = spark.sql(asked.sql()).collectAsList().getFirst().getLong(0);
            sql.add(seconds(begun));
            if (here != there) {
                throw new IllegalStateException(asked.name() + ": " + here + " by parts, " + there + " by SQL");
            }
        }
        double ratio = median(sql) / median(parts);
        System.out.printf("%-34s %10.2f %10.2f %8.1f%n", asked.name(), median(parts), median(sql), ratio);
        return ratio;
    }

    private static double seconds(long since) {
        return (System.nanoTime() - since) / 1e9;
    }

    private static double median(List<Double> all) {
        double[] sorted = all.stream().mapToDouble(Double::doubleValue).toArray();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
