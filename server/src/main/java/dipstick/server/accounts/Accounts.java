package dipstick.server.accounts;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.database.KnownRows;
import dipstick.server.database.KnownTables;
import dipstick.server.practice.Today;
import dipstick.server.web.PlainLetters;
import dipstick.server.web.Problems;
import dipstick.server.web.Revisions;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;

/** The people who may sign in. */
@Service
public class Accounts {
    static final int LONGEST_NAME = 60;
    static final int LONGEST_DISPLAY_NAME = 100;
    static final int LONGEST_PROVIDER = 400;

    /** By which the audit log calls what no account did. */
    private static final Set<String> RESERVED = Set.of("dipstick", "nobody");

    private static final int NOBODYS_LETTERS = 40;

    private final AccountMapper accounts;
    private final KnownRows<SequencedMap<String, Account>> known;
    private final PasswordEncoder passwords;
    private final PasswordRules rules;
    private final Revisions revisions;
    private final ApplicationEventPublisher events;
    private final AuditLog audit;
    private final Today today;

    Accounts(
            AccountMapper accounts,
            KnownTables tables,
            PasswordEncoder passwords,
            PasswordRules rules,
            Revisions revisions,
            ApplicationEventPublisher events,
            AuditLog audit,
            Today today) {
        this.accounts = accounts;
        this.known = tables.keep(AccountMapper.class, this::read);
        this.passwords = passwords;
        this.rules = rules;
        this.revisions = revisions;
        this.events = events;
        this.audit = audit;
        this.today = today;
    }

    public boolean none() {
        return accounts.count() == 0;
    }

    /** Creates an account; the name is kept in lower case, so that it can be typed either way. */
    @Transactional
    public void create(String name, String displayName, Role role, String password) {
        Colleague colleague = new Colleague(signInName(name), displayName, Set.of(role), "", false, false, false);
        create(colleague, password, colleague.name());
    }

    /** @param who creates it; a first account creates itself */
    @Transactional
    void create(Colleague colleague, String password, String who) {
        if (isReserved(colleague.name())) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "name-reserved",
                    "The audit log itself goes by this name. Nothing was created; give the account another.");
        }
        try {
            accounts.insert(row(colleague, passwords.encode(password), 1), today.now());
        } catch (DuplicateKeyException taken) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "name-taken",
                    "There is an account with this sign-in name already. Nothing was created; give it another name.");
        }
        audit.record(who, Act.ACCOUNT_CREATED, colleague.name() + " as " + Account.inWords(colleague.roles()));
    }

    /**
     * Changes what an account may do; its password stays unless a new one is given.
     *
     * @param seen the revision to which the change was made
     */
    @Transactional
    void change(Colleague colleague, Optional<String> password, int seen) {
        // All of them: two administrators must not take the right from each other at once.
        accounts.lock();
        Account before = get(colleague.name());
        if (before.colleague().is(Role.ADMINISTRATOR) && (!colleague.is(Role.ADMINISTRATOR) || colleague.closed())) {
            refuseWithoutAdministrator(colleague.name());
        }
        Account changed = row(colleague, password.map(passwords::encode).orElse(before.passwordHash()), seen);
        if (accounts.update(changed) != 1) {
            throw Problems.changedMeanwhile(
                    "Somebody changed this account meanwhile. Yours was not saved: look at theirs first.");
        }
        if (password.isPresent() || !colleague.mayTheSameAs(before.colleague())) {
            events.publishEvent(new SignedOutEverywhere(colleague.name(), Optional.empty()));
        }
        audit.record(
                Act.ACCOUNT_CHANGED,
                colleague.name() + " as " + Account.inWords(colleague.roles())
                        + (colleague.closed() ? ", closed" : "")
                        + (password.isPresent() ? ", new password" : ""));
    }

    static boolean isReserved(String name) {
        return RESERVED.contains(name);
    }

    /** Kept for an account that has no password: nobody knows what it was made of. */
    String nobodysPassword() {
        return passwords.encode(PlainLetters.random(NOBODYS_LETTERS));
    }

    /** Refuses what is no password for an account. */
    void requireGood(String password, String name, String displayName) {
        rules.require(password, name, displayName);
    }

    boolean isPassword(String name, String password) {
        return PasswordRules.isShortEnough(password)
                && passwords.matches(password, get(name).passwordHash());
    }

    /** @param session in which its own colleague does it, which goes on; every other ends */
    @Transactional
    void changePassword(String name, String password, String session) {
        rules.require(password, name, get(name).displayName());
        accounts.updatePassword(name, passwords.encode(password));
        events.publishEvent(new SignedOutEverywhere(name, Optional.of(session)));
        audit.record(Act.ACCOUNT_CHANGED, name + ", own new password");
    }

    /** How often an account was changed, from 1 on. */
    int revision(String name) {
        return get(name).revision();
    }

    private void refuseWithoutAdministrator(String without) {
        boolean another = all().stream()
                .anyMatch(one -> !one.closed()
                        && one.is(Role.ADMINISTRATOR)
                        && !one.name().equals(without));
        if (!another) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "last-administrator",
                    "This is the last administrator. Make somebody else one first; nothing was changed.");
        }
    }

    /** Everybody, those whose account is closed too. */
    public List<Colleague> all() {
        return known.now().orElseGet(this::read).values().stream()
                .map(Account::colleague)
                .toList();
    }

    private SequencedMap<String, Account> read() {
        return accounts.all().stream()
                .collect(Collectors.toMap(Account::name, Function.identity(), (one, _) -> one, LinkedHashMap::new));
    }

    /** Whoever is signed in. */
    public Colleague here() {
        return colleague(SecurityContextHolder.getContext().getAuthentication().getName());
    }

    public Colleague colleague(String name) {
        return get(name).colleague();
    }

    /** A colleague to whom something can be given; refused where there is none, or the account is closed. */
    public Colleague open(String name) {
        return find(name)
                .map(Account::colleague)
                .filter(one -> !one.closed())
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "no-such-colleague",
                        "There is no colleague “" + name + "”, or the account is closed. Nothing was changed."));
    }

    /** The name that somebody goes by, or their sign-in name where it has no account. */
    public String displayName(String name) {
        return find(name).map(Account::displayName).orElse(name);
    }

    /** Where somebody reads what is sent to them; empty where nothing can be. */
    public String emailOf(String name) {
        return accounts.email(name).orElse("");
    }

    void keepEmail(String name, String email) {
        accounts.updateEmail(name, email);
    }

    /** The groups of colleagues, by name. */
    public Map<String, List<String>> groups() {
        return accounts.groupMembers().stream()
                .collect(Collectors.groupingBy(
                        AccountMapper.Member::groupName,
                        TreeMap::new,
                        Collectors.mapping(AccountMapper.Member::account, Collectors.toList())));
    }

    public List<String> groupsOf(String account) {
        return accounts.groupsOf(account);
    }

    /** How often a group was changed; 0 for one that never was. */
    int groupRevision(String group) {
        return revisions.of(thing(group));
    }

    /**
     * Makes a group of exactly these colleagues; without any it is gone.
     *
     * @param seen the revision to which the change was made
     */
    @Transactional
    void group(String group, Collection<String> members, int seen) {
        // Whoever signs in elsewhere may join it at the same time.
        accounts.lock();
        revisions.next(thing(group), seen, "the group " + group);
        accounts.deleteGroup(group);
        Set.copyOf(members)
                .forEach(member -> accounts.insertMember(group, open(member).name()));
        audit.record(Act.GROUP_CHANGED, group + ": " + String.join(", ", members));
    }

    /** Adds one colleague to a group, which comes to be with its first. */
    @Transactional
    void join(String group, String account) {
        accounts.insertMember(group, account);
        revisions.next(thing(group), groupRevision(group), "the group " + group);
        audit.record(account, Act.GROUP_CHANGED, group + ": " + account + " joins, by OpenID Connect");
    }

    /** Takes one colleague out of a group, which is gone with its last. */
    @Transactional
    void leave(String group, String account) {
        accounts.deleteMember(group, account);
        revisions.next(thing(group), groupRevision(group), "the group " + group);
        audit.record(account, Act.GROUP_CHANGED, group + ": " + account + " leaves, by OpenID Connect");
    }

    private static String thing(String group) {
        return "group " + group;
    }

    Optional<Account> find(String name) {
        String signInName = signInName(name);
        return known.now()
                .map(all -> Optional.ofNullable(all.get(signInName)))
                .orElseGet(() -> accounts.find(signInName));
    }

    private Account get(String name) {
        return find(name).orElseThrow(Accounts::noSuchAccount);
    }

    private static ErrorResponseException noSuchAccount() {
        return Problems.refused(HttpStatus.NOT_FOUND, "no-such-account", "There is no account with this name.");
    }

    static Account row(Colleague colleague, String passwordHash, int revision) {
        return new Account(
                colleague.name(),
                colleague.displayName(),
                Account.written(colleague.roles()),
                colleague.provider(),
                colleague.ownPeopleOnly(),
                colleague.givenListsOnly(),
                colleague.closed(),
                passwordHash,
                revision);
    }

    static String signInName(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }
}
