package org.unrulymarble.server.platform;

import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;

/** Names that look like what they are: nothing in them moves, hides or turns round other letters. What is kept from before is left as it is. */
public final class PlainNames {

    private PlainNames() {}

    /** @throws Refused naming the field */
    public static void check(String field, String name) {
        check(new Checks(), field, name).done();
    }

    /** The same, together with other checks; null is left to them. */
    public static Checks check(Checks checks, String field, String name) {
        return checks.that(
                name == null || name.codePoints().allMatch(PlainNames::plain),
                field,
                Fault.Rule.KIND,
                "without control characters and marks that turn letters round");
    }

    private static boolean plain(int c) {
        return switch (Character.getType(c)) {
            case Character.CONTROL,
                    Character.FORMAT,
                    Character.SURROGATE,
                    Character.PRIVATE_USE,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR -> joinsLetters(c);
            default -> true;
        };
    }

    /** Some scripts join letters with these; they turn nothing round. */
    private static boolean joinsLetters(int c) {
        return c == 0x200C || c == 0x200D;
    }
}
