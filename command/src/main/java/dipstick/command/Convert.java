package dipstick.command;

import dipstick.core.records.RecordFields;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.IntakeDocument;
import dipstick.intake.describe.InvalidIntake;
import dipstick.intake.files.Packed;
import dipstick.intake.files.Together;
import dipstick.intake.make.PeopleKnown;
import dipstick.intake.make.RecordMaking;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposing;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.charset.MalformedInputException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code ./dipstick convert}: makes our plain files of files that other systems write. */
@Command(
        name = "convert",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = "Makes files of people and events of other files, as an intake says.")
final class Convert implements Callable<Integer> {
    private final PrintWriter out;
    private final PrintWriter err;

    @Option(names = "--intake", paramLabel = "FILE", description = "The intake, as JSON.")
    private Optional<Path> intake = Optional.empty();

    @Option(
            names = "--propose",
            description = "Instead of converting, writes an intake that was found out from the file; to --out or here.")
    private boolean propose;

    @Option(names = "--people", paramLabel = "FILE", description = "Where the people go, as CSV.")
    private Optional<Path> people = Optional.empty();

    @Option(names = "--events", paramLabel = "FILE", description = "Where the event records go, as CSV.")
    private Optional<Path> events = Optional.empty();

    @Option(names = "--zone", paramLabel = "ZONE", description = "The practice's time zone; by default this machine's.")
    private Optional<String> zone = Optional.empty();

    @Option(
            names = "--leave-out-bad-rows",
            description = "Rows that cannot be read are told and left out; without it nothing is written then.")
    private boolean leaveOut;

    @Option(names = "--out", paramLabel = "FILE", description = "Where a proposed intake goes.")
    private Optional<Path> proposed = Optional.empty();

    @Parameters(arity = "1..*", paramLabel = "FILE", description = "The files, zipped or gzipped ones too.")
    private List<Path> files = List.of();

    Convert(PrintWriter out, PrintWriter err) {
        this.out = out;
        this.err = err;
    }

    @Override
    public Integer call() throws IOException {
        Settings settings = Settings.of(Optional.empty(), zone, List.of());
        List<String> problems = new ArrayList<>(settings.problems());
        for (Path file : files) {
            Commands.isThere(file, problems);
        }
        if (!propose && intake.isEmpty()) {
            problems.add("--intake: say which intake the files are read by, or --propose one.");
        }
        if (!problems.isEmpty()) {
            return refused(problems);
        }
        Path folder = Files.createTempDirectory("dipstick");
        try {
            return propose ? propose(settings, folder) : convert(settings, folder);
        } finally {
            try (Stream<Path> left = Files.walk(folder)) {
                for (Path one : left.sorted(Comparator.reverseOrder()).toList()) {
                    Files.deleteIfExists(one);
                }
            }
        }
    }

    private int propose(Settings settings, Path folder) throws IOException {
        Path file = files.getFirst();
        try {
            Packed.One first = unpacked(folder).getFirst();
            Proposal proposal = Proposing.of(
                    name(Path.of(first.name())),
                    first.file(),
                    Proposing.Asked.forRecords(settings.asOf().getYear(), RecordFields.KNOWN));
            proposal.questions().forEach(question -> err.println("To be said: " + question.said()));
            proposal.choices().stream()
                    .filter(choice -> choice.becomes().isEmpty())
                    .forEach(choice -> err.println("Left out: “" + choice.column() + "”."));
            String text = IntakeDocument.written(proposal.intake()) + "\n";
            return Commands.answer(proposed, text, out, err);
        } catch (UnreadableRows unreadable) {
            return refused(List.of(file + ":" + unreadable.line() + ": " + unreadable.getMessage()));
        }
    }

    private int convert(Settings settings, Path folder) throws IOException {
        Path described = intake.orElseThrow();
        Intake read;
        try {
            read = IntakeDocument.read(Files.readString(described));
        } catch (InvalidIntake invalid) {
            return refused(invalid.problems().stream()
                    .map(problem -> described + ": " + problem)
                    .toList());
        } catch (MalformedInputException notText) {
            return refused(List.of(described + ": this is not text in UTF-8."));
        } catch (IOException unreadable) {
            return refused(List.of(described + ": there is no such file, or it may not be read."));
        }
        List<String> problems = new ArrayList<>();
        try (PlainFiles plain = new PlainFiles(folder, read)) {
            for (Packed.One one : unpacked(folder)) {
                convert(one, read, settings, plain, problems);
            }
            problems.forEach(err::println);
            if (!problems.isEmpty() && !leaveOut) {
                err.println("Nothing was written. With --leave-out-bad-rows the others are.");
                return Commands.BAD_INPUT;
            }
            plain.finish();
            boolean written = plain.moved(people, plain.people(), err) && plain.moved(events, plain.events(), err);
            return written ? Commands.RAN : Commands.BAD_INPUT;
        } catch (UncheckedIOException failure) {
            return refused(
                    List.of("It could not be written: " + failure.getCause().getMessage()));
        }
    }

    /** All files, those of one export together. */
    private List<Packed.One> unpacked(Path folder) throws IOException {
        List<Packed.One> all = new ArrayList<>();
        for (Path file : files) {
            all.addAll(Packed.files(file.toString(), file, folder));
        }
        if (all.size() == 1) {
            return all;
        }
        List<Path> each = all.stream().map(Packed.One::file).toList();
        return Together.of(each, folder)
                .map(file -> List.of(new Packed.One(all.getFirst().name(), file)))
                .orElse(all);
    }

    /** What is passed over is told and keeps nothing from being written: nothing of its kind is ever read. */
    private void convert(Packed.One one, Intake intake, Settings settings, PlainFiles plain, List<String> problems)
            throws IOException {
        try {
            RecordMaking.read(one.file(), intake, settings.zone(), PeopleKnown.NOBODY, plain.sink(trouble -> {
                String said = one.name() + ":" + trouble.line() + ": "
                        + (trouble.column().isEmpty() ? "" : trouble.column() + ": ") + trouble.said();
                if (trouble.reason().losesRow()) {
                    problems.add(said);
                } else {
                    err.println(said);
                }
            }));
        } catch (UnreadableRows unreadable) {
            problems.add(one.name() + ":" + unreadable.line() + ": " + unreadable.getMessage());
        }
    }

    private static String name(Path file) {
        return String.valueOf(file.getFileName());
    }

    private int refused(List<String> problems) {
        problems.forEach(err::println);
        return Commands.BAD_INPUT;
    }
}
