package org.unrulymarble.server.account;

import java.security.SecureRandom;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;

@Service
public class AccountService {

    /** Letters and digits that are not mistaken for one another when copied by hand. */
    private static final String CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private final Accounts accounts;
    private final PasswordEncoder passwords;
    private final String setupCode = newCode();
    private final String noSuchHash;

    AccountService(Accounts accounts, PasswordEncoder passwords) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.noSuchHash = passwords.encode(UUID.randomUUID().toString());
    }

    /** Takes as long for an unknown name as for a wrong password. */
    Optional<SignedIn> check(String username, String password) {
        Optional<Account> account = accounts.findByUsername(normal(username));
        boolean right =
                passwords.matches(password, account.map(Account::passwordHash).orElse(noSuchHash));
        return right ? account.map(Account::signedIn) : Optional.empty();
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
                .that(
                        password == null || (password.length() >= 8 && password.length() <= 72),
                        "password",
                        Fault.Rule.LENGTH,
                        8,
                        72)
                .done();
        String name = normal(username);
        if (accounts.findByUsername(name).isPresent()) throw new Refused("username", Fault.Rule.TWICE, name);
        return accounts.save(
                new Account(UUID.randomUUID(), name, displayName.strip(), passwords.encode(password), role));
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
