package org.unrulymarble.core.skill;

import java.util.Optional;
import java.util.OptionalDouble;
import org.unrulymarble.core.chance.GateChance;
import org.unrulymarble.core.chance.Odds;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Gate;

/**
 * The share of tries at which a rung is held: the one at which its own gate is met in half of the rounds, so that gate and verdict ask for the same.
 * Source: {@link GateChance} over the rung's usual round, halved down.
 */
public final class GateStandard {

    private static final double LEAST = 0.2;
    private static final double MOST = 0.97;
    private static final double EXACT = 1e-4;

    private GateStandard() {}

    /** Empty where nobody can reckon how likely the gate is at a share. */
    public static OptionalDouble of(Rung rung) {
        if (!GateChance.known(rung.measure(), rung.gate())) return OptionalDouble.empty();
        double low = LEAST;
        double high = MOST;
        while (high - low > EXACT) {
            double middle = (low + high) / 2;
            if (chance(rung, middle).orElse(0.0) < 0.5) low = middle;
            else high = middle;
        }
        return OptionalDouble.of((low + high) / 2);
    }

    /** That one usual round of the rung meets its gate, for somebody whose tries go in with this share; empty where that cannot be told. */
    public static Optional<Double> chance(Rung rung, double share) {
        Gate gate = rung.gate();
        if (!GateChance.known(rung.measure(), gate)) return Optional.empty();
        if (gate instanceof Gate.SoManyOf so) return Optional.of(Odds.atLeast(share, so.of(), so.reach()));
        double sec = gate instanceof Gate.SoManyIn timed
                ? timed.inSec()
                : rung.doses().clock().workSec();
        return Optional.of(GateChance.within(rung.measure(), gate, rung.pace(), share, sec));
    }
}
