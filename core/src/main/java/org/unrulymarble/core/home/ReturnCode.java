package org.unrulymarble.core.home;

import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * What comes back from a practice, as at most 24 characters: which card and practice (5), the numbers and how it felt (as many as the card's bounds
 * need, 13 at most), that it comes from this card (5, some 22 bits of HMAC-SHA256 by the card's key), and a check (1). The number on a paper
 * card is the same without any numbers: 11 characters. Bit by bit in docs/formats.md.
 *
 * @param practice from 1
 * @param numbers one for each box of the practice, null where nothing was filled in
 * @param felt how it felt, or null
 */
public record ReturnCode(int card, int practice, List<Integer> numbers, Felt felt) {

    /** How it felt to whoever practised. */
    public enum Felt {
        EASY,
        RIGHT,
        HARD
    }

    public static final int MOST_BOXES = 8;
    public static final int MOST_PRACTICES = 8;

    private static final int HEAD = 5;
    private static final int TAG = 5;
    private static final int MOST_BODY = 13;
    private static final BigInteger FELT = BigInteger.valueOf(Felt.values().length + 1L);

    /** Cards are numbered from 0. */
    public static final int MOST_CARDS = 23 * 23 * 23 * 23 * 23 / MOST_PRACTICES;

    public ReturnCode {
        new Checks()
                .range("card", card, 0, MOST_CARDS - 1)
                .range("practice", practice, 1, MOST_PRACTICES)
                .that(numbers != null && numbers.size() <= MOST_BOXES, "numbers", Fault.Rule.ENTRIES, 0, MOST_BOXES)
                .done();
        numbers = java.util.Collections.unmodifiableList(new ArrayList<>(numbers));
    }

    /** Which card and practice a code names; all else needs the card. */
    public record Head(int card, int practice, String code) {

        /** Whether it is a paper card's number, which says nothing else. */
        public boolean paper() {
            return code.length() == HEAD + TAG + 1;
        }
    }

    /** Why a code is none. */
    public enum Wrong {
        /** A character that codes do not have. */
        CHARACTER,
        /** Too short or too long for any. */
        LENGTH,
        /** The check does not fit: mistyped. */
        CHECK,
        /** Not made by this card. */
        NOT_THIS_CARD
    }

    /** A code that was read so far, or why it is none. */
    public record Heard(Head head, Wrong wrong) {}

    /** Reads what needs no card. @param typed with blanks, dashes and small letters as they come */
    public static Heard head(String typed) {
        Optional<String> read = Letters.read(typed);
        if (read.isEmpty()) return new Heard(null, Wrong.CHARACTER);
        String code = read.get();
        if (code.length() < HEAD + TAG + 1 || code.length() > HEAD + MOST_BODY + TAG + 1)
            return new Heard(null, Wrong.LENGTH);
        if (!Letters.checks(code)) return new Heard(null, Wrong.CHECK);
        int head = Letters.number(code.substring(0, HEAD)).intValue();
        if (head / MOST_PRACTICES >= MOST_CARDS) return new Heard(null, Wrong.NOT_THIS_CARD);
        return new Heard(new Head(head / MOST_PRACTICES, head % MOST_PRACTICES + 1, code), null);
    }

    /**
     * The rest of a code, by its card.
     *
     * @param most the largest number of each box of that practice
     * @return empty where it was not made by this card
     */
    public static Optional<ReturnCode> of(Head head, byte[] key, List<Integer> most) {
        int body = bodyLength(most);
        String code = head.code();
        if (head.paper() || code.length() != HEAD + body + TAG + 1) return Optional.empty();
        String said = code.substring(0, HEAD + body);
        if (!code.startsWith(tag(key, said), HEAD + body)) return Optional.empty();
        BigInteger left = Letters.number(said.substring(HEAD));
        BigInteger[] split = left.divideAndRemainder(FELT);
        Felt felt = split[1].intValue() == 0 ? null : Felt.values()[split[1].intValue() - 1];
        Integer[] numbers = new Integer[most.size()];
        left = split[0];
        for (int i = most.size() - 1; i >= 0; i--) {
            split = left.divideAndRemainder(base(most.get(i)));
            int n = split[1].intValue();
            numbers[i] = n == 0 ? null : (Integer) (n - 1);
            left = split[0];
        }
        return left.signum() != 0
                ? Optional.empty()
                : Optional.of(new ReturnCode(head.card(), head.practice(), Arrays.asList(numbers), felt));
    }

    /** Whether a paper card's number is of this card. */
    public static boolean paperOf(Head head, byte[] key) {
        String said = head.code().substring(0, HEAD);
        return head.paper() && head.code().startsWith(tag(key, said), HEAD);
    }

    /**
     * @param most the largest number of each box
     * @throws org.unrulymarble.core.check.Refused naming {@code numbers}
     */
    public String code(byte[] key, List<Integer> most) {
        Checks checks = new Checks()
                .that(numbers.size() == most.size(), "numbers", Fault.Rule.ENTRIES, most.size(), most.size());
        for (int i = 0; i < Math.min(most.size(), numbers.size()); i++)
            if (numbers.get(i) != null)
                checks.that(
                        numbers.get(i) >= 0 && numbers.get(i) <= most.get(i),
                        "numbers[" + i + "]",
                        Fault.Rule.RANGE,
                        0,
                        most.get(i));
        checks.done();
        BigInteger all = BigInteger.ZERO;
        for (int i = 0; i < most.size(); i++)
            all = all.multiply(base(most.get(i)))
                    .add(BigInteger.valueOf(numbers.get(i) == null ? 0 : numbers.get(i) + 1));
        all = all.multiply(FELT).add(BigInteger.valueOf(felt == null ? 0 : felt.ordinal() + 1L));
        return finished(headOf(card, practice) + Letters.of(all, bodyLength(most)), key);
    }

    /** The number that is printed on a paper card. */
    public static String paper(int card, int practice, byte[] key) {
        return finished(headOf(card, practice), key);
    }

    private static String headOf(int card, int practice) {
        return Letters.of(BigInteger.valueOf((long) card * MOST_PRACTICES + practice - 1), HEAD);
    }

    private static String finished(String said, byte[] key) {
        String tagged = said + tag(key, said);
        return Letters.grouped(tagged + Letters.check(tagged));
    }

    /** How many characters the numbers and how it felt take. */
    static int bodyLength(List<Integer> most) {
        BigInteger all = FELT;
        for (int m : most) all = all.multiply(base(m));
        int characters = 0;
        for (BigInteger left = all.subtract(BigInteger.ONE); left.signum() > 0; characters++)
            left = left.divide(BigInteger.valueOf(Letters.COUNT));
        return characters;
    }

    /** Whether a practice with such boxes can come back in one code. */
    public static boolean fits(List<Integer> most) {
        return most.size() <= MOST_BOXES && bodyLength(most) <= MOST_BODY;
    }

    /** Nothing filled in, or 0 to the most. */
    private static BigInteger base(int most) {
        return BigInteger.valueOf(most + 2L);
    }

    /** The first eight bytes of HMAC-SHA256 (RFC 2104), modulo 23 to the fifth. */
    private static String tag(byte[] key, String said) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(key, "HmacSHA256"));
            byte[] whole = mac.doFinal(said.getBytes(StandardCharsets.US_ASCII));
            BigInteger eight = new BigInteger(1, Arrays.copyOf(whole, 8));
            return Letters.of(eight.mod(BigInteger.valueOf(Letters.COUNT).pow(TAG)), TAG);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
