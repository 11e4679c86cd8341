package dipstick.server.upkeep;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.web.Problems;
import java.io.IOException;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Which backups there are; an administrator takes one more. */
@RestController
@RequestMapping("/api/backups")
class BackupController {
    private static final Logger LOG = LoggerFactory.getLogger(BackupController.class);

    private final Backups backups;
    private final BackupSettings settings;
    private final PracticeSettings practice;
    private final AuditLog audit;

    BackupController(Backups backups, BackupSettings settings, PracticeSettings practice, AuditLog audit) {
        this.backups = backups;
        this.settings = settings;
        this.practice = practice;
        this.audit = audit;
    }

    record Backup(String file, long bytes, String at) {}

    /**
     * @param backups the newest first
     * @param keep how many are kept
     * @param warning what is amiss, in a sentence; empty where nothing is
     */
    record BackupState(List<Backup> backups, int keep, String folder, String warning) {}

    @GetMapping
    BackupState state() {
        return new BackupState(
                backups.kept().stream()
                        .map(one -> new Backup(one.file(), one.bytes(), one.at().toString()))
                        .toList(),
                settings.keep(),
                backups.folder().toAbsolutePath().toString(),
                warning());
    }

    private String warning() {
        if (!backups.problem().isEmpty()) {
            return backups.problem();
        }
        if (practice.demo()) {
            return "";
        }
        Optional<Backups.Kept> last = backups.last();
        if (last.isEmpty()) {
            return "There is no backup yet. What is lost now cannot be brought back.";
        }
        return backups.isStale(last.get())
                ? "The last backup is older than a day and a half. See whether they are still taken."
                : "";
    }

    @PostMapping
    BackupState take() {
        try {
            BackupFile.Counted counted = backups.take();
            audit.record(Act.BACKUP_TAKEN, counted.words());
        } catch (IOException | SQLException failure) {
            LOG.error("No backup was taken", failure);
            throw Problems.refused(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "no-backup",
                    "The backup could not be written to " + backups.folder()
                            + ". Look whether the folder is there and has room; the ones before are kept.");
        }
        return state();
    }
}
