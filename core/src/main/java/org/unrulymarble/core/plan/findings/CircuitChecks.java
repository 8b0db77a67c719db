package org.unrulymarble.core.plan.findings;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.edit.CircuitEdit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** Stations at which somebody of a group would never have a turn, or others more turns. */
final class CircuitChecks {

    private static final int LONGEST_ROUND_SEC = 600;

    private CircuitChecks() {}

    static void look(View view, List<Found> out) {
        for (Placed p : view.tasks())
            if (p.station() != null && p.station().place().fits()) turns(p, view, out);
    }

    private static void turns(Placed p, View view, List<Found> out) {
        Circuit circuit = p.station().circuit();
        int turns = p.turns();
        if (circuit.rounds() % turns == 0) return;
        int rounds = turns * ((circuit.rounds() + turns - 1) / turns);
        boolean never = circuit.rounds() < turns;
        out.add((never ? Found.stop(Code.STATION_TURNS) : Found.mind(Code.STATION_TURNS))
                .at(p)
                .figure("turns", turns)
                .figure("rounds", circuit.rounds())
                .mend(
                        view.trial()
                                ? null
                                : Change.of(
                                        Mend.Kind.MORE_ROUNDS,
                                        Map.of("rounds", rounds),
                                        new CircuitEdit.SetCircuit(circuit.id(), rounds, null, null, null)))
                .done());
    }

    /** The rounds of all stations as long as its count takes. */
    static Change longerRounds(Placed p, double sec) {
        int roundSec = Math.min(LONGEST_ROUND_SEC, 5 * (int) Math.ceil(sec / 5));
        return Change.of(
                Mend.Kind.LONGER_ROUNDS,
                Map.of("sec", roundSec),
                new CircuitEdit.SetCircuit(p.station().circuit().id(), null, roundSec, null, null));
    }

    /** One after the other, where there is no room beside each other. */
    static Optional<Change> takeApart(Placed p, Spots.Reason reason) {
        if (reason != Spots.Reason.NO_ROOM_BESIDE) return Optional.empty();
        return Optional.of(Change.of(
                Mend.Kind.TAKE_APART,
                Map.of(),
                new CircuitEdit.TakeApart(p.station().circuit().id())));
    }
}
