package dipstick.server.accounts;

import dipstick.server.accounts.openid.OpenIdService;
import dipstick.server.accounts.openid.OpenIdSettings;
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
    private final Doors doors;
    private final OpenIdSettings openId;
    private final OpenIdPeople people;
    private final PracticeSettings settings;
    private final Today today;

    SessionController(
            Accounts accounts,
            FirstAccount firstAccount,
            SecondFactorDemand demand,
            Doors doors,
            OpenIdSettings openId,
            OpenIdPeople people,
            PracticeSettings settings,
            Today today) {
        this.accounts = accounts;
        this.firstAccount = firstAccount;
        this.demand = demand;
        this.doors = doors;
        this.openId = openId;
        this.people = people;
        this.settings = settings;
        this.today = today;
    }

    /**
     * @param lacksSecondFactor whether they may do nothing before they have set one up
     * @param vouchedFor whether the practice's sign-in service vouches for them, so that they have no password here
     */
    record SignedIn(String name, String displayName, Set<Role> roles, boolean lacksSecondFactor, boolean vouchedFor) {}

    /**
     * The practice's own sign-in service.
     *
     * @param label as people call it
     * @param begins where a browser goes to sign in there
     * @param alone whether one account only, for an emergency, signs in without it
     */
    record SignInService(String label, String begins, boolean alone) {}

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
            Optional<SignInService> service,
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
                        demand.isUnmetBy(account.name()),
                        doors.isVouchedFor(account.name())));
        return new Session(
                signedIn,
                settings.demo() || signedIn.isPresent() ? settings.practice() : "",
                today.day().toString(),
                today.zone().getId(),
                firstAccount.isNeeded(),
                service(),
                settings.demo() ? DemoAccounts.shown() : List.of());
    }

    private Optional<SignInService> service() {
        return Optional.of(openId)
                .filter(OpenIdSettings::isOn)
                .map(on -> new SignInService(
                        on.label(), OpenIdService.BEGINS + "/" + OpenIdService.NAME, people.keepsOthersOut()));
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
