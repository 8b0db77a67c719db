package org.unrulymarble.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a staircase settles, thrown a thousand times by pupils of whom it is known. */
class SettlingTest {

    private static final int ROWS = 1_000;

    @ParameterizedTest
    @CsvSource({"12, 1, 0.5", "12, 2, 0.8", "30, 3, 0.4", "20, 2, 0.3"})
    void by_all_throws_it_is_nearer_than_by_the_turns_and_the_band_holds_it(int throwsMade, int makes, double steep) {
        Random random = new Random(31);
        double off = 0;
        double offByTurns = 0;
        int held = 0;
        int told = 0;
        int turns = 0;
        for (int row = 0; row < ROWS; row++) {
            double truth = 3 + 4 * random.nextDouble();
            Staircase s = of(makes, thrown(random, throwsMade, makes, steep, truth));
            if (s.settling() == null) continue;
            told++;
            off += s.settling().likelyStep() - truth;
            Double high = s.settling().highStep();
            if (s.settling().lowStep() <= truth && (high == null || high >= truth)) held++;
            if (s.settleStep() == null) continue;
            turns++;
            offByTurns += s.settleStep() - truth;
        }
        assertThat(told).isGreaterThanOrEqualTo(turns);
        assertThat(Math.abs(off / told)).isLessThan(0.5).isLessThan(Math.abs(offByTurns / turns) * 0.6);
        // Ninety of a hundred, as it says.
        assertThat((double) held / told).isBetween(0.86, 0.995);
    }

    @Test
    void one_that_only_hits_or_only_misses_has_not_said_yet() {
        assertThat(of(1, "HHHH").settling()).isNull();
        assertThat(of(1, "MMMM").settling()).isNull();
        Settling first = of(1, "HM").settling();
        Settling known = of(1, "HHHHMHMHMMHMHMHMHMHM").settling();
        assertThat(known.lowStep()).isLessThan(known.likelyStep());
        assertThat(known.highStep()).isGreaterThan(known.likelyStep());
        assertThat(known.highStep() - known.lowStep()).isLessThan(first.highStep() - first.lowStep());
    }

    private static Staircase of(int makes, String results) {
        return Staircase.of(new Staircase.StaircaseAsk(1, makes, OnMiss.STEP_IN, results, 0.5));
    }

    /** Hits fall off by the logistic, and at {@code truth} as many runs of so many come off as do not. */
    private static String thrown(Random random, int throwsMade, int makes, double steep, double truth) {
        double share = Math.pow(0.5, 1.0 / makes);
        double even = Math.log(share / (1 - share));
        StringBuilder results = new StringBuilder();
        int step = 1;
        int run = 0;
        for (int i = 0; i < throwsMade; i++) {
            boolean hit = random.nextDouble() < 1 / (1 + Math.exp(steep * (step - truth) - even));
            results.append(hit ? 'H' : 'M');
            run = hit ? run + 1 : 0;
            if (!hit) step = Math.max(1, step - 1);
            if (run < makes) continue;
            run = 0;
            step++;
        }
        return results.toString();
    }
}
