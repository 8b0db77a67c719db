package org.unrulymarble.core.home;

import java.math.BigInteger;
import java.util.Locale;
import java.util.Optional;

/**
 * The letters and digits of codes: 23 that neither look nor sound alike, so that no two are mixed up on paper or on the telephone. As 23 is a prime,
 * one check character finds every single wrong character and every swap of neighbours (weighted sum, as ISO/IEC 7064 has it for pure systems).
 */
final class Letters {

    static final String ALL = "23456789ACEFHJKMPRTVWXY";
    static final int COUNT = ALL.length();

    private static final int GROUP = 4;

    private Letters() {}

    /** A number as so many characters. @throws IllegalArgumentException where it does not fit */
    static String of(BigInteger number, int characters) {
        StringBuilder out = new StringBuilder();
        BigInteger left = number;
        for (int i = 0; i < characters; i++) {
            BigInteger[] parts = left.divideAndRemainder(BigInteger.valueOf(COUNT));
            out.append(ALL.charAt(parts[1].intValue()));
            left = parts[0];
        }
        if (left.signum() != 0) throw new IllegalArgumentException(number + " needs more than " + characters);
        return out.reverse().toString();
    }

    static BigInteger number(String characters) {
        BigInteger out = BigInteger.ZERO;
        for (char c : characters.toCharArray())
            out = out.multiply(BigInteger.valueOf(COUNT)).add(BigInteger.valueOf(ALL.indexOf(c)));
        return out;
    }

    /** Weights 1, 2, 3 ... from the left, never 0 modulo 23: the sum over all with the check is 0. */
    static char check(String body) {
        int sum = 0;
        for (int i = 0; i < body.length(); i++) sum += weight(i) * ALL.indexOf(body.charAt(i));
        int needed = Math.floorMod(-sum, COUNT);
        return ALL.charAt(needed * inverse(weight(body.length())) % COUNT);
    }

    static boolean checks(String code) {
        return code.length() > 1 && check(code.substring(0, code.length() - 1)) == code.charAt(code.length() - 1);
    }

    /** 1 to 22 and again: neighbours always have different ones, and none is 0. */
    private static int weight(int at) {
        return at % (COUNT - 1) + 1;
    }

    private static int inverse(int of) {
        for (int i = 1; i < COUNT; i++) if (of * i % COUNT == 1) return i;
        throw new IllegalArgumentException(of + " has no inverse");
    }

    /** Without blanks and dashes, in capitals; empty where a character is none of ours. */
    static Optional<String> read(String typed) {
        String code = typed.replaceAll("[\\s\\-–·.]", "").toUpperCase(Locale.ROOT);
        for (char c : code.toCharArray()) if (ALL.indexOf(c) < 0) return Optional.empty();
        return Optional.of(code);
    }

    /** In groups of four. */
    static String grouped(String code) {
        return code.replaceAll("(.{" + GROUP + "})(?=.)", "$1-");
    }
}
