package dipstick.region.convert;

import static org.apache.spark.sql.functions.col;
import static org.apache.spark.sql.functions.countDistinct;
import static org.apache.spark.sql.functions.udf;

import dipstick.core.records.Field;
import dipstick.core.records.RecordFields;
import dipstick.region.records.Manifest;
import dipstick.region.records.Part;
import dipstick.region.records.PartColumns;
import dipstick.region.records.Practice;
import dipstick.region.records.RegionFolder;
import dipstick.region.records.Side;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.hadoop.fs.Path;
import org.apache.parquet.schema.MessageType;
import org.apache.parquet.schema.Type;
import org.apache.spark.api.java.JavaRDD;
import org.apache.spark.api.java.JavaSparkContext;
import org.apache.spark.broadcast.Broadcast;
import org.apache.spark.sql.Column;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.SparkSession;
import org.apache.spark.sql.api.java.UDF2;
import org.apache.spark.sql.types.DataType;
import org.apache.spark.sql.types.DataTypes;
import org.apache.spark.sql.types.StructField;
import org.apache.spark.sql.types.StructType;
import org.apache.spark.storage.StorageLevel;
import org.apache.spark.util.CollectionAccumulator;
import org.apache.spark.util.SerializableConfiguration;

/** Brings the rows of files to the parts that they are of, in an order by which a part is read fast, and writes them. */
final class Conversion {
    private static final String PRACTICE = "of_practice";
    private static final String PERSON = "of_person";
    private static final String PART = "of_part";
    private static final int MOST_AT_ONCE = 2000;
    private static final int MOST_TOLD = 100;

    /** By what they are about, then by day: so columns are long runs of the same, and parts of files can be passed over. */
    private static final List<String> ORDER_OF_EVENTS =
            List.of("kind", "code", "system", "text", "keywords", "also_coded", "on", "person_id");

    private final SparkSession spark;
    private final JavaSparkContext cluster;
    private final RecordFields fields;
    private final ZoneId zone;
    private final Broadcast<SerializableConfiguration> storage;
    private final CollectionAccumulator<String> problems;

    Conversion(SparkSession spark, RecordFields fields, ZoneId zone) {
        this.spark = spark;
        this.cluster = JavaSparkContext.fromSparkContext(spark.sparkContext());
        this.fields = fields;
        this.zone = zone;
        this.storage = cluster.broadcast(new SerializableConfiguration(cluster.hadoopConfiguration()));
        this.problems = spark.sparkContext().collectionAccumulator();
    }

    /**
     * What came of it.
     *
     * @param problems what is wrong, a sentence each; what was written is of no use then
     * @param passedOver how many events are of people who are not there
     */
    record Converted(Manifest manifest, List<String> problems, long passedOver) {}

    Converted into(RegionFolder folder, List<SourceFile> sources, int peopleOfAPart) {
        Dataset<Row> people = rows(Side.PEOPLE, sources).persist(StorageLevel.MEMORY_AND_DISK());
        Map<String, Long> sizes = new HashMap<>();
        sources.stream()
                .map(SourceFile::practice)
                .filter(name -> !name.isEmpty())
                .forEach(name -> sizes.put(name, 0L));
        people.groupBy(PRACTICE).count().collectAsList().forEach(row -> sizes.put(row.getString(0), row.getLong(1)));
        Map<String, Integer> parts = new HashMap<>();
        sizes.forEach((practice, size) -> parts.put(
                practice, Math.toIntExact(Math.max(1, Math.ceilDiv(size.longValue(), (long) peopleOfAPart)))));

        List<Written> ofPeople = write(folder, Side.PEOPLE, people, parts, List.of());
        Dataset<Row> events = rows(Side.EVENTS, sources);
        List<String> unclear = List.of();
        if (sources.stream().anyMatch(source -> source.practice().isEmpty())) {
            Dataset<Row> whose = people.select(PERSON, PRACTICE);
            unclear = unclear(events, whose).toList();
            events = withPractices(events, whose);
        }
        List<Written> ofEvents = write(folder, Side.EVENTS, events, parts, ORDER_OF_EVENTS);
        people.unpersist();
        return new Converted(
                new Manifest(
                        Manifest.FORMAT,
                        fields.customOfPeople(),
                        fields.customOfEvents(),
                        practices(parts, ofPeople, ofEvents)),
                Stream.of(problems.value().stream(), ofPeople.stream().flatMap(Conversion::twice), unclear.stream())
                        .flatMap(all -> all)
                        .distinct()
                        .toList(),
                ofEvents.stream()
                        .filter(one -> one.part().practice().isEmpty())
                        .mapToLong(Written::rows)
                        .sum());
    }

    private static Stream<String> twice(Written written) {
        return written.twice().stream()
                .map(person -> "There are two people with the id “" + person + "” in "
                        + written.part().practice() + ".");
    }

    private static List<Practice> practices(
            Map<String, Integer> parts, List<Written> ofPeople, List<Written> ofEvents) {
        Map<String, Long> people = rowsOf(ofPeople);
        Map<String, Long> events = rowsOf(ofEvents);
        return new TreeMap<>(parts)
                .entrySet().stream()
                        .map(practice -> new Practice(
                                practice.getKey(),
                                practice.getValue(),
                                people.getOrDefault(practice.getKey(), 0L),
                                events.getOrDefault(practice.getKey(), 0L)))
                        .toList();
    }

    private static Map<String, Long> rowsOf(List<Written> written) {
        return written.stream()
                .collect(Collectors.groupingBy(one -> one.part().practice(), Collectors.summingLong(Written::rows)));
    }

    /** Whose each event is, where its file does not say so; by the person that it is of. */
    private static Dataset<Row> withPractices(Dataset<Row> events, Dataset<Row> people) {
        Column[] inOrder = Stream.concat(
                        Stream.of(people.col(PRACTICE), events.col(PERSON)),
                        IntStream.range(2, events.columns().length).mapToObj(i -> events.col(events.columns()[i])))
                .toArray(Column[]::new);
        Column same = events.col(PRACTICE).equalTo("").or(events.col(PRACTICE).equalTo(people.col(PRACTICE)));
        return events.join(
                        people, events.col(PERSON).equalTo(people.col(PERSON)).and(same), "left_outer")
                .select(inOrder);
    }

    /** People of the same id in several practices, of whom there are events that do not say of which. */
    private static Stream<String> unclear(Dataset<Row> events, Dataset<Row> people) {
        Dataset<Row> several = people.groupBy(PERSON)
                .agg(countDistinct(PRACTICE).as("practices"))
                .filter(col("practices").gt(1))
                .select(PERSON);
        if (several.isEmpty()) {
            return Stream.empty();
        }
        return events
                .filter(col(PRACTICE).equalTo(""))
                .join(several, PERSON)
                .select(PERSON)
                .distinct()
                .limit(MOST_TOLD)
                .collectAsList()
                .stream()
                .map(row -> "The person “" + row.getString(0)
                        + "” is in several practices, and there are events that do not"
                        + " say of which. Give the events a column “practice”.");
    }

    private Dataset<Row> rows(Side side, List<SourceFile> sources) {
        List<SourceFile> files =
                sources.stream().filter(source -> source.side() == side).toList();
        RowsOfFiles read = new RowsOfFiles(fields.customOfPeople(), fields.customOfEvents(), zone, storage, problems);
        JavaRDD<Row> rows =
                cluster.parallelize(files, Math.max(1, files.size())).flatMap(read::of);
        return spark.createDataFrame(rows, type(PartColumns.schema(side, side.of(fields))));
    }

    private static StructType type(MessageType columns) {
        List<StructField> cells = Stream.concat(
                        Stream.of(
                                DataTypes.createStructField(PRACTICE, DataTypes.StringType, true),
                                DataTypes.createStructField(PERSON, DataTypes.StringType, false)),
                        IntStream.range(0, columns.getFieldCount())
                                .mapToObj(i -> DataTypes.createStructField(cell(i), type(columns.getType(i)), true)))
                .toList();
        return DataTypes.createStructType(cells);
    }

    /** Names of fields may hold what the engine reads as its own. */
    private static String cell(int column) {
        return "cell" + column;
    }

    private static DataType type(Type column) {
        return switch (column.asPrimitiveType().getPrimitiveTypeName()) {
            case BINARY -> DataTypes.StringType;
            case INT32 -> DataTypes.IntegerType;
            case DOUBLE -> DataTypes.DoubleType;
            case BOOLEAN -> DataTypes.BooleanType;
            default -> throw new IllegalArgumentException("No column is " + column);
        };
    }

    private List<Written> write(
            RegionFolder folder, Side side, Dataset<Row> rows, Map<String, Integer> parts, List<String> order) {
        Map<String, Integer> ofPractice = Map.copyOf(parts);
        UDF2<String, String, Integer> partOf =
                (practice, person) -> practice == null ? 0 : Part.of(person, ofPractice.getOrDefault(practice, 1));
        List<Field> all = side.of(fields);
        MessageType columns = PartColumns.schema(side, all);
        Column[] inOrder = Stream.concat(
                        Stream.of(
                                col(PRACTICE),
                                col(PERSON),
                                udf(partOf, DataTypes.IntegerType)
                                        .apply(col(PRACTICE), col(PERSON))
                                        .as(PART)),
                        IntStream.range(0, columns.getFieldCount()).mapToObj(i -> col(cell(i))))
                .toArray(Column[]::new);
        Column[] sorted = Stream.concat(
                        Stream.of(col(PRACTICE), col(PART)),
                        order.isEmpty()
                                ? Stream.of(col(PERSON))
                                : order.stream().map(name -> col(cell(columns.getFieldIndex(name)))))
                .toArray(Column[]::new);
        int allParts = parts.values().stream().mapToInt(Integer::intValue).sum();
        String root = folder.root().toString();
        Broadcast<SerializableConfiguration> on = storage;
        return rows.select(inOrder)
                .repartition(Math.clamp(allParts, 1, MOST_AT_ONCE), col(PRACTICE), col(PART))
                .sortWithinPartitions(sorted)
                .javaRDD()
                .mapPartitions(some -> new PartWriting(
                                new RegionFolder(new Path(root), on.value().value()),
                                side,
                                all,
                                on.value().value())
                        .write(some)
                        .iterator())
                .collect();
    }
}
