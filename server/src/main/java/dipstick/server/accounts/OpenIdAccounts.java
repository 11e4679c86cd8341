package dipstick.server.accounts;

import dipstick.core.text.Shortened;
import dipstick.server.accounts.openid.Claims;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Today;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The accounts of whoever the practice's sign-in service vouches for: made when they first come, and brought to what it
 * says of them each time.
 */
@Service
class OpenIdAccounts {
    private final OpenIdPeople people;
    private final Accounts accounts;
    private final AccountMapper rows;
    private final OpenIdMapper vouched;
    private final ApplicationEventPublisher events;
    private final AuditLog audit;
    private final Today today;

    OpenIdAccounts(
            OpenIdPeople people,
            Accounts accounts,
            AccountMapper rows,
            OpenIdMapper vouched,
            ApplicationEventPublisher events,
            AuditLog audit,
            Today today) {
        this.people = people;
        this.accounts = accounts;
        this.rows = rows;
        this.vouched = vouched;
        this.events = events;
        this.audit = audit;
        this.today = today;
    }

    /**
     * Somebody came.
     *
     * @param subject by which the service knows them for good
     * @throws OpenIdRefused where they do not get in; whoever has no role any more is signed out then
     */
    @Transactional(noRollbackFor = OpenIdRefused.class)
    Account came(String subject, Claims claims) {
        Set<Role> roles = claims.values(people.roleClaim()).stream()
                .flatMap(value -> Optional.ofNullable(people.roles().get(value)).stream())
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Role.class)));
        if (roles.isEmpty()) {
            vouched.account(people.issuer(), subject)
                    .ifPresent(one -> events.publishEvent(new SignedOutEverywhere(one, Optional.empty())));
            throw new OpenIdRefused(OpenIdRefused.Why.NO_ROLE);
        }
        // Two who come at once must not both make the account.
        rows.lock();
        Optional<Account> before = vouched.account(people.issuer(), subject)
                .flatMap(accounts::find)
                .or(() -> adopted(subject, claims));
        Account account = before.map(one -> brought(one, roles, claims)).orElseGet(() -> made(subject, roles, claims));
        joins(account.name(), claims.values(people.groupClaim()));
        return account;
    }

    /** The account that is here by that name; refused where it is somebody else's, as far as can be told. */
    private Optional<Account> adopted(String subject, Claims claims) {
        Optional<Account> here = accounts.find(name(claims));
        here.ifPresent(account -> {
            boolean isTheirs = people.adopt()
                    && !vouched.has(account.name())
                    && !account.name().equals(people.emergencyAccount());
            if (!isTheirs) {
                throw new OpenIdRefused(OpenIdRefused.Why.NAME_TAKEN);
            }
            vouched.insert(people.issuer(), subject, account.name(), today.now());
            rows.updatePassword(account.name(), accounts.nobodysPassword());
            audit.record(
                    account.name(), Act.ACCOUNT_CHANGED, account.name() + ", signs in by OpenID Connect from now on");
            events.publishEvent(new SignedOutEverywhere(account.name(), Optional.empty()));
        });
        return here.flatMap(account -> accounts.find(account.name()));
    }

    private String name(Claims claims) {
        return claims.text(people.nameClaim())
                .map(Accounts::signInName)
                .filter(name -> name.length() <= Accounts.LONGEST_NAME && !Accounts.isReserved(name))
                .orElseThrow(() -> new OpenIdRefused(OpenIdRefused.Why.NO_NAME));
    }

    private Account made(String subject, Set<Role> roles, Claims claims) {
        String name = name(claims);
        Colleague colleague = new Colleague(
                name, displayName(claims).orElse(name), roles, provider(claims).orElse(""), false, false, false);
        rows.insert(Accounts.row(colleague, accounts.nobodysPassword(), 1), today.now());
        vouched.insert(people.issuer(), subject, name, today.now());
        audit.record(name, Act.ACCOUNT_CREATED, name + " as " + Account.inWords(roles) + ", by OpenID Connect");
        return accounts.find(name).orElseThrow();
    }

    private Account brought(Account before, Set<Role> roles, Claims claims) {
        if (before.closed()) {
            throw new OpenIdRefused(OpenIdRefused.Why.CLOSED);
        }
        Colleague was = before.colleague();
        Colleague is = new Colleague(
                was.name(),
                displayName(claims).orElse(was.displayName()),
                roles,
                provider(claims).orElse(was.provider()),
                was.ownPeopleOnly(),
                was.givenListsOnly(),
                false);
        if (is.equals(was)) {
            return before;
        }
        rows.update(Accounts.row(is, before.passwordHash(), before.revision()));
        if (!is.mayTheSameAs(was)) {
            events.publishEvent(new SignedOutEverywhere(is.name(), Optional.empty()));
        }
        audit.record(
                is.name(), Act.ACCOUNT_CHANGED, is.name() + " as " + Account.inWords(roles) + ", by OpenID Connect");
        return accounts.find(is.name()).orElseThrow();
    }

    private static Optional<String> displayName(Claims claims) {
        return claims.text("name").map(name -> Shortened.to(Accounts.LONGEST_DISPLAY_NAME, name));
    }

    private Optional<String> provider(Claims claims) {
        return people.providerClaim().isBlank()
                ? Optional.empty()
                : claims.text(people.providerClaim()).filter(one -> one.length() <= Accounts.LONGEST_PROVIDER);
    }

    /** Of the groups that the service speaks of, they are in those that it says; others are ours. */
    private void joins(String account, Set<String> said) {
        Set<String> wanted = people.groups().entrySet().stream()
                .filter(group -> said.contains(group.getKey()))
                .map(Map.Entry::getValue)
                .collect(Collectors.toSet());
        Set<String> now = Set.copyOf(accounts.groupsOf(account));
        for (String group : new TreeSet<>(people.groups().values())) {
            if (wanted.contains(group) && !now.contains(group)) {
                accounts.join(group, account);
            } else if (!wanted.contains(group) && now.contains(group)) {
                accounts.leave(group, account);
            }
        }
    }
}
