package dipstick.bench;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Test;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Evaluator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What each construct costs by itself, asked of everybody, with nothing kept from before. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class EngineOperations {
    private static final Map<String, String> TESTS = Map.of(
            "age", "{'age': {'from': 50, 'through': 74}}",
            "field", "{'field': 'status', 'in': ['active']}",
            "window", "{'events': {'kinds': ['result'], 'terms': ['R2'], 'window': {'last': 'P2Y'}}}",
            "atAge", "{'events': {'terms': ['V1'], 'window': {'atAge': {'through': 23, 'unit': 'months'}}}}",
            "count", "{'events': {'kinds': ['visit'], 'window': {'last': 'P12M'}}, 'count': {'atLeast': 3}}",
            "days",
                    "{'events': {'kinds': ['visit'], 'window': {'last': 'P12M'}}, 'count': {'atLeast': 3}, 'per': 'day'}",
            "latest",
                    "{'latest': {'terms': ['R4'], 'window': {'last': 'P2Y'}}, 'is': [{'field': 'value', 'above': 150}]}",
            "sequence",
                    "{'after': {'terms': ['R4'], 'window': {'last': 'P2Y'}}, 'expect': {'terms': ['S2']}, 'within': 'P90D'}");

    @Param({"age", "field", "window", "atAge", "count", "days", "latest", "sequence"})
    private String construct = "";

    private final Engine engine = Engine.load(new Region(200_000, 10_000_000));
    private Test test = new Test.All(List.of());

    @Setup
    public void read() {
        CriteriaSet set =
                engine.read(Questions.document("'include': [{'id': 'a', 'test': " + TESTS.get(construct) + "}]"));
        test = set.include().getFirst().test();
    }

    @Benchmark
    public Answer everybody() {
        return engine.asOf(Region.AS_OF).answer(test);
    }

    /** What is worked out once for each as-of date. */
    @Benchmark
    public Evaluator newDay() {
        return engine.asOf(Region.AS_OF);
    }
}
