package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;

/** The kinds of gate that a block may open by, each with figures to begin from: the one in force, else what the rung's planning rate gives. */
final class GateChoices {

    private static final int USUAL_ROW = 5;
    private static final int USUAL_TRIES = 10;

    private GateChoices() {}

    static List<Gate> of(Placed p) {
        Rung rung = p.rung();
        Measure measure = InForce.measure(p, rung);
        Gate now = InForce.gate(p, rung);
        int tries = p.reps() == null ? USUAL_TRIES : p.reps();
        double share = rung.pace().share();
        List<Gate> usual = List.of(
                new Gate.Reach(now.reach()),
                new Gate.InARow(USUAL_ROW),
                new Gate.SoManyOf(atLeastOne(share * tries), tries),
                new Gate.SoManyIn(atLeastOne(rung.pace().expectedIn(p.workSec())), Math.max(1, p.workSec())));
        List<Gate> out = new ArrayList<>();
        for (Gate gate : usual)
            if (gate.getClass() == now.getClass()) out.add(now);
            else if (measure.mayHave(gate)) out.add(gate);
        return List.copyOf(out);
    }

    private static int atLeastOne(double n) {
        return Math.max(1, Rounding.floor(n));
    }
}
