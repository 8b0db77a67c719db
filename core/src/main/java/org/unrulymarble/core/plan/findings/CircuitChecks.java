package org.unrulymarble.core.plan.findings;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.unrulymarble.core.place.AdultPlace;
import org.unrulymarble.core.place.Noise;
import org.unrulymarble.core.place.QuietApart;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.Station;
import org.unrulymarble.core.plan.edit.CircuitEdit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** Stations at which somebody of a group would never have a turn, or others more turns; a quiet one beside a loud one; one that no adult sees with the others. */
final class CircuitChecks {

    private static final int LONGEST_ROUND_SEC = 600;

    private CircuitChecks() {}

    static void look(View view, List<Found> out) {
        for (Placed p : view.tasks())
            if (p.station() != null && p.station().place().fits()) {
                turns(p, view, out);
                drowned(p, view, out);
                hidden(p, view, out);
            }
    }

    private static void drowned(Placed p, View view, List<Found> out) {
        Station station = p.station();
        for (QuietApart near : station.drowned()) {
            if (near.loud() != station.number()) continue;
            Mends mends = new Mends(view);
            String quiet = station.circuit().stationIds().get(near.quiet());
            out.add(Found.mind(Code.LOUD_BESIDE_QUIET)
                    .at(p)
                    .about(quiet)
                    .figure("task", nameOf(quiet, view))
                    .figure("haveM", near.gapM())
                    .beyond("quietApartM", view.thresholds().quietApartM())
                    .mend(mends.first(
                            () -> laidAnew(station, view, now -> now.drowned().isEmpty()),
                            () -> mends.otherTask(p, kin -> kin.ladder().noise() != Noise.LOUD)))
                    .done());
        }
    }

    private static String nameOf(String stationId, View view) {
        return view.tasks().stream()
                .filter(t -> t.block().id().equals(stationId))
                .map(t -> t.ladder().name())
                .findFirst()
                .orElse("");
    }

    private static void hidden(Placed p, View view, List<Found> out) {
        Station station = p.station();
        if (!station.hidden()) return;
        Mends mends = new Mends(view);
        out.add(Found.mind(Code.STATION_OUT_OF_SIGHT)
                .at(p)
                .school(Finding.School.SAFETY)
                .mend(mends.first(
                        () -> laidAnew(
                                station,
                                view,
                                now -> now.adult().filter(AdultPlace::all).isPresent()),
                        () -> Optional.of(apart(station))))
                .done());
    }

    /** All stations laid out anew, where that is better. */
    private static Optional<Change> laidAnew(Station station, View view, Predicate<Station> better) {
        if (station.circuit().places().isEmpty()) return Optional.empty();
        CircuitEdit.LayOut edit = new CircuitEdit.LayOut(station.circuit().id());
        Lesson after = edit.on(view.lesson(), view.setting());
        Station now = Station.of(after, view.setting())
                .get(station.circuit().stationIds().get(station.number()));
        if (now == null || !better.test(now)) return Optional.empty();
        return Optional.of(Change.of(Mend.Kind.LAY_OUT, Map.of(), edit));
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
        return Optional.of(apart(p.station()));
    }

    private static Change apart(Station station) {
        return Change.of(
                Mend.Kind.TAKE_APART,
                Map.of(),
                new CircuitEdit.TakeApart(station.circuit().id()));
    }
}
