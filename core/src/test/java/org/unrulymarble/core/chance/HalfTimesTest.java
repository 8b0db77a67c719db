package org.unrulymarble.core.chance;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Pace;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.CountInTime;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.HeldForTime;
import org.unrulymarble.core.measure.LongestRun;

/** The second until which half of a class have met a gate, held against a class that is played try by try, on every rung. */
class HalfTimesTest {

    private static final int PUPILS = 4001;
    private static final double OFF_BY = 0.1;
    /** Seconds come in steps of a try: where half falls between two of them, either is right. */
    private static final double OF_HALF = 0.03;

    @ParameterizedTest
    @ValueSource(doubles = {0, 1})
    void half_of_a_class_is_through_when_half_of_a_played_one_is(double sd) {
        List<String> off = new ArrayList<>();
        int held = 0;
        for (Ladder ladder : Catalogue.shipped().all())
            for (Rung rung : ladder.rungs()) {
                if (!GateChance.known(rung.measure(), rung.gate())) continue;
                held++;
                RateSpread rates = new RateSpread().add(logit(rung.pace().share()), sd);
                double played = half(rung, sd);
                double told = half(rung, rates);
                boolean between = through(rung, rates, played - 0.1) < 0.5 + OF_HALF
                        && through(rung, rates, played + 0.1) > 0.5 - OF_HALF;
                if (Math.abs(told / played - 1) > OFF_BY && !between)
                    off.add("%s/%s: told %.1f s, played %.1f s".formatted(ladder.id(), rung.id(), told, played));
            }
        assertThat(held).isGreaterThan(400);
        assertThat(off).isEmpty();
    }

    private static double through(Rung rung, RateSpread rates, double sec) {
        return rates.mean(p -> GateChance.within(rung.measure(), rung.gate(), rung.pace(), p, sec));
    }

    private static double half(Rung rung, RateSpread rates) {
        double low = 0;
        double high = 3600;
        while (high - low > 0.1) {
            double middle = (low + high) / 2;
            if (through(rung, rates, middle) >= 0.5) high = middle;
            else low = middle;
        }
        return high;
    }

    private static double half(Rung rung, double sd) {
        SplittableRandom random = new SplittableRandom(3);
        double[] sec = new double[PUPILS];
        for (int i = 0; i < PUPILS; i++) {
            double ability = logit(rung.pace().share()) + sd * random.nextGaussian();
            sec[i] = play(rung, 1 / (1 + Math.exp(-ability)), random);
        }
        Arrays.sort(sec);
        return sec[PUPILS / 2];
    }

    /** Seconds until one pupil has met the gate; an hour ends it. */
    private static double play(Rung rung, double p, SplittableRandom random) {
        Gate gate = rung.gate();
        Pace pace = rung.pace();
        boolean held = rung.measure() instanceof HeldForTime && !(gate instanceof Gate.InARow);
        boolean row = held || gate instanceof Gate.InARow || rung.measure() instanceof LongestRun;
        int asked = held ? Rounding.ceil(gate.reach() / pace.hitSec()) : gate.reach();
        int triesOfGo = gate.outOf() != null
                ? gate.outOf()
                : rung.measure() instanceof CountInTime || row ? Integer.MAX_VALUE : asked;
        double secOfGo = gate instanceof Gate.SoManyIn in ? in.inSec() : Double.MAX_VALUE;
        int hits = 0;
        int tries = 0;
        double goBegan = 0;
        for (double sec = 0; sec < 3600; ) {
            boolean hit = random.nextDouble() < p;
            sec += hit ? pace.hitSec() : pace.missSec();
            if (sec - goBegan > secOfGo + 1e-9) {
                goBegan += secOfGo;
                sec = goBegan;
                hits = 0;
                continue;
            }
            hits = hit ? hits + 1 : row ? 0 : hits;
            if (hits >= asked) return sec;
            if (++tries == triesOfGo) {
                tries = 0;
                hits = 0;
            }
        }
        return 3600;
    }

    private static double logit(double share) {
        return Math.log(share / (1 - share));
    }
}
