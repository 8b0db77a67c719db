package org.unrulymarble.core.chance;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;

/**
 * The gate that suits these pupils in this time: the longest run in a row, and the most hits of so many, that each is likely enough to make.
 * For the class, a gate's chance is the mean over its pupils, which is the share of them that can be expected to make it.
 *
 * @param tries that fit into the round
 * @param classRun longest run whose mean chance is at least the wanted one, 0 if none
 * @param classHits most hits of {@code of} whose mean chance is, 0 if none
 * @param runs chance of each gate from one in a row upwards
 */
public record GateFor(int tries, List<PupilGate> pupils, int classRun, int classHits, List<RunChance> runs) {

    /** For one pupil, in the order asked. */
    public record PupilGate(int run, int hits) {}

    /** @param meanChance of so many in a row, over the pupils */
    public record RunChance(int run, double meanChance) {}

    private static final int MOST_TRIES = 2000;
    private static final int MOST_RUN = 40;

    /** shares 1 to 500, each 0 to 1; roundSec whole; secPerTry 0.01 to 14,400; of 1 to 1,000; wantChance 1e-6 to 1. At most 2,000 tries in a round. */
    public record GateForAsk(
            List<Double> shares,
            Integer roundSec,
            Double secPerTry,
            @Nullable Integer of,
            Double wantChance) {
        public GateForAsk {
            Checks checks = new Checks()
                    .entries("shares", shares, 1, 500)
                    .seconds("roundSec", roundSec)
                    .range("secPerTry", secPerTry, 0.01, Checks.MAX_SEC)
                    .range("of", of, 1, 1000)
                    .range("wantChance", wantChance, 1e-6, 1);
            checks.done();
            for (int i = 0; i < shares.size(); i++) checks.range("shares[" + i + "]", shares.get(i), 0, 1);
            checks.that(roundSec / secPerTry < MOST_TRIES + 1, "secPerTry", Fault.Rule.TRIES, MOST_TRIES)
                    .done();
            shares = List.copyOf(shares);
        }
    }

    public static GateFor of(GateForAsk ask) {
        int tries = Rounding.floor(ask.roundSec() / ask.secPerTry());
        List<PupilGate> pupils = new ArrayList<>();
        for (double p : ask.shares())
            pupils.add(new PupilGate(
                    Streak.longestRun(p, tries, ask.wantChance()), Odds.mostHits(p, ask.of(), ask.wantChance())));
        List<RunChance> runs = new ArrayList<>();
        int classRun = 0;
        for (int run = 1; run <= Math.min(tries, MOST_RUN); run++) {
            int length = run;
            double mean = mean(ask, p -> Streak.chance(p, length, tries));
            runs.add(new RunChance(run, mean));
            if (mean >= ask.wantChance() - Rounding.SLACK) classRun = run;
        }
        int classHits = Odds.greatest(
                ask.of(), h -> mean(ask, p -> Odds.atLeast(p, ask.of(), h)) >= ask.wantChance() - Rounding.SLACK);
        return new GateFor(tries, List.copyOf(pupils), classRun, classHits, List.copyOf(runs));
    }

    private static double mean(GateForAsk ask, DoubleUnaryOperator chance) {
        return ask.shares().stream()
                .mapToDouble(p -> chance.applyAsDouble(p))
                .average()
                .orElseThrow();
    }
}
