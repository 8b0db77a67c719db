package org.unrulymarble.server.account;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Sort;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.PlainNames;
import org.unrulymarble.server.platform.Stale;

/** Accounts: made, let in, changed and closed. Each change is told in the audit. */
@Service
public class AccountService {

    /** How long a one-time code lets in. */
    static final Duration CODE_GOOD_FOR = Duration.ofDays(7);
    /** From where somebody came in within that time is a place known for them. */
    private static final Duration PLACE_KNOWN_FOR = Duration.ofDays(30);

    private final Accounts accounts;
    private final Passwords passwords;
    private final SignInLimit limit;
    private final Audit audit;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transactions;
    private final Clock clock;
    private final String setupCode;

    AccountService(
            Accounts accounts,
            Passwords passwords,
            SignInLimit limit,
            Audit audit,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            ApplicationEventPublisher events,
            TransactionTemplate transactions,
            Clock clock) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.limit = limit;
        this.audit = audit;
        this.sessions = sessions;
        this.events = events;
        this.transactions = transactions;
        this.clock = clock;
        this.setupCode = passwords.newCode();
    }

    /** An account with the one-time code that lets in until then; the code is shown once and kept nowhere. */
    record Coded(Account account, String code) {}

    /**
     * Takes as long for an unknown name as for a wrong password.
     *
     * @return empty where they do not fit
     * @throws org.unrulymarble.server.platform.TooManyTries before anything is looked at
     */
    Optional<SignedIn> signIn(String username, String password, String address) {
        Optional<Account> account = accounts.findByUsername(normal(username));
        SignInLimit.Try one = counted(username, account, address);
        boolean right =
                passwords.fits(password, account.map(Account::passwordHash).orElse(null));
        return let(account.filter(a -> right && a.active()), account, one);
    }

    /**
     * Comes in with a one-time code and sets a password.
     *
     * @throws Refused naming the field; {@code code} also where the name is not known
     */
    SignedIn join(String username, String code, String password, String address) {
        Optional<Account> account = accounts.findByUsername(normal(username));
        SignInLimit.Try one = counted(username, account, address);
        String hash = account.filter(Account::active)
                .map(a -> a.codeHash(clock.instant()))
                .orElse(null);
        if (!passwords.fits(code.strip().toUpperCase(Locale.ROOT), hash)) {
            refused(account);
            throw new Refused("code", Fault.Rule.KIND, "the code that you were given for this name, not used before");
        }
        one.right();
        Account known = account.orElseThrow();
        checkPassword("password", password, known.username(), known.displayName());
        return transactions.execute(status -> {
            Account fresh = accounts.findById(known.id()).orElseThrow(NotFound::new);
            // Whoever was faster with the same code has it.
            if (!hash.equals(fresh.codeHash(clock.instant())))
                throw new Refused("code", Fault.Rule.KIND, "a code that was not used before");
            fresh.letInBy(passwords.hash(password));
            accounts.saveAndFlush(fresh);
            audit.note(fresh.id(), Audit.Kind.JOINED, fresh.id());
            audit.note(fresh.id(), Audit.Kind.SIGNED_IN, fresh.id());
            return fresh.signedIn();
        });
    }

    private SignInLimit.Try counted(String username, Optional<Account> account, String address) {
        boolean known = account.isPresent() && audit.cameIn(account.get().id(), address, PLACE_KNOWN_FOR);
        return limit.count(address, normal(username), known);
    }

    private Optional<SignedIn> let(Optional<Account> in, Optional<Account> asked, SignInLimit.Try one) {
        if (in.isEmpty()) {
            refused(asked);
            return Optional.empty();
        }
        one.right();
        audit.note(in.get().id(), Audit.Kind.SIGNED_IN, in.get().id());
        return in.map(Account::signedIn);
    }

    private void refused(Optional<Account> account) {
        audit.note(null, Audit.Kind.SIGN_IN_REFUSED, account.map(Account::id).orElse(null));
    }

    public boolean nobodyYet() {
        return accounts.count() == 0;
    }

    public boolean isKnown(String username) {
        return accounts.findByUsername(normal(username)).isPresent();
    }

    public String setupCode() {
        return setupCode;
    }

    /**
     * Makes the first account, an administrator's; of several who try at once one makes it.
     *
     * @throws Refused naming the field
     */
    synchronized SignedIn setUp(String code, String username, String displayName, String password, String address) {
        SignInLimit.Try one = limit.count(address, "", false);
        return transactions.execute(status -> {
            if (!nobodyYet() || !setupCode.equalsIgnoreCase(String.valueOf(code).strip()))
                throw new Refused("code", Fault.Rule.KIND, "the code from the window where the server was started");
            one.right();
            checkNames(username, displayName);
            checkPassword("password", password, username, displayName);
            Account first = create(username, displayName, password, Role.ADMINISTRATOR);
            audit.note(first.id(), Audit.Kind.SET_UP, first.id());
            audit.note(first.id(), Audit.Kind.SIGNED_IN, first.id());
            return first.signedIn();
        });
    }

    /** Makes an account with a password that is not measured: for the demo, whose sign-ins are short on purpose. */
    @Transactional
    public Account create(String username, String displayName, String password, Role role) {
        Account account = fresh(username, displayName, role);
        account.letInBy(passwords.hash(password));
        return accounts.saveAndFlush(account);
    }

    /** @throws Refused naming the field */
    @Transactional
    Coded invite(String username, String displayName, Role role) {
        SignedIn.onlyAdministrators();
        checkNames(username, displayName);
        Account account = fresh(username, displayName, role);
        audit.note(me(), Audit.Kind.INVITED, account.id());
        return coded(account);
    }

    /** Ends the password and whatever is open with it; the code lets in once, to set another. */
    @Transactional
    Coded reset(UUID id) {
        SignedIn.onlyAdministrators();
        Account account = accounts.findById(id).orElseThrow(NotFound::new);
        new Checks()
                .that(!id.equals(me()), "id", Fault.Rule.KIND, "another account than your own")
                .done();
        audit.note(me(), Audit.Kind.PASSWORD_RESET, id);
        cut(account);
        return coded(account);
    }

    private Coded coded(Account account) {
        String code = passwords.newCode();
        account.letInOnce(passwords.hash(code), clock.instant().plus(CODE_GOOD_FOR));
        return new Coded(accounts.saveAndFlush(account), code);
    }

    private Account fresh(String username, String displayName, Role role) {
        String name = normal(username);
        if (accounts.findByUsername(name).isPresent()) throw new Refused("username", Fault.Rule.TWICE, name);
        return new Account(UUID.randomUUID(), name, displayName.strip(), role);
    }

    List<Account> all() {
        SignedIn.onlyAdministrators();
        return accounts.findAll(Sort.by("displayName"));
    }

    /** Those who may help in a class, by name. */
    List<Account> helpers() {
        return accounts.findAll(Sort.by("displayName")).stream()
                .filter(a -> a.active() && a.role() == Role.HELPER)
                .toList();
    }

    /** Somebody a lesson can be handed to. */
    public record Colleague(UUID id, String displayName, boolean teaches) {}

    /** All others who may sign in, by name. */
    public List<Colleague> colleagues() {
        return accounts.findAll(Sort.by("displayName")).stream()
                .filter(a -> a.active() && !a.id().equals(me()))
                .map(a -> new Colleague(a.id(), a.displayName(), a.role().teaches()))
                .toList();
    }

    /**
     * Changes an account; with another role or closed, whatever is open with it ends.
     *
     * @throws Refused for an administrator who would close the own account or give up the own role: somebody must be left to open it again
     */
    @Transactional
    Account change(UUID id, Long version, String displayName, Role role, boolean active) {
        SignedIn.onlyAdministrators();
        Account account = accounts.findById(id).orElseThrow(NotFound::new);
        Stale.unless(account.version(), version);
        boolean me = id.equals(me());
        checkNames(account.username(), displayName);
        new Checks()
                .that(!me || active, "active", Fault.Rule.ONE_OF, "true")
                .that(!me || role == account.role(), "role", Fault.Rule.ONE_OF, account.role())
                .done();
        if (!displayName.strip().equals(account.displayName())) audit.note(me(), Audit.Kind.NAME_CHANGED, id);
        if (role != account.role()) audit.note(me(), Audit.Kind.ROLE_CHANGED, id + " " + role);
        if (active != account.active())
            audit.note(me(), active ? Audit.Kind.ACCOUNT_OPENED : Audit.Kind.ACCOUNT_CLOSED, id);
        boolean less = !active || role != account.role();
        account.change(displayName.strip(), role, active);
        Account saved = accounts.saveAndFlush(account);
        if (less) cut(account);
        return saved;
    }

    /**
     * Sets another password for whoever asks; whatever else is open with the account ends.
     *
     * @param here id of the session that goes on
     * @throws Refused naming {@code old} or {@code password}
     */
    void changeOwn(String old, String password, String here, String address) {
        SignedIn me = SignedIn.now();
        Account account = accounts.findById(me.accountId()).orElseThrow(NotFound::new);
        SignInLimit.Try one = limit.count(address, account.username(), true);
        if (!passwords.fits(old, account.passwordHash()))
            throw new Refused("old", Fault.Rule.KIND, "the one you signed in with");
        one.right();
        checkPassword("password", password, account.username(), account.displayName());
        new Checks()
                .that(!password.equals(old), "password", Fault.Rule.KIND, "another one than before")
                .done();
        String hash = passwords.hash(password);
        transactions.executeWithoutResult(status -> {
            Account fresh = accounts.findById(account.id()).orElseThrow(NotFound::new);
            fresh.letInBy(hash);
            accounts.saveAndFlush(fresh);
            audit.note(fresh.id(), Audit.Kind.PASSWORD_CHANGED, fresh.id());
        });
        sessions.findByPrincipalName(account.username()).keySet().stream()
                .filter(id -> !id.equals(here))
                .forEach(sessions::deleteById);
    }

    /** Ends the sessions of an account, and tells all who remember what it may do. */
    private void cut(Account account) {
        sessions.findByPrincipalName(account.username()).keySet().forEach(sessions::deleteById);
        events.publishEvent(new AccessChanged(account.id()));
    }

    private static void checkNames(String username, String displayName) {
        new Checks()
                .text("username", username, 40)
                .text("displayName", displayName, 60)
                .done();
        PlainNames.check("username", username);
        PlainNames.check("displayName", displayName);
    }

    private void checkPassword(String field, String password, String username, String displayName) {
        Checks checks = new Checks();
        passwords.check(checks, field, password, username, displayName);
        checks.done();
    }

    private static UUID me() {
        return SignedIn.now().accountId();
    }

    private static String normal(String username) {
        return username.strip().toLowerCase(Locale.ROOT);
    }
}
