package dipstick.server.audit;

import dipstick.server.personal.PersonalData;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Who looked at a person's record, and did what with them. It stays when they are erased, by their number alone, as long as
 * the log is kept: it is what shows who did what.
 */
@Component
@Order(6)
class PersonalLog implements PersonalData {
    private final AuditMapper entries;

    PersonalLog(AuditMapper entries) {
        this.entries = entries;
    }

    @Override
    public List<Held> heldOf(String person) {
        Pattern alone = Pattern.compile("(?<![\\p{L}\\p{N}])" + Pattern.quote(person) + "(?![\\p{L}\\p{N}])");
        return List.of(new Held(
                "Entries of the audit log that name them",
                List.of("when", "who", "what"),
                entries.naming(person).stream()
                        .filter(entry -> alone.matcher(entry.subject()).find())
                        .map(entry -> List.of(entry.at().toString(), entry.account(), entry.act()))
                        .toList()));
    }

    @Override
    public void erase(String person, String stub, String by) {
        // An entry that is changed breaks the chain (AuditChain).
    }

    @Override
    public boolean outlivesErasure() {
        return true;
    }
}
