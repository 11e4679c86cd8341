package dipstick.command;

import dipstick.core.criteria.CriteriaReader;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.ReadingExport;
import dipstick.core.population.RecordFiles;
import dipstick.core.records.RecordFields;
import dipstick.core.records.RowProblem;
import dipstick.core.text.NormalText;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code ./dipstick evaluate}: evaluates a criteria set over two CSV files. */
@Command(
        name = "evaluate",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = "Evaluates a criteria set over a file of people and a file of events.")
final class Evaluate implements Callable<Integer> {
    private final PrintWriter out;
    private final PrintWriter err;

    @Option(names = "--people", required = true, paramLabel = "FILE", description = "People, as CSV.")
    private Path people = Path.of("");

    @Option(names = "--events", required = true, paramLabel = "FILE", description = "Event records, as CSV.")
    private Path events = Path.of("");

    @Option(
            names = "--criteria",
            required = true,
            paramLabel = "FILE",
            description = "The criteria set to evaluate; given again, sets that it may name as members.")
    private List<Path> criteria = List.of();

    @Option(names = "--as-of", paramLabel = "DAY", description = "The as-of date; by default today in the zone.")
    private Optional<String> asOf = Optional.empty();

    @Option(names = "--zone", paramLabel = "ZONE", description = "The practice's time zone; by default this machine's.")
    private Optional<String> zone = Optional.empty();

    @Option(
            names = "--dial",
            paramLabel = "NAME=VALUE",
            description = "Turns a dial of the criteria set; several texts are separated by semicolons.")
    private List<String> dials = List.of();

    @Option(
            names = "--explain",
            paramLabel = "PERSON-ID",
            description = "Says of one person why each criterion answers as it does, instead of the list.")
    private Optional<String> explain = Optional.empty();

    @Option(names = "--format", paramLabel = "csv|json", description = "The form of the answer; by default csv.")
    private Format format = Format.csv;

    @Option(names = "--out", paramLabel = "FILE", description = "Where the answer goes; by default standard output.")
    private Optional<Path> file = Optional.empty();

    enum Format {
        csv,
        json
    }

    Evaluate(PrintWriter out, PrintWriter err) {
        this.out = out;
        this.err = err;
    }

    @Override
    public Integer call() {
        Settings settings = Settings.of(asOf, zone, dials);
        List<String> problems = new ArrayList<>(settings.problems());
        Optional<RecordFiles.Loaded> loaded = load(settings.zone(), problems);
        RecordFields fields = loaded.map(files -> files.population().fields()).orElse(RecordFields.KNOWN);
        Optional<CriteriaSet> set = readCriteria(fields, settings, problems);
        if (!problems.isEmpty()) {
            problems.forEach(err::println);
            return Commands.BAD_INPUT;
        }
        return answer(loaded.orElseThrow(), set.orElseThrow(), settings);
    }

    private Optional<RecordFiles.Loaded> load(ZoneId zone, List<String> problems) {
        boolean there = Commands.isThere(people, problems);
        if (!Commands.isThere(events, problems) || !there) {
            return Optional.empty();
        }
        try {
            RecordFiles.Loaded loaded = RecordFiles.load(people, events, zone);
            loaded.peopleProblems().forEach(problem -> problems.add(inFile(people, problem)));
            loaded.eventProblems().forEach(problem -> problems.add(inFile(events, problem)));
            return Optional.of(loaded);
        } catch (IOException unreadable) {
            problems.add("The records cannot be read: " + unreadable.getMessage());
            return Optional.empty();
        }
    }

    private static String inFile(Path path, RowProblem problem) {
        String column = problem.column().isEmpty() ? "" : problem.column() + ": ";
        return path + ":" + problem.line() + ": " + column + problem.reason();
    }

    private Optional<CriteriaSet> readCriteria(RecordFields fields, Settings settings, List<String> problems) {
        List<CriteriaSource> sources = new ArrayList<>();
        for (Path path : criteria) {
            source(path, problems).ifPresent(sources::add);
        }
        if (sources.size() < criteria.size()) {
            return Optional.empty();
        }
        try {
            return Optional.of(CriteriaReader.read(sources, settings.dials(), fields, settings.zone()));
        } catch (InvalidCriteria invalid) {
            problems.addAll(CriteriaFiles.said(invalid));
            return Optional.empty();
        }
    }

    private static Optional<CriteriaSource> source(Path path, List<String> problems) {
        Optional<String> text = CriteriaFiles.text(path, problems);
        try {
            return text.isPresent() ? Optional.of(CriteriaSource.parse(path.toString(), text.get())) : Optional.empty();
        } catch (InvalidCriteria invalid) {
            problems.addAll(CriteriaFiles.said(invalid));
            return Optional.empty();
        }
    }

    private int answer(RecordFiles.Loaded loaded, CriteriaSet set, Settings settings) {
        Evaluator evaluator = new Evaluator(loaded.population(), settings.asOf());
        if (explain.isPresent()) {
            return explain(explain.get(), evaluator, set);
        }
        Reading reading = evaluator.read(set);
        List<ListMember> members = evaluator.members(reading);
        String text = switch (format) {
            case csv -> ReadingExport.csv(reading, members);
            case json -> ReadingExport.json(reading, members, settings.zone()).toPrettyString() + "\n";
        };
        int status = Commands.answer(file, text, out, err);
        if (status != Commands.RAN) {
            return status;
        }
        int passedOver =
                loaded.waiting().values().stream().mapToInt(Integer::intValue).sum();
        if (passedOver > 0) {
            err.println("Passed over " + passedOver + " events of people who are not in " + people + ".");
        }
        return Commands.RAN;
    }

    private int explain(String id, Evaluator evaluator, CriteriaSet set) {
        OptionalInt person = evaluator.population().find(NormalText.identifier(id));
        if (person.isEmpty()) {
            err.println(people + ": there is no person “" + id + "”.");
            return Commands.BAD_INPUT;
        }
        return Commands.answer(file, new Explanation(evaluator, set).of(person.getAsInt()), out, err);
    }
}
