package dipstick.server.records;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Today;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says of every delivery who brought it in, when, what it was and what it changed. Belongs to its transaction. */
@Component
class DeliveryLog {
    private final ImportLogMapper log;
    private final AuditLog audit;
    private final Today today;

    DeliveryLog(ImportLogMapper log, AuditLog audit, Today today) {
        this.log = log;
        this.audit = audit;
        this.today = today;
    }

    /** @param intake the name of the intake; empty for a plain file */
    record About(String who, String fileName, String intake, Path file) {}

    long begin(About about) {
        return log.begin(new ImportLogMapper.Begun(
                today.now(), about.who(), about.fileName(), about.intake(), checksum(about.file())));
    }

    void finish(long delivery, About about, Changes changes, int badRows, int unknownPeople) {
        int gone = changes.goneRows();
        audit.record(
                about.who(),
                Act.RECORDS_BROUGHT_IN,
                about.fileName() + (gone == 0 ? "" : "; " + gone + " people not in it left"));
        log.finish(
                delivery,
                changes.newRows(),
                changes.changedRows(),
                changes.unchangedRows(),
                changes.goneRows(),
                badRows,
                unknownPeople);
    }

    List<ImportLogMapper.Entry> latest() {
        return log.latest();
    }

    /** When the very same file was last taken, if it was, and was not taken back. */
    Optional<Instant> lastTaken(Path file) {
        return log.lastTaken(checksum(file));
    }

    /** When files were taken, by the name of their intake, the latest first; of those that were not taken back. */
    Map<String, List<Instant>> takenByIntake() {
        return log.takenByIntakes().stream()
                .collect(Collectors.groupingBy(
                        ImportLogMapper.TakenBy::intake,
                        Collectors.mapping(ImportLogMapper.TakenBy::takenAt, Collectors.toList())));
    }

    /** How many people and records the last delivery of an intake held, if there was one that was not taken back. */
    Optional<Integer> lastBroughtBy(String intake) {
        return log.lastBroughtBy(intake);
    }

    /** SHA-256 (FIPS 180-4) of a file, in hexadecimal digits. */
    private static String checksum(Path file) {
        try (InputStream bytes = Files.newInputStream(file)) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            try (DigestInputStream through = new DigestInputStream(bytes, digest)) {
                byte[] buffer = new byte[1 << 16];
                while (through.read(buffer) >= 0) {
                    // The digest sees what is read.
                }
            }
            return HexFormat.of().formatHex(digest.digest());
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException("Every Java platform has SHA-256", missing);
        }
    }
}
