package dipstick.server.accounts;

import dipstick.server.accounts.passkeys.Passkeys;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
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
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The passkeys of whoever is signed in. */
@RestController
@RequestMapping("/api/session/second-factor/passkeys")
class PasskeyController {
    /** Where what a device was asked for waits, in its session, for what it makes. */
    private static final String ASKED = PasskeyController.class.getName() + ".asked";

    private final Accounts accounts;
    private final Passkeys passkeys;
    private final SecondFactorDemand demand;
    private final OwnPassword own;
    private final AuditLog audit;

    PasskeyController(
            Accounts accounts, Passkeys passkeys, SecondFactorDemand demand, OwnPassword own, AuditLog audit) {
        this.accounts = accounts;
        this.passkeys = passkeys;
        this.demand = demand;
        this.own = own;
        this.audit = audit;
    }

    record OwnPasskey(String id, String label, String made, String lastUsed) {}

    /**
     * @param label as its owner calls the device
     * @param made {@code RegistrationResponseJSON} of W3C Web Authentication
     */
    record MadePasskey(
            @NotBlank @Size(max = 100) String label,
            @NotNull Map<String, Object> made) {}

    @GetMapping
    List<OwnPasskey> mine() {
        return passkeys.of(accounts.here().name()).stream()
                .map(one -> new OwnPasskey(
                        one.id(),
                        one.label(),
                        one.made().toString(),
                        one.lastUsed().toString()))
                .toList();
    }

    /** Gives {@code PublicKeyCredentialCreationOptionsJSON} of W3C Web Authentication; see {@link #make}. */
    @PostMapping("/options")
    JsonNode ask(@Valid @RequestBody SecondFactorController.PasswordAgain again, HttpServletRequest request) {
        own.require(again.current(), request);
        PublicKeyCredentialCreationOptions asked =
                passkeys.ask(SecurityContextHolder.getContext().getAuthentication());
        request.getSession().setAttribute(ASKED, asked);
        return passkeys.asJson(asked);
    }

    @PostMapping
    List<OwnPasskey> make(@Valid @RequestBody MadePasskey made, HttpSession session) {
        Optional<PublicKeyCredentialCreationOptions> asked =
                Optional.ofNullable((PublicKeyCredentialCreationOptions) session.getAttribute(ASKED));
        session.removeAttribute(ASKED);
        boolean kept = asked.filter(one -> passkeys.make(one, made.made(), made.label()))
                .isPresent();
        if (!kept) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "passkey-refused",
                    "What the device made is not what it was asked for, or it took too long. Nothing was saved; begin"
                            + " again.");
        }
        audit.record(Act.ACCOUNT_CHANGED, accounts.here().name() + ", passkey made");
        return mine();
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        String account = accounts.here().name();
        if (demand.keepsPasswordOut(account) && passkeys.of(account).size() == 1) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "second-factor-demanded",
                    "Your practice asks for a second factor in your role, and this passkey is all you have. Make another first;"
                            + " it was not removed.");
        }
        if (!passkeys.remove(account, id)) {
            throw Problems.refused(HttpStatus.NOT_FOUND, "no-such-passkey", "There is no such passkey any more.");
        }
        audit.record(Act.ACCOUNT_CHANGED, account + ", passkey removed");
    }
}
