package org.unrulymarble.core.record;

import java.util.Comparator;
import java.util.List;
import org.unrulymarble.core.ladder.Measure;
import org.unrulymarble.core.ladder.Rung;

/**
 * One round against what the same pupil did before on the same challenge and side.
 *
 * @param best the best before this round, or null for the first round of its kind
 * @param last the last before it, or null
 * @param newBest whether it is better than all before; counts in times of different length go by their rate
 * @param metGate whether it meets the rung's gate
 * @param byRate whether a length differs, so that scores alone would mislead
 */
public record Against(Attempt best, Attempt last, boolean newBest, boolean metGate, boolean byRate) {

    /** @param before attempts of anybody on anything, in any order; only like is compared with like */
    public static Against of(Attempt now, List<Attempt> before, Rung rung) {
        List<Attempt> like = before.stream()
                .filter(a -> !a.trial() && a.kindred().equals(now.kindred()))
                .sorted(Comparator.comparing(Attempt::on).thenComparing(Attempt::set))
                .toList();
        boolean met = Challenge.met(rung, now);
        if (like.isEmpty()) return new Against(null, null, false, met, false);
        Comparator<Attempt> merit = Challenge.byMerit(rung.measure());
        Attempt best = like.stream().max(merit).orElseThrow();
        Attempt last = like.get(like.size() - 1);
        boolean byRate = rung.measure() == Measure.COUNT_IN_TIME && !(sameLength(now, best) && sameLength(now, last));
        return new Against(best, last, !now.trial() && merit.compare(now, best) > 0, met, byRate);
    }

    private static boolean sameLength(Attempt a, Attempt b) {
        return a.workSec() == null ? b.workSec() == null : a.workSec().equals(b.workSec());
    }
}
