package dipstick.server.accounts;

import dipstick.server.accounts.passkeys.Passkeys;
import dipstick.server.accounts.secondfactor.SecondFactors;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.EntityTag;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** The accounts: made, changed, closed and handed over by an administrator; their names are known to colleagues. */
@RestController
class AccountsController {
    private final Accounts accounts;
    private final List<Holdings> holdings;
    private final SecondFactors factors;
    private final Passkeys passkeys;
    private final Doors doors;
    private final AuditLog audit;

    AccountsController(
            Accounts accounts,
            List<Holdings> holdings,
            SecondFactors factors,
            Passkeys passkeys,
            Doors doors,
            AuditLog audit) {
        this.accounts = accounts;
        this.factors = factors;
        this.passkeys = passkeys;
        this.doors = doors;
        this.holdings = holdings;
        this.audit = audit;
    }

    /** A colleague as others know them. */
    record ColleagueName(String name, String displayName, Set<Role> roles) {}

    /** @param revision by which changes that cross each other are told */
    record GroupView(String name, List<String> members, int revision) {}

    record Colleagues(List<ColleagueName> colleagues, List<GroupView> groups) {}

    /**
     * @param secondFactor whether they have one, a code or a passkey
     * @param vouchedFor whether the practice's sign-in service vouches for them, and says which roles they have
     * @param holds what they hold, which somebody has to take over before the account is closed
     * @param revision by which changes that cross each other are told
     */
    record AccountView(
            String name,
            String displayName,
            Set<Role> roles,
            String provider,
            boolean ownPeopleOnly,
            boolean givenListsOnly,
            boolean closed,
            String email,
            boolean secondFactor,
            boolean vouchedFor,
            List<String> holds,
            int revision) {}

    /**
     * @param email where they read what is sent to them; empty for nowhere, absent to leave it as it is
     * @param password for a new account; for one that is there, empty to leave it as it is
     */
    record AccountChange(
            @NotBlank @Size(max = 100) String displayName,
            @NotEmpty Set<Role> roles,
            @NotNull @Size(max = 400) String provider,
            boolean ownPeopleOnly,
            boolean givenListsOnly,
            boolean closed,
            Optional<@Email @Size(max = 254) String> email,
            @NotNull @Size(max = 200) String password) {}

    record Heir(@NotBlank String to) {}

    record Group(@NotNull List<String> members) {}

    @GetMapping("/api/colleagues")
    Colleagues colleagues() {
        return new Colleagues(
                accounts.all().stream()
                        .filter(one -> !one.closed())
                        .map(one -> new ColleagueName(one.name(), one.displayName(), one.roles()))
                        .toList(),
                accounts.groups().entrySet().stream()
                        .map(group -> groupView(group.getKey(), group.getValue()))
                        .toList());
    }

    @GetMapping("/api/accounts")
    List<AccountView> all() {
        return accounts.all().stream().map(this::view).toList();
    }

    /**
     * Makes an account, or changes the one that is there.
     *
     * @param ifMatch the revision that was seen, 0 for a new account
     */
    @PutMapping("/api/accounts/{name}")
    @Transactional
    AccountView put(
            @PathVariable @Size(max = 60) String name,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody AccountChange change) {
        String signInName = Accounts.signInName(name);
        int seen = EntityTag.number(ifMatch);
        if (change.ownPeopleOnly() && change.provider().isBlank()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "no-provider",
                    "Who sees their own people only needs the provider that they are in the records. Nothing was saved.");
        }
        Colleague colleague = new Colleague(
                signInName,
                change.displayName(),
                change.roles(),
                change.provider().strip(),
                change.ownPeopleOnly(),
                change.givenListsOnly(),
                change.closed());
        Optional<String> password = Optional.of(change.password()).filter(one -> !one.isEmpty());
        password.ifPresent(one -> accounts.requireGood(one, signInName, change.displayName()));
        refuseWhatIsSaidElsewhere(colleague, password);
        if (seen > 0) {
            if (change.closed()) {
                refuseWhileHolding(colleague);
            }
            accounts.change(colleague, password, seen);
        } else {
            accounts.create(
                    colleague,
                    password.orElseThrow(() -> Problems.refused(
                            HttpStatus.UNPROCESSABLE_CONTENT,
                            "password-refused",
                            "A new account needs a password. Nothing was saved.")),
                    accounts.here().name());
        }
        change.email().ifPresent(email -> accounts.keepEmail(signInName, email.strip()));
        return view(accounts.colleague(signInName));
    }

    private void refuseWhatIsSaidElsewhere(Colleague colleague, Optional<String> password) {
        boolean isSaidElsewhere = doors.isVouchedFor(colleague.name())
                && (password.isPresent()
                        || !colleague
                                .roles()
                                .equals(accounts.colleague(colleague.name()).roles()));
        if (isSaidElsewhere) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "signs-in-elsewhere",
                    colleague.displayName()
                            + " signs in with the practice's own sign-in service, which says which roles"
                            + " they have and keeps their password. Nothing was saved.");
        }
    }

    private void refuseWhileHolding(Colleague colleague) {
        List<String> held = held(colleague);
        if (!held.isEmpty()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "holds-something",
                    colleague.displayName() + " still has " + String.join(" and ", held)
                            + ". Hand over to a colleague first; the account was not closed.");
        }
    }

    /** @param words what became of what was handed over */
    record HandedOn(String words) {}

    /** Gives everything that somebody holds to a colleague. */
    @PostMapping("/api/accounts/{name}/hand-over")
    @Transactional
    HandedOn handOver(@PathVariable String name, @Valid @RequestBody Heir heir) {
        return handOver(accounts.colleague(name), heir);
    }

    /** Gives everything that whoever is signed in holds to a colleague. */
    @PostMapping("/api/session/hand-over")
    @Transactional
    HandedOn handOverMine(@Valid @RequestBody Heir heir) {
        return handOver(accounts.here(), heir);
    }

    private HandedOn handOver(Colleague from, Heir heir) {
        Colleague to = accounts.open(heir.to());
        List<String> nobodys = holdings.stream()
                .flatMap(one -> one.handOver(from, to).stream())
                .toList();
        audit.record(Act.HANDED_OVER, from.name() + " to " + to.name());
        return new HandedOn("Everything of " + from.displayName() + " is with " + to.displayName() + " now."
                + nobodys.stream().map(sentence -> " But " + sentence).collect(Collectors.joining()));
    }

    @PutMapping("/api/groups/{group}")
    GroupView group(
            @PathVariable @Size(max = 100) String group,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody Group members) {
        accounts.group(group, members.members(), EntityTag.number(ifMatch));
        return groupView(group, accounts.groups().getOrDefault(group, List.of()));
    }

    private GroupView groupView(String name, List<String> members) {
        return new GroupView(name, members, accounts.groupRevision(name));
    }

    private List<String> held(Colleague colleague) {
        return holdings.stream()
                .flatMap(one -> one.heldBy(colleague.name()).stream())
                .collect(Collectors.toList());
    }

    private AccountView view(Colleague one) {
        return new AccountView(
                one.name(),
                one.displayName(),
                one.roles(),
                one.provider(),
                one.ownPeopleOnly(),
                one.givenListsOnly(),
                one.closed(),
                accounts.emailOf(one.name()),
                factors.isInUse(one.name()) || passkeys.has(one.name()),
                doors.isVouchedFor(one.name()),
                held(one),
                accounts.revision(one.name()));
    }
}
