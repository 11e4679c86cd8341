package dipstick.region;

import java.io.IOException;
import org.apache.spark.sql.SparkSession;
import picocli.CommandLine.Option;

/** Where what a command writes goes, and where it is worked out. */
public final class Target {
    @Option(names = "--out", required = true, paramLabel = "FOLDER", description = "Where it goes, as a whole.")
    private String out = "";

    @Option(names = "--again", description = "Writes over what is there already.")
    private boolean again;

    @Option(names = "--master", paramLabel = "URL", description = "The Spark master; by default this machine alone.")
    private String master = Cluster.HERE;

    /** Begins the work. */
    public SparkSession start(String what) {
        return Cluster.start(master, what);
    }

    /** Where to write. */
    public WholeFolder folder(SparkSession spark) throws IOException {
        return WholeFolder.at(out, again, spark.sparkContext().hadoopConfiguration());
    }
}
