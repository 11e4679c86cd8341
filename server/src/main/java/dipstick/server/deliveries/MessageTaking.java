package dipstick.server.deliveries;

import dipstick.intake.describe.FileFormat;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.TableShape;
import dipstick.intake.make.RecordMaking;
import dipstick.intake.make.Trouble;
import dipstick.intake.rows.UnreadableRows;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import dipstick.server.records.RecordsIn;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Takes one message at a time, whole or not at all. */
@Service
class MessageTaking {
    private static final Logger LOG = LoggerFactory.getLogger(MessageTaking.class);

    private final RecordsIn records;
    private final Intakes intakes;
    private final Today today;
    private final MessagePortSettings settings;
    private final Path folder;

    MessageTaking(
            RecordsIn records, Intakes intakes, Today today, MessagePortSettings settings, PracticeSettings practice) {
        this.records = records;
        this.intakes = intakes;
        this.today = today;
        this.settings = settings;
        this.folder = practice.data().resolve("messages");
    }

    /**
     * Takes a message; what it says is kept when this returns.
     *
     * @param from the program that sent it, as it says itself
     * @return why nothing of it was kept, where nothing was
     */
    synchronized Optional<String> take(String message, String name, String from) {
        Optional<Intake> intake = intake();
        if (intake.isEmpty()) {
            return Optional.of("No intake reads messages here. Bring a file of them in on the page first.");
        }
        try {
            Path file = Files.createTempFile(Files.createDirectories(folder), "message", ".hl7");
            try {
                Files.writeString(file, message, StandardCharsets.UTF_8);
                return take(file, intake.get(), name, from);
            } finally {
                Files.deleteIfExists(file);
            }
        } catch (UnreadableRows unreadable) {
            return Optional.of(String.valueOf(unreadable.getMessage()));
        } catch (IOException | RuntimeException failure) {
            LOG.error("A message could not be kept", failure);
            return Optional.of("Something went wrong on our side. Nothing of it was kept; send it again.");
        }
    }

    private Optional<String> take(Path file, Intake intake, String name, String from) throws IOException {
        Path problems = file.resolveSibling(file.getFileName() + ".problems");
        try (Troubles troubles = new Troubles(problems, new Sightings(today.day()))) {
            RecordMaking.read(file, intake, today.zone(), records.finder()::apply, troubles);
            Optional<Trouble> wrong = troubles.groups().stream()
                    .filter(group -> group.reason() != Trouble.Reason.LEFT_BLANK)
                    .flatMap(group -> group.first().stream())
                    .findFirst();
            if (wrong.isPresent()) {
                return wrong.map(Trouble::said);
            }
            if (troubles.firstRecords().isEmpty()) {
                return Optional.of("Nothing in it is of a person.");
            }
            Making making = new Making(file, intake, today.zone(), records.finder(), intakes.ranks(), Unwatched.HERE);
            records.take(making, new RecordsIn.About(from, name, intake.name(), file, 0));
            return Optional.empty();
        } finally {
            Files.deleteIfExists(problems);
        }
    }

    private Optional<Intake> intake() {
        return settings.intake().isBlank()
                ? intakes.ofShape(TableShape.of(FileFormat.HL7))
                : intakes.inForce(settings.intake());
    }
}
