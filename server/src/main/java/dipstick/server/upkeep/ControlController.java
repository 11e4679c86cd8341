package dipstick.server.upkeep;

import dipstick.core.text.Fingerprint;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.PracticeSettings;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.SecureRandom;
import java.sql.SQLException;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.io.InputStreamResource;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** What the commands of this machine ask of the running server; to everybody else there is nothing here. */
@Hidden
@RestController
@RequestMapping("/control")
class ControlController {
    private static final int SECRET_BYTES = 24;

    private final ControlPort port;
    private final Backups backups;
    private final PracticeSettings settings;
    private final AuditLog audit;
    private final String secret;

    ControlController(ControlPort port, Backups backups, PracticeSettings settings, AuditLog audit) {
        this.port = port;
        this.backups = backups;
        this.settings = settings;
        this.audit = audit;
        byte[] bytes = new byte[SECRET_BYTES];
        new SecureRandom().nextBytes(bytes);
        this.secret = HexFormat.of().formatHex(bytes);
    }

    @EventListener(ApplicationReadyEvent.class)
    void started() throws IOException {
        // One that was stopped while it started has no port any more.
        if (port.isOpen()) {
            new Control(port.address(), secret).write(settings.data());
        }
    }

    @EventListener(ContextClosedEvent.class)
    void stopped() throws IOException {
        Control.remove(settings.data());
    }

    /** A backup of now, not yet opened: whoever asked for it does that. */
    @GetMapping("/backup")
    ResponseEntity<InputStreamResource> backup(HttpServletRequest request) throws IOException, SQLException {
        requireSecret(request);
        Path file = Files.createTempFile(settings.data(), "backup", ".part");
        Files.delete(file);
        backups.write(file);
        audit.record("dipstick", Act.BACKUP_TAKEN, "by command");
        return ResponseEntity.ok(
                new InputStreamResource(Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE)));
    }

    private void requireSecret(HttpServletRequest request) {
        boolean known = port.is(request.getLocalPort())
                && Optional.ofNullable(request.getHeader(Control.HEADER))
                        .filter(given -> Fingerprint.same(given, secret))
                        .isPresent();
        if (!known) {
            // As for an address at which nothing ever was.
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
    }
}
