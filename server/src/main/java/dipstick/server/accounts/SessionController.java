package dipstick.server.accounts;

import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import dipstick.server.web.Problems;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.annotation.CurrentSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who is signed in, and the first account. */
@RestController
class SessionController {
    private final Accounts accounts;
    private final FirstAccount firstAccount;
    private final SecondFactorDemand demand;
    private final PracticeSettings settings;
    private final Today today;

    SessionController(
            Accounts accounts,
            FirstAccount firstAccount,
            SecondFactorDemand demand,
            PracticeSettings settings,
            Today today) {
        this.accounts = accounts;
        this.firstAccount = firstAccount;
        this.demand = demand;
        this.settings = settings;
        this.today = today;
    }

    /** @param lacksSecondFactor whether they may do nothing before they have set one up */
    record SignedIn(String name, String displayName, Set<Role> roles, boolean lacksSecondFactor) {}

    /** An account that the demo's sign-in page shows with its password. */
    record DemoAccount(String name, String password, String who) {}

    /**
     * @param signedIn who, or nothing
     * @param practice the practice's name, told once somebody is signed in
     */
    record Session(
            Optional<SignedIn> signedIn,
            String practice,
            String today,
            String zone,
            boolean firstAccountNeeded,
            List<DemoAccount> demoAccounts) {}

    @GetMapping("/api/session")
    Session session(@Parameter(hidden = true) @CurrentSecurityContext SecurityContext context) {
        Optional<SignedIn> signedIn = Optional.ofNullable(context.getAuthentication())
                .filter(Authentication::isAuthenticated)
                .flatMap(who -> accounts.find(who.getName()))
                .map(account -> new SignedIn(
                        account.name(),
                        account.displayName(),
                        account.colleague().roles(),
                        demand.isUnmetBy(account.name())));
        return new Session(
                signedIn,
                settings.demo() || signedIn.isPresent() ? settings.practice() : "",
                today.day().toString(),
                today.zone().getId(),
                firstAccount.isNeeded(),
                settings.demo() ? DemoAccounts.shown() : List.of());
    }

    record FirstAccountRequest(
            @NotBlank @Size(max = 60) String code,
            @NotBlank @Size(max = 60) String name,
            @NotBlank @Size(max = 100) String displayName,
            @NotBlank @Size(max = 200) String password) {}

    @PostMapping("/api/first-account")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void createFirstAccount(@Valid @RequestBody FirstAccountRequest request) {
        boolean created =
                firstAccount.create(request.code(), request.name(), request.displayName(), request.password());
        if (!created) {
            throw Problems.refused(
                    HttpStatus.FORBIDDEN,
                    "wrong-code",
                    "The code is not right. It is printed where the server was started, and is new after every start.");
        }
    }
}
