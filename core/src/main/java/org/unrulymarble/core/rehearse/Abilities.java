package org.unrulymarble.core.rehearse;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.plan.GateOdds;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.record.Standings.Likely;

/** What each pupil of the class may be able to do in each block: drawn once a play for each ladder, so that a good day is one on all its rungs. */
final class Abilities {

    private record Of(int ladder, Likely likely, TriedRound.Asked asked) {}

    private final List<List<Of>> ofBlocks = new ArrayList<>();
    private int ladders;

    Abilities(Lesson lesson, Setting setting) {
        Map<String, Integer> numbers = new HashMap<>();
        for (Placed p : Placed.all(lesson, setting)) {
            List<Of> of = new ArrayList<>();
            if (p.isTask()) {
                int number = numbers.computeIfAbsent(p.ladder().id(), id -> ladders++);
                for (PlanPupil pupil : setting.pupils()) {
                    Rung rung = p.rungOf(pupil.id(), setting);
                    of.add(new Of(number, setting.standings().likely(pupil.id(), p.ladder(), rung), asked(p, rung)));
                }
            }
            ofBlocks.add(of);
        }
    }

    /** How good each pupil's day is on each ladder, in standard deviations. */
    double[][] day(int pupils, RandomGenerator random) {
        double[][] day = new double[pupils][ladders];
        for (double[] one : day) for (int l = 0; l < ladders; l++) one[l] = random.nextGaussian();
        return day;
    }

    /** Of this pupil's tries in the block so many go in on such a day. */
    double share(int block, int pupil, double[] day) {
        Of of = ofBlocks.get(block).get(pupil);
        double logit = of.likely().mean() + of.likely().sd() * day[of.ladder()];
        return 1 / (1 + Math.exp(-logit));
    }

    /** What a round of this pupil in the block is about. */
    TriedRound.Asked asked(int block, int pupil) {
        return ofBlocks.get(block).get(pupil).asked();
    }

    private static TriedRound.Asked asked(Placed p, Rung rung) {
        return new TriedRound.Asked(
                GateOdds.measure(p, rung),
                GateOdds.gate(p, rung),
                rung.pace(),
                p.workSec(),
                p.reps(),
                !rung.measure().countsTries() || rung.measure().byGoes());
    }
}
