package org.unrulymarble.core.record;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Measure;

/**
 * One round against what the same pupil did before on the same challenge and side.
 *
 * @param best the best before this round, or null for the first round of its kind
 * @param last the last before it, or null
 * @param newBest whether it is better than all before; counts in times of different length go by their rate
 * @param metGate whether it meets the rung's gate
 * @param byRate whether a length or the number of tries differs, so that scores alone would mislead
 * @param compares whether anything can be set against it; hits of nobody knows how many tries cannot
 * @param brokenOff whether too little of the round was worked for a best
 */
public record Against(
        Attempt best,
        Attempt last,
        boolean newBest,
        boolean metGate,
        boolean byRate,
        boolean compares,
        boolean brokenOff) {

    /** @param before attempts of anybody on anything, in any order; only like is compared with like */
    public static Against of(Attempt now, List<Attempt> before, Rung rung) {
        Measure measure = now.measure(rung);
        List<Attempt> like = before.stream()
                .filter(a -> a.kindred(measure).equals(now.kindred(measure)) && counts(a, measure))
                .sorted(Comparator.comparing(Attempt::on).thenComparing(Attempt::set))
                .toList();
        boolean met = Challenge.met(rung, now);
        if (like.isEmpty() || !now.compares(measure))
            return new Against(null, null, false, met, false, now.compares(measure), now.isBrokenOff());
        Comparator<Attempt> merit = Challenge.byMerit(measure);
        Attempt best = like.stream().max(merit).orElseThrow();
        Attempt last = like.get(like.size() - 1);
        boolean byRate = !(alikeLong(measure, now, best) && alikeLong(measure, now, last));
        boolean newBest = counts(now, measure) && merit.compare(now, best) > 0;
        return new Against(best, last, newBest, met, byRate, true, now.isBrokenOff());
    }

    /** Trials and rounds broken off are nobody's best. */
    static boolean counts(Attempt a, Measure measure) {
        return !a.trial() && !a.isBrokenOff() && a.compares(measure);
    }

    private static boolean alikeLong(Measure measure, Attempt a, Attempt b) {
        return switch (measure.compared()) {
            case BY_SECONDS -> Objects.equals(a.workSec(), b.workSec());
            case BY_TRIES -> Objects.equals(a.tries(), b.tries());
            case SAME_SECONDS, AS_IT_IS -> true;
        };
    }
}
