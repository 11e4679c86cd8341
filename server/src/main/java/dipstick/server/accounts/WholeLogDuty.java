package dipstick.server.accounts;

import dipstick.server.audit.WholeLog;
import org.springframework.stereotype.Component;

@Component
class WholeLogDuty implements WholeLog {
    private final Accounts accounts;

    WholeLogDuty(Accounts accounts) {
        this.accounts = accounts;
    }

    @Override
    public boolean mayBeReadHere() {
        return accounts.here().has(Duty.READ_WHOLE_AUDIT_LOG);
    }
}
