package dipstick.server.exchange;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.paper.Letterhead;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.web.Problems;
import dipstick.server.web.Revision;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who writes to people; until somebody says it, the practice by its name alone. */
@Service
public class Letterheads {
    private static final Pattern PICTURE = Pattern.compile("data:image/(png|jpeg);base64,[A-Za-z0-9+/=]+");

    private final ExchangeMapper kept;
    private final PracticeSettings settings;
    private final AuditLog audit;

    Letterheads(ExchangeMapper kept, PracticeSettings settings, AuditLog audit) {
        this.kept = kept;
        this.settings = settings;
        this.audit = audit;
    }

    Letterhead current() {
        Letterhead written = kept.letterhead();
        return written.practice().isBlank()
                ? new Letterhead(
                        settings.practice(),
                        written.address(),
                        written.phone(),
                        written.email(),
                        written.signedBy(),
                        written.signature())
                : written;
    }

    public int revision() {
        return kept.letterheadRevision();
    }

    /** @param seen the revision to which the change was made */
    @Transactional
    public void save(Letterhead head, int seen) {
        if (!head.signature().isEmpty() && !PICTURE.matcher(head.signature()).matches()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "no-picture",
                    "The signature should be a picture, as PNG or JPEG. Nothing was saved.");
        }
        Revision.save(false, () -> 0, () -> kept.updateLetterhead(head, seen), "the letterhead");
        audit.record(Act.LIST_CHANGED, "the letterhead");
    }
}
