package org.unrulymarble.server.account;

import java.security.SecureRandom;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Sort;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;

@Service
public class AccountService {

    /** Letters and digits that are not mistaken for one another when copied by hand. */
    private static final String CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private final Accounts accounts;
    private final PasswordEncoder passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final String setupCode = newCode();
    private final String noSuchHash;

    AccountService(
            Accounts accounts,
            PasswordEncoder passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.passwords = passwords;
        this.noSuchHash = passwords.encode(UUID.randomUUID().toString());
    }

    /** Takes as long for an unknown name as for a wrong password. */
    Optional<SignedIn> check(String username, String password) {
        Optional<Account> account = accounts.findByUsername(normal(username));
        boolean right =
                passwords.matches(password, account.map(Account::passwordHash).orElse(noSuchHash));
        return right ? account.filter(Account::active).map(Account::signedIn) : Optional.empty();
    }

    public boolean nobodyYet() {
        return accounts.count() == 0;
    }

    public String setupCode() {
        return setupCode;
    }

    /** @throws Refused naming the field */
    @Transactional
    public Account create(String username, String displayName, String password, Role role) {
        new Checks()
                .text("username", username, 40)
                .text("displayName", displayName, 60)
                .required("password", password)
                .that(password == null || longEnough(password), "password", Fault.Rule.LENGTH, 8, 72)
                .done();
        String name = normal(username);
        if (accounts.findByUsername(name).isPresent()) throw new Refused("username", Fault.Rule.TWICE, name);
        return accounts.save(
                new Account(UUID.randomUUID(), name, displayName.strip(), passwords.encode(password), role));
    }

    public List<Account> all() {
        return accounts.findAll(Sort.by("displayName"));
    }

    /**
     * Changes an account; with another password, another role or closed, whoever is signed in as it is signed out.
     *
     * @param password another one, or null to keep the one there is
     * @throws Refused for a teacher who would close the own account or give up the own role: somebody must be left to open it again
     */
    @Transactional
    public Account change(UUID id, Long version, String displayName, Role role, boolean active, String password) {
        Account account = accounts.findById(id).orElseThrow(NotFound::new);
        Stale.unless(account.version(), version);
        boolean me = id.equals(SignedIn.now().accountId());
        new Checks()
                .that(password == null || longEnough(password), "password", Fault.Rule.LENGTH, 8, 72)
                .that(!me || active, "active", Fault.Rule.ONE_OF, "true")
                .that(!me || role == account.role(), "role", Fault.Rule.ONE_OF, account.role())
                .done();
        boolean signOut = !me && (!active || password != null || role != account.role());
        account.change(displayName.strip(), role, active);
        if (password != null) account.passwordHash(passwords.encode(password));
        if (signOut) sessions.findByPrincipalName(account.username()).keySet().forEach(sessions::deleteById);
        return accounts.saveAndFlush(account);
    }

    private static boolean longEnough(String password) {
        return password.length() >= 8 && password.length() <= 72;
    }

    private static String normal(String username) {
        return username.strip().toLowerCase(Locale.ROOT);
    }

    private static String newCode() {
        SecureRandom random = new SecureRandom();
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < 8; i++) code.append(CODE_LETTERS.charAt(random.nextInt(CODE_LETTERS.length())));
        return code.toString();
    }
}
