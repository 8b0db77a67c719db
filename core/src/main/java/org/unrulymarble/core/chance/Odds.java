package org.unrulymarble.core.chance;

import java.util.function.IntPredicate;
import org.hipparchus.special.Beta;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * So many of so many. Source: the binomial tail as an incomplete beta function, P(X >= h) = I_p(h, n - h + 1).
 *
 * @param mostHitsForChance greatest number in 0..of with at least the wanted chance
 */
public record Odds(double chance, double expectedHits, int mostHitsForChance) {

    /** p 0 to 1, of 1 to 1,000, hits 0 to of, wantChance 1e-6 to 1. */
    public record OddsAsk(
            Double p, @Nullable Integer of, @Nullable Integer hits, Double wantChance) {
        public OddsAsk {
            Checks checks = new Checks().range("p", p, 0, 1).range("of", of, 1, 1000);
            checks.range("hits", hits, 0, of == null ? 1000 : of)
                    .range("wantChance", wantChance, 1e-6, 1)
                    .done();
        }
    }

    public static Odds of(OddsAsk ask) {
        return new Odds(
                atLeast(ask.p(), ask.of(), ask.hits()),
                ask.p() * ask.of(),
                mostHits(ask.p(), ask.of(), ask.wantChance()));
    }

    static int mostHits(double p, int of, double wantChance) {
        return greatest(of, h -> atLeast(p, of, h) >= wantChance - Rounding.SLACK);
    }

    /** The greatest of 1..most for which it holds, 0 if none; what holds for one holds for all below it. */
    static int greatest(int most, IntPredicate holds) {
        int enough = 0;
        int tooMany = most + 1;
        while (tooMany - enough > 1) {
            int middle = (enough + tooMany) >>> 1;
            if (holds.test(middle)) enough = middle;
            else tooMany = middle;
        }
        return enough;
    }

    public static double atLeast(double p, int of, int hits) {
        if (hits == 0 || p == 1) return 1;
        if (p == 0) return 0;
        return Beta.regularizedBeta(p, hits, of - hits + 1.0);
    }
}
