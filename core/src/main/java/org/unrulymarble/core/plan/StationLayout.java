package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.place.LayoutProver;
import org.unrulymarble.core.place.QuietApart;
import org.unrulymarble.core.place.SideBySide;

/**
 * A circuit's stations laid out with a solver's help.
 *
 * @param lesson with the stations where they lie best; as it was where nothing better is known
 * @param better whether they were put elsewhere
 * @param share of a visit's rounds that a pupil works on average, 0 to 1; {@code most}: no layout in this room lets them work more
 */
public record StationLayout(Lesson lesson, boolean better, double share, double most) {

    /** @throws Refused naming {@code circuitId} where the lesson has no such circuit, or one of its tasks is not known */
    public static StationLayout of(Lesson lesson, Setting setting, String circuitId, LayoutProver prover) {
        Circuit circuit = lesson.circuits().stream()
                .filter(c -> c.id().equals(circuitId))
                .findFirst()
                .orElseThrow(() -> new Refused("circuitId", Fault.Rule.UNKNOWN, circuitId));
        Map<String, Station> stations = Station.of(lesson, setting);
        Station any = Optional.ofNullable(stations.get(circuit.stationIds().get(0)))
                .orElseThrow(() -> new Refused("circuitId", Fault.Rule.UNKNOWN, circuitId));
        SideBySide now = any.beside();
        SideBySide best = SideBySide.proven(any.ask(), prover);
        boolean quieter = best.share() >= now.share() - 1e-9
                && !any.drowned().isEmpty()
                && QuietApart.tooNear(any.ask(), best.stations()).isEmpty();
        if (best.share() <= now.share() + 1e-9 && !quieter)
            return new StationLayout(lesson, false, now.share(), Math.max(now.share(), best.most()));
        List<Circuit.At> places = new ArrayList<>();
        for (int i = 0; i < best.stations().size(); i++) {
            SideBySide.Station at = best.stations().get(i);
            if (at.fits())
                places.add(new Circuit.At(circuit.stationIds().get(i), at.xM(), at.yM(), at.alongM(), at.acrossM()));
        }
        Lesson laid = lesson.withCircuits(lesson.circuits().stream()
                .map(c -> c == circuit ? c.withPlaces(places) : c)
                .toList());
        return new StationLayout(laid, true, best.share(), best.most());
    }
}
