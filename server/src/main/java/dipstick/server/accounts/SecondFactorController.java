package dipstick.server.accounts;

import dipstick.server.accounts.passkeys.Passkeys;
import dipstick.server.accounts.secondfactor.SecondFactors;
import dipstick.server.accounts.secondfactor.SecondFactors.InUse;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.EntityTag;
import dipstick.server.web.Problems;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The second factor: each person sets up and removes their own; administrators say in which roles it is asked for. */
@RestController
class SecondFactorController {
    /** Where the secret waits, in its session, for a code that shows that the device has it. */
    private static final String OFFERED = SecondFactorController.class.getName() + ".offered";

    private final Accounts accounts;
    private final SecondFactors factors;
    private final SecondFactorDemand demand;
    private final Passkeys passkeys;
    private final OwnPassword own;
    private final ApplicationEventPublisher events;
    private final AuditLog audit;

    SecondFactorController(
            Accounts accounts,
            SecondFactors factors,
            SecondFactorDemand demand,
            Passkeys passkeys,
            OwnPassword own,
            ApplicationEventPublisher events,
            AuditLog audit) {
        this.accounts = accounts;
        this.factors = factors;
        this.demand = demand;
        this.passkeys = passkeys;
        this.own = own;
        this.events = events;
        this.audit = audit;
    }

    /**
     * @param since when it was set up; nothing where there is none
     * @param recoveryCodes how many are left
     * @param demanded what the practice asks of this role
     */
    record OwnSecondFactor(Optional<String> since, int recoveryCodes, Demanded demanded) {}

    record PasswordAgain(@NotBlank @Size(max = 200) String current) {}

    record CodeTyped(@NotBlank @Size(max = 40) String code) {}

    /** To be written down: they are told once. */
    record RecoveryCodesMade(List<String> recoveryCodes) {}

    /** @param revision by which changes that cross each other are told */
    record DemandedRoles(Map<Role, Demanded> roles, int revision) {}

    record DemandChange(@NotNull Map<Role, @NotNull Demanded> roles) {}

    @GetMapping("/api/session/second-factor")
    OwnSecondFactor mine() {
        String account = accounts.here().name();
        Optional<InUse> inUse = factors.of(account);
        return new OwnSecondFactor(
                inUse.map(one -> one.since().toString()),
                inUse.map(InUse::recoveryCodes).orElse(0),
                demand.of(account));
    }

    /** Gives what a device needs to make codes; it is put to use by {@link #putToUse}. */
    @PostMapping("/api/session/second-factor/secret")
    SecondFactors.NewSecret offer(@Valid @RequestBody PasswordAgain again, HttpServletRequest request) {
        own.require(again.current(), request);
        SecondFactors.NewSecret offered = factors.offer(accounts.here().name());
        request.getSession().setAttribute(OFFERED, offered.secret());
        return offered;
    }

    /** Everywhere else the account is signed out: whoever was in there knew the password alone. */
    @PutMapping("/api/session/second-factor")
    @Transactional
    RecoveryCodesMade putToUse(@Valid @RequestBody CodeTyped code, HttpSession session) {
        String account = accounts.here().name();
        String secret = Optional.ofNullable((String) session.getAttribute(OFFERED))
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.CONFLICT,
                        "no-secret-offered",
                        "There is nothing to confirm. Begin again with your password; nothing was changed."));
        List<String> codes = factors.putToUse(account, secret, code.code())
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "code-refused",
                        "This is not the code of now. Look whether the device's clock is right, and type the one it shows;"
                                + " nothing was changed."));
        session.removeAttribute(OFFERED);
        events.publishEvent(new SignedOutEverywhere(account, Optional.of(session.getId())));
        audit.record(Act.ACCOUNT_CHANGED, account + ", second factor set up");
        return new RecoveryCodesMade(codes);
    }

    @PostMapping("/api/session/second-factor/recovery-codes")
    RecoveryCodesMade recoveryCodes(@Valid @RequestBody PasswordAgain again, HttpServletRequest request) {
        own.require(again.current(), request);
        String account = accounts.here().name();
        requireInUse(account);
        audit.record(Act.ACCOUNT_CHANGED, account + ", new recovery codes");
        return new RecoveryCodesMade(factors.newRecoveryCodes(account));
    }

    @PostMapping("/api/session/second-factor/removed")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeMine(@Valid @RequestBody PasswordAgain again, HttpServletRequest request) {
        own.require(again.current(), request);
        String account = accounts.here().name();
        if (demand.hangsOnCode(account)) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "second-factor-demanded",
                    "Your practice asks for a second factor in your role. It was not removed.");
        }
        requireInUse(account);
        factors.remove(account);
        audit.record(Act.ACCOUNT_CHANGED, account + ", second factor removed");
    }

    /** For a colleague whose devices and recovery codes are lost: the code goes, and every passkey. */
    @DeleteMapping("/api/accounts/{name}/second-factor")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    void removeOf(@PathVariable String name) {
        String account = accounts.colleague(name).name();
        int removed = passkeys.removeAll(account);
        if (removed == 0) {
            requireInUse(account);
        }
        factors.remove(account);
        audit.record(Act.ACCOUNT_CHANGED, account + ", second factor removed");
        events.publishEvent(new SignedOutEverywhere(account, Optional.empty()));
    }

    private void requireInUse(String account) {
        if (!factors.isInUse(account)) {
            throw Problems.refused(
                    HttpStatus.NOT_FOUND,
                    "no-second-factor",
                    "This account has no second factor. Nothing was changed.");
        }
    }

    @GetMapping("/api/second-factor")
    DemandedRoles demanded() {
        return new DemandedRoles(demand.roles(), demand.revision());
    }

    @PutMapping("/api/second-factor")
    DemandedRoles demand(@RequestHeader(HttpHeaders.IF_MATCH) String ifMatch, @Valid @RequestBody DemandChange change) {
        demand.change(change.roles(), EntityTag.number(ifMatch));
        return demanded();
    }
}
