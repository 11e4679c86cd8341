package dipstick.server.deliveries;

import dipstick.core.text.NormalText;
import dipstick.intake.describe.FileFormat;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.IntakeDocument;
import dipstick.intake.describe.InvalidIntake;
import dipstick.intake.describe.TableShape;
import dipstick.intake.propose.PlainFile;
import dipstick.intake.propose.Proposal;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Today;
import dipstick.server.web.Problems;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.function.SingletonSupplier;

/** The intakes of the practice, each version of which is kept. */
@Service
class Intakes {
    private static final int LONGEST_ID = 200;
    private static final int LONGEST_NAME = 400;
    private static final int LONGEST_DOCUMENT = 500_000;

    private final IntakeMapper mapper;
    private final AuditLog audit;
    private final Today today;

    Intakes(IntakeMapper mapper, AuditLog audit, Today today) {
        this.mapper = mapper;
        this.audit = audit;
        this.today = today;
    }

    List<SavedIntake> inForce() {
        return mapper.inForce();
    }

    /** The rank of a source by its name: the highest of its intakes; none has 0. */
    ToIntFunction<String> ranks() {
        // Read when two sources differ, which most files and messages do without.
        Supplier<Map<String, Integer>> ranks = SingletonSupplier.of(this::ranksBySource);
        return source -> ranks.get().getOrDefault(NormalText.of(source), 0);
    }

    private Map<String, Integer> ranksBySource() {
        return inForce().stream()
                .map(saved -> read(saved.document()))
                .collect(Collectors.toMap(
                        intake -> NormalText.of(intake.source()),
                        intake -> intake.rank().orElse(0),
                        Math::max));
    }

    /** The ids of those in force, and of those that are always there. */
    List<String> ids() {
        return Stream.concat(
                        Arrays.stream(PlainFile.values()).map(PlainFile::intakeId),
                        inForce().stream().map(SavedIntake::id))
                .toList();
    }

    /** The one in force with this id, if there is one; that of a plain file always is. */
    Optional<Intake> inForce(String id) {
        return PlainFile.ofIntake(id)
                .map(PlainFile::intake)
                .or(() -> inForce().stream()
                        .filter(saved -> saved.id().equals(id))
                        .findFirst()
                        .map(saved -> read(saved.document())));
    }

    /** The newest document; refused where there is none. */
    String document(String id) {
        return PlainFile.ofIntake(id)
                .map(plain -> IntakeDocument.written(plain.intake()))
                .orElseGet(() -> versions(id).getFirst().document());
    }

    /** The newest first; refused where there is none. */
    List<SavedIntake> versions(String id) {
        List<SavedIntake> versions = mapper.versions(id);
        if (versions.isEmpty()) {
            throw Problems.refused(HttpStatus.NOT_FOUND, "no-such-intake", "There is no such intake here.");
        }
        return versions;
    }

    /**
     * The one that reads such a file: of a standard's own format, the one that was kept last; of tables the one that has
     * most columns in common with these: at least two thirds of its own, and of these. Where several have
     * as many, the one with the fewest besides: who has just these is first. A plain file is read by one that has just its
     * columns, else by its own, where nothing is to be asked of it.
     */
    Optional<Intake> ofShape(Proposal proposal) {
        Optional<Intake> saved = ofShape(proposal.intake().table());
        if (PlainFile.ofIntake(proposal.intake().id()).isEmpty()) {
            return saved;
        }
        Set<String> here = shape(proposal.intake().table().columns());
        return saved.filter(intake -> shape(intake.table().columns()).equals(here))
                .or(() -> Optional.of(proposal.intake())
                        .filter(_ -> proposal.questions().isEmpty()));
    }

    Optional<Intake> ofShape(TableShape shape) {
        Stream<Intake> ofFormat = inForce().stream()
                .sorted(Comparator.comparing(SavedIntake::changedAt).reversed())
                .map(saved -> read(saved.document()))
                .filter(intake -> intake.table().format() == shape.format());
        if (shape.format() != FileFormat.TABLE) {
            return ofFormat.findFirst();
        }
        Set<String> here = shape(shape.columns());
        return ofFormat.filter(intake -> common(intake, here) * 3 >= Math.max(here.size(), width(intake)) * 2L)
                .max(Comparator.comparingLong((Intake intake) -> common(intake, here))
                        .thenComparing(Intakes::width, Comparator.reverseOrder()));
    }

    /** An id that no intake has had, like the one that is wanted; that of a plain file stays. */
    String freeId(String wanted) {
        if (PlainFile.ofIntake(wanted).isPresent()) {
            return wanted;
        }
        String id = wanted;
        for (int number = 2; mapper.latest(id).isPresent(); number++) {
            id = wanted + "-" + number;
        }
        return id;
    }

    private static int width(Intake intake) {
        return shape(intake.table().columns()).size();
    }

    private static long common(Intake intake, Set<String> shape) {
        return shape(intake.table().columns()).stream().filter(shape::contains).count();
    }

    private static Set<String> shape(List<String> columns) {
        return columns.stream().map(NormalText::of).collect(Collectors.toCollection(HashSet::new));
    }

    /** Reads a document; refused with each spot that is wrong. */
    static Intake read(String document) {
        if (document.length() > LONGEST_DOCUMENT) {
            throw Problems.refused(
                    HttpStatus.CONTENT_TOO_LARGE,
                    "too-large",
                    "An intake is never as long as this. Nothing was changed.");
        }
        try {
            Intake intake = IntakeDocument.read(document);
            if (intake.id().length() > LONGEST_ID || intake.name().length() > LONGEST_NAME) {
                throw new InvalidIntake(List.of(
                        "/name: the id has up to " + LONGEST_ID + " letters, the name up to " + LONGEST_NAME + "."));
            }
            return intake;
        } catch (InvalidIntake invalid) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-intake",
                    "This is no intake: " + invalid.problems().getFirst(),
                    invalid.problems().stream()
                            .map(problem -> problem.split(": ", 2))
                            .map(parts -> Map.of("pointer", parts[0], "message", parts[parts.length - 1]))
                            .toList());
        }
    }

    /** Keeps a new version where the document differs from the last. */
    @Transactional
    SavedIntake save(Intake intake, String who) {
        if (PlainFile.ofIntake(intake.id()).isPresent()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "always-there",
                    "The intake “" + intake.id() + "” is always there and stays as it is. Give this one another id."
                            + " Nothing was changed.");
        }
        String document = IntakeDocument.written(intake);
        List<SavedIntake> before = mapper.versions(intake.id());
        if (!before.isEmpty()
                && !before.getFirst().retired()
                && before.getFirst().document().equals(document)) {
            return before.getFirst();
        }
        int version = before.isEmpty() ? 1 : before.getFirst().version() + 1;
        SavedIntake saved = new SavedIntake(intake.id(), version, intake.name(), document, false, today.now(), who);
        insert(saved);
        audit.record(who, Act.INTAKE_SAVED, intake.name());
        return saved;
    }

    /** Takes it out of use; its versions are kept. */
    @Transactional
    void retire(String id, String who) {
        SavedIntake last = versions(id).getFirst();
        if (!last.retired()) {
            insert(new SavedIntake(id, last.version() + 1, last.name(), last.document(), true, today.now(), who));
            audit.record(who, Act.INTAKE_SAVED, last.name());
        }
    }

    private void insert(SavedIntake saved) {
        try {
            mapper.insert(saved);
        } catch (DuplicateKeyException meanwhile) {
            throw Problems.changedMeanwhile(
                    "Somebody changed this intake at the same moment. Look at it, and save again.");
        }
    }
}
