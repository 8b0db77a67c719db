package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.place.AdultPlace;
import org.unrulymarble.core.place.SideBySide;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.place.Whereabouts;

/**
 * A circuit worked out.
 *
 * @param roundSec of one round for all
 * @param stageSec of one visit, from its first count-in to the end of its last round
 * @param groups names of each group's pupils
 * @param stations in the order in which groups move on
 * @param share of a visit's rounds that a pupil works on average, 0 to 1; {@code most}: no layout in this room lets them work more
 * @param quietApart whether loud stations lie off quiet ones, as far as is wanted
 * @param adult where an adult stands who has an eye on all of them; null where no floor is left
 * @param timeToDrink whether one can drink on the way to the next station
 */
public record CircuitPlan(
        String id,
        long startSec,
        long endSec,
        int roundSec,
        long stageSec,
        List<Group> groups,
        List<StationPlan> stations,
        double share,
        double most,
        boolean quietApart,
        @Nullable AdultPlace adult,
        boolean timeToDrink) {

    /** @param stationOf for each stage, the place of the station in the circuit, from 0 */
    public record Group(List<String> pupilIds, List<String> names, List<Integer> stationOf) {}

    /**
     * @param placed where it lies in the room as it is described, in metres from the left and the top; all 0 where it does not fit
     * @param spots likewise
     * @param way where whoever throws throws to, or null
     * @param reason why it does not fit, or null
     * @param where in the room that is, as one would say it; null where it does not fit
     * @param rest between two of its rounds
     */
    public record StationPlan(
            String blockId,
            Spots.Placed placed,
            List<Spots.Placed> spots,
            SideBySide.@Nullable Way way,
            Spots.@Nullable Reason reason,
            @Nullable Whereabouts where,
            StationRest rest) {}

    static List<CircuitPlan> all(Timeline time, Setting setting) {
        List<CircuitPlan> out = new ArrayList<>();
        for (Timeline.Piece piece : time.pieces())
            if (piece.circuit() != null) out.add(of(piece, time.clockOf(piece.first()), setting));
        return List.copyOf(out);
    }

    private static CircuitPlan of(Timeline.Piece piece, LessonClock.BlockClock clock, Setting setting) {
        Circuit circuit = piece.circuit();
        Station any = piece.blocks().get(0).station();
        SideBySide beside = any.beside();
        List<List<PlanPupil>> groups = circuit.groupsOf(setting);
        List<Group> named = new ArrayList<>();
        for (int g = 0; g < groups.size(); g++)
            named.add(new Group(
                    groups.get(g).stream().map(PlanPupil::id).toList(),
                    groups.get(g).stream().map(PlanPupil::name).toList(),
                    stationsOf(g, circuit)));
        return new CircuitPlan(
                circuit.id(),
                clock.startSec(),
                clock.endSec(),
                piece.roundSec(),
                (long) circuit.rounds() * (piece.timing().countInSec() + piece.roundSec())
                        + (circuit.rounds() - 1L) * circuit.restSec(),
                List.copyOf(named),
                piece.blocks().stream().map(p -> station(p, piece)).toList(),
                beside.share(),
                beside.most(),
                any.drowned().isEmpty(),
                any.adult().orElse(null),
                circuit.timeToDrink());
    }

    private static List<Integer> stationsOf(int group, Circuit circuit) {
        List<Integer> out = new ArrayList<>();
        for (int stage = 0; stage < circuit.stations(); stage++) out.add((group + stage) % circuit.stations());
        return out;
    }

    private static StationPlan station(Placed p, Timeline.Piece piece) {
        SideBySide.Station at = p.station().place();
        return new StationPlan(
                p.block().id(),
                new Spots.Placed(at.xM(), at.yM(), at.alongM(), at.acrossM()),
                at.spots(),
                at.way(),
                at.reason(),
                p.station().where().get(p.station().number()),
                StationRest.of(p, piece));
    }
}
