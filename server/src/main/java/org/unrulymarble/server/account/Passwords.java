package org.unrulymarble.server.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.List;
import java.util.UUID;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/** What a new password must be, how it is kept, and one-time codes. Passwords that were set under older rules keep working. */
@Component
class Passwords {

    static final int FEWEST_CHARACTERS = 12;
    /** The hash reads no more than that. */
    static final int MOST_BYTES = 72;
    /** One in a million guesses is where lists of common passwords and their usual variations end. */
    private static final double FEWEST_GUESSES_LOG10 = 6;

    /** Letters and digits that are not mistaken for one another when copied by hand. */
    private static final String CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int CODE_LENGTH = 10;

    private final SecureRandom random = new SecureRandom();
    private final PasswordEncoder encoder;
    private final Zxcvbn guesser = new Zxcvbn();
    private final String noSuchHash;

    Passwords(PasswordEncoder encoder) {
        this.encoder = encoder;
        this.noSuchHash = encoder.encode(UUID.randomUUID().toString());
    }

    /** Says under {@code field} what is wrong with a new password, if anything is. */
    void check(Checks checks, String field, String password, String username, String displayName) {
        if (password == null) {
            checks.required(field, null);
            return;
        }
        if (password.codePointCount(0, password.length()) < FEWEST_CHARACTERS) {
            checks.that(false, field, Fault.Rule.KIND, FEWEST_CHARACTERS + " characters or more");
            return;
        }
        int bytes = password.getBytes(StandardCharsets.UTF_8).length;
        if (bytes > MOST_BYTES) {
            checks.that(
                    false,
                    field,
                    Fault.Rule.KIND,
                    "at most " + MOST_BYTES + " bytes long (letters with accents take two); this is " + bytes);
            return;
        }
        String folded = fold(password);
        boolean name = List.of(fold(username), fold(displayName)).stream()
                .anyMatch(n -> !n.isEmpty()
                        && (n.contains(folded) || folded.replace(n, "").length() < 6));
        checks.that(!name, field, Fault.Rule.KIND, "something else than the name");
        if (!name)
            checks.that(
                    guesser.measure(password).getGuessesLog10() >= FEWEST_GUESSES_LOG10,
                    field,
                    Fault.Rule.KIND,
                    "something that is on no list of common passwords, nor a small change of one");
    }

    private static String fold(String text) {
        return text == null ? "" : text.toLowerCase(java.util.Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }

    String hash(String password) {
        return encoder.encode(password);
    }

    /** Takes as long where there is no hash as where it does not fit. */
    boolean fits(String password, String hash) {
        boolean right = encoder.matches(cut(password), hash == null ? noSuchHash : hash);
        return right && hash != null;
    }

    /** A password that nobody can have set is wrong, not an error. */
    private static String cut(String password) {
        return password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES ? "" : password;
    }

    String newCode() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < CODE_LENGTH; i++) code.append(CODE_LETTERS.charAt(random.nextInt(CODE_LETTERS.length())));
        return code.toString();
    }
}
