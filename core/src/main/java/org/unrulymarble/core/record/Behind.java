package org.unrulymarble.core.record;

import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.unrulymarble.core.chance.Rates;
import org.unrulymarble.core.ladder.Side;

/**
 * Which of a pupil's two sides is behind, and how sure that is: of the abilities where tries were counted on both, else of the rates of the
 * last rounds by the clock. Source: the difference of two abilities, each nearly normal; for counts in a time see {@link Rates}.
 *
 * @param side the one that is behind
 * @param chance that it truly is
 */
public record Behind(Side side, double chance) {

    private static final int LEAST_TRIES = 10;

    /** On the rung where a pupil stands; null where it has one side or there is nothing to compare. */
    static Behind of(Advice a, List<Attempt> attempts) {
        if (a.sides().size() != 2) return null;
        return of(
                a.sides().get(0),
                a.sides().get(1),
                attempts.stream()
                        .filter(t ->
                                t.rungId().equals(a.rungId()) && t.modifiers().isEmpty())
                        .toList());
    }

    /** Null where there is nothing to compare. */
    static Behind of(SideAdvice one, SideAdvice other, List<Attempt> attempts) {
        if (one.hits() + one.misses() >= LEAST_TRIES && other.hits() + other.misses() >= LEAST_TRIES)
            return of(one.side(), other.side(), below(one, other));
        Attempt lastOne = last(attempts, one.side());
        Attempt lastOther = last(attempts, other.side());
        if (lastOne == null || lastOther == null) return null;
        Double otherHigher = Rates.of(new Rates.RatesAsk(
                        List.of(
                                new Rates.TimedCount(lastOne.score(), lastOne.workSec()),
                                new Rates.TimedCount(lastOther.score(), lastOther.workSec())),
                        0.9))
                .lastHigherThanFirst();
        return otherHigher == null ? null : of(one.side(), other.side(), otherHigher);
    }

    private static Behind of(Side one, Side other, double oneBelow) {
        return oneBelow >= 0.5 ? new Behind(one, oneBelow) : new Behind(other, 1 - oneBelow);
    }

    private static Attempt last(List<Attempt> attempts, Side side) {
        return attempts.stream()
                .filter(a -> a.side() == side
                        && !a.trial()
                        && a.jointWith().isEmpty()
                        && a.workSec() != null
                        && a.workSec() > 0
                        && a.hits() != null)
                .max((a, b) -> a.on().equals(b.on()) ? a.set() - b.set() : a.on().compareTo(b.on()))
                .orElse(null);
    }

    /** P(ability of one < ability of other), each as sure as its own tries and their age make it. */
    private static double below(SideAdvice one, SideAdvice other) {
        double sd = Math.hypot(one.abilitySd(), other.abilitySd());
        return new NormalDistribution(0, sd).cumulativeProbability(other.ability() - one.ability());
    }
}
