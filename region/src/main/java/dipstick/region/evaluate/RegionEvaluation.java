package dipstick.region.evaluate;

import dipstick.core.parts.PartAnswer;
import dipstick.core.parts.Question;
import dipstick.region.keys.PracticeKeys;
import dipstick.region.records.Manifest;
import dipstick.region.records.Part;
import dipstick.region.records.PartRecords;
import dipstick.region.records.Practice;
import dipstick.region.records.RegionFault;
import dipstick.region.records.RegionFolder;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.hadoop.fs.Path;
import org.apache.spark.api.java.JavaPairRDD;
import org.apache.spark.api.java.JavaSparkContext;
import org.apache.spark.broadcast.Broadcast;
import org.apache.spark.util.SerializableConfiguration;
import scala.Tuple2;

/**
 * Asks every part of every practice, wherever the cluster has room: a part is read, asked and let go of. Then the parts of
 * each practice are put together, in one place. What a worker did that is gone is done again by another.
 */
public final class RegionEvaluation {
    private static final int MOST_AT_ONCE = 2000;

    private final JavaSparkContext cluster;
    private final String records;
    private final Manifest manifest;
    private final Broadcast<SerializableConfiguration> settings;

    public RegionEvaluation(JavaSparkContext cluster, RegionFolder records, Manifest manifest) {
        this.cluster = cluster;
        this.records = records.root().toString();
        this.manifest = manifest;
        this.settings = cluster.broadcast(new SerializableConfiguration(cluster.hadoopConfiguration()));
    }

    /** The levels of each practice, by name; whatever is wrong is told as a whole. */
    Map<String, PartAnswer> levels(Question question) throws RegionFaults, IOException {
        Map<String, List<PartResult>> byPractice = asked(question, PartAnswer.Wanted.LEVELS).collect().stream()
                .collect(Collectors.groupingBy(Tuple2::_1, Collectors.mapping(Tuple2::_2, Collectors.toList())));
        List<PracticeResult> practices = new ArrayList<>();
        for (Practice practice : manifest.practices()) {
            practices.add(PracticeResult.of(practice, byPractice.get(practice.name()), _ -> {}));
        }
        return told(practices);
    }

    /** How many are on the lists of all practices together, as of the first day. */
    public long onList(Question question) throws RegionFaults, IOException {
        return levels(question).values().stream()
                .mapToLong(answer -> answer.levels().getFirst().list().yes())
                .sum();
    }

    /** The same; the list of each practice is written where it runs, and goes nowhere else. */
    Map<String, PartAnswer> lists(Question question, Path out, Optional<PracticeKeys> keys)
            throws RegionFaults, IOException {
        if (keys.isPresent()) {
            keys.get().requireAll(manifest.practices(), cluster.hadoopConfiguration());
        }
        String folder = out.toString();
        // An Optional does not travel.
        String ofKeys = keys.map(PracticeKeys::folder).orElse("");
        Broadcast<SerializableConfiguration> storage = settings;
        Map<String, Practice> practices =
                manifest.practices().stream().collect(Collectors.toMap(Practice::name, Function.identity()));
        return told(asked(question, PartAnswer.Wanted.LIST)
                .groupByKey(Math.min(practices.size(), MOST_AT_ONCE))
                .map(all -> PracticeResult.of(
                        practices.get(all._1()),
                        all._2(),
                        answer -> new PracticeFiles(
                                        folder, all._1(), storage.value().value())
                                .write(question, answer, PracticeKeys.in(ofKeys))))
                .collect());
    }

    /** What came of each part, with the practice that it is of. */
    private JavaPairRDD<String, PartResult> asked(Question question, PartAnswer.Wanted wanted) {
        Broadcast<SharedQuestion> shared = cluster.broadcast(new SharedQuestion(question, wanted));
        Broadcast<SerializableConfiguration> storage = settings;
        String from = records;
        List<Part> parts = parts();
        return cluster.parallelize(parts, parts.size())
                .mapToPair(part -> new Tuple2<>(
                        part.practice(),
                        result(new RegionFolder(new Path(from), storage.value().value()), shared.value(), part)));
    }

    private static Map<String, PartAnswer> told(List<PracticeResult> practices) throws RegionFaults {
        RegionFaults.check(practices.stream().flatMap(result -> result.faults().stream()));
        Map<String, PartAnswer> answers = new TreeMap<>();
        practices.forEach(result -> answers.put(result.practice(), PartAnswer.read(result.levels())));
        return answers;
    }

    /** Large practices and small ones mixed, so that no worker has all of one. */
    private List<Part> parts() {
        return manifest.practices().stream()
                .flatMap(practice ->
                        IntStream.range(0, practice.parts()).mapToObj(number -> new Part(practice.name(), number)))
                .sorted(Comparator.comparingInt(Part::number).thenComparing(Part::practice))
                .toList();
    }

    private static PartResult result(RegionFolder folder, SharedQuestion question, Part part) {
        try {
            PartRecords records = PartRecords.read(folder, question.question().fields(), part, question.asked());
            return new PartResult(
                    question.answer(records.population()).written(), records.people(), records.events(), "");
        } catch (RegionFault fault) {
            return PartResult.faulty(fault.getMessage());
        } catch (IOException unreadable) {
            return PartResult.faulty("The records of " + part.practice() + ", part " + part.number()
                    + ", cannot be read: " + unreadable.getMessage());
        }
    }
}
