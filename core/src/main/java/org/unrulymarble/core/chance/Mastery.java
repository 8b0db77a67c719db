package org.unrulymarble.core.chance;

import java.util.List;
import org.hipparchus.special.Beta;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;

/**
 * Up, stay or back. Source: success rate ~ Beta(1 + S, 1 + F) with old tries halved every half-life. Only rounds with counted misses are
 * evidence.
 *
 * @param chanceHolds that the rate is at least the standard to hold
 * @param chanceBelowFloor that it is at most the floor
 */
public record Mastery(double chanceHolds, double chanceBelowFloor, double weightedTries, Advice advice) {

    /** What the tries say. MORE: too few of them. */
    public enum Advice {
        UP,
        STAY,
        BACK,
        MORE
    }

    /** daysAgo 0 to 36,500; hits and misses whole, 0 to 100,000. */
    public record Evidence(
            Double daysAgo,
            @Nullable Integer hits,
            @Nullable Integer misses) {
        public Evidence {
            new Checks()
                    .range("daysAgo", daysAgo, 0, 36_500)
                    .range("hits", hits, 0, 100_000)
                    .range("misses", misses, 0, 100_000)
                    .done();
        }
    }

    /** At most 10,000 pieces of evidence; halfLifeDays above 0; floorStandard below holdStandard; sure between 0.5 and 1. */
    public record MasteryAsk(
            List<Evidence> evidence,
            Double halfLifeDays,
            Double holdStandard,
            Double floorStandard,
            Double sure,
            Double minTries) {
        public MasteryAsk {
            new Checks()
                    .entries("evidence", evidence, 0, 10_000)
                    .above("halfLifeDays", halfLifeDays, 0, 1e9)
                    .range("holdStandard", holdStandard, 0, 1)
                    .range("floorStandard", floorStandard, 0, 1)
                    .that(
                            floorStandard == null || holdStandard == null || floorStandard < holdStandard,
                            "holdStandard",
                            Fault.Rule.ABOVE_FIELD,
                            "floorStandard")
                    .between("sure", sure, 0.5, 1)
                    .range("minTries", minTries, 0, 100_000)
                    .done();
            evidence = List.copyOf(evidence);
        }
    }

    public static Mastery of(MasteryAsk ask) {
        double hits = 0;
        double misses = 0;
        for (Evidence e : ask.evidence()) {
            double weight = Math.pow(0.5, e.daysAgo() / ask.halfLifeDays());
            hits += weight * e.hits();
            misses += weight * e.misses();
        }
        double holds = 1 - Beta.regularizedBeta(ask.holdStandard(), 1 + hits, 1 + misses);
        double below = Beta.regularizedBeta(ask.floorStandard(), 1 + hits, 1 + misses);
        double tries = hits + misses;
        return new Mastery(holds, below, tries, advice(ask, holds, below, tries));
    }

    private static Advice advice(MasteryAsk ask, double holds, double below, double tries) {
        if (tries == 0 || tries < ask.minTries() - Rounding.SLACK) return Advice.MORE;
        if (holds >= ask.sure() - Rounding.SLACK) return Advice.UP;
        if (below >= ask.sure() - Rounding.SLACK) return Advice.BACK;
        return Advice.STAY;
    }
}
