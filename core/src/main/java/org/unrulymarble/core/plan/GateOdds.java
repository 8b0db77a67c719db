package org.unrulymarble.core.plan;

import java.util.Optional;
import org.unrulymarble.core.chance.GateChance;
import org.unrulymarble.core.chance.RateSpread;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;

/** Which gate a block goes by, and how likely a pupil of this class meets it. */
public final class GateOdds {

    private GateOdds() {}

    /** The teacher's own gate, else the rung's. */
    public static Gate gate(Placed placed) {
        return InForce.gate(placed, placed.rung());
    }

    /** What is counted in a block. */
    public static Measure measure(Placed placed) {
        return InForce.measure(placed, placed.rung());
    }

    /** What a pupil on this rung of the block's ladder goes by. */
    public static Gate gate(Placed placed, Rung rung) {
        return InForce.gate(placed, rung);
    }

    /** What is counted of a pupil on this rung of the block's ladder. */
    public static Measure measure(Placed placed, Rung rung) {
        return InForce.measure(placed, rung);
    }

    /** The highest reach below a gate's that a pupil of this class meets likely enough, 0 if none; more is never likelier. */
    public static int highest(Placed placed, Gate gate, double wanted, Setting setting) {
        RateSpread rates = rates(placed, setting);
        int enough = 0;
        int tooMuch = gate.reach();
        while (tooMuch - enough > 1) {
            int middle = (enough + tooMuch) >>> 1;
            if (chance(placed, gate.to(middle), rates).orElse(0.0) >= wanted) enough = middle;
            else tooMuch = middle;
        }
        return enough;
    }

    /** Chance that a pupil of this class meets a gate on every side in one of the sets; empty where that cannot be told. */
    static Optional<Double> chance(Placed placed, Gate gate, RateSpread rates) {
        Rung rung = placed.rung();
        Measure measure = InForce.measure(placed, rung);
        if (!GateChance.known(measure, gate)) return Optional.empty();
        int sets = placed.block().sets();
        int sides = placed.mixed() ? 1 : placed.sides().size();
        double sec = placed.workSec();
        return Optional.of(rates.mean(p -> {
            double once = GateChance.within(measure, gate, rung.pace(), p, sec);
            return Math.pow(1 - Math.pow(1 - once, sets), sides);
        }));
    }

    /** The class's rates, each pupil's on their rung of the block. */
    static RateSpread rates(Placed placed, Setting setting) {
        RateSpread rates = new RateSpread();
        for (PlanPupil pupil : placed.members(setting)) {
            setting.standings().addTo(rates, pupil.id(), placed.ladder(), placed.rungOf(pupil.id(), setting));
        }
        return rates;
    }
}
