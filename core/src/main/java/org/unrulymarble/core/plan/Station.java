package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.RefusedPlace;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.place.AdultPlace;
import org.unrulymarble.core.place.Feature;
import org.unrulymarble.core.place.Layout;
import org.unrulymarble.core.place.QuietApart;
import org.unrulymarble.core.place.SideBySide;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.place.Whereabouts;

/**
 * A block as a station of a circuit.
 *
 * @param number from 0, in the order in which groups move on
 * @param pupils of the largest group
 * @param ask what is asked of the room for all of the circuit's stations
 */
public record Station(Circuit circuit, int number, int pupils, SideBySide.SideBySideAsk ask) {

    /** So many that turns do not cut one off. */
    private static final int MANY_ROUNDS = 60;

    /** The stations of a lesson by their blocks; a lesson for home has none: there everybody is alone. */
    public static Map<String, Station> of(Lesson lesson, Setting setting) {
        Map<String, Station> out = new HashMap<>();
        if (lesson.audience() == Lesson.Audience.EACH_AT_HOME) return out;
        for (Circuit circuit : lesson.circuits()) {
            int most = circuit.groupsOf(setting).stream()
                    .mapToInt(List::size)
                    .max()
                    .orElse(0);
            ask(circuit, most, lesson, setting).ifPresent(ask -> {
                for (int s = 0; s < circuit.stations(); s++)
                    out.put(circuit.stationIds().get(s), new Station(circuit, s, most, ask));
            });
        }
        return out;
    }

    /** A task as it would be at a station that has the room to itself. @param waves null where it finds no room */
    public record Alone(SideBySide.StationAsk ask, @Nullable Integer waves) {}

    /** The fewest waves that a group of so many makes at this task, whatever lies beside it; empty where the task is not known. */
    public static Optional<Alone> alone(Block block, int pupils, Setting setting) {
        return ask(block, pupils, MANY_ROUNDS, null, setting)
                .map(ask -> new Alone(
                        ask,
                        SideBySide.of(among(List.of(ask), setting))
                                .stations()
                                .get(0)
                                .waves()));
    }

    private static SideBySide.SideBySideAsk among(List<SideBySide.StationAsk> asks, Setting setting) {
        Planning.Thresholds thresholds = setting.planning().thresholds();
        return new SideBySide.SideBySideAsk(setting.place(), asks, thresholds.wayFreeM(), thresholds.quietApartM());
    }

    /** Empty where one of its tasks is not known: that is told of the block. */
    private static Optional<SideBySide.SideBySideAsk> ask(Circuit circuit, int pupils, Lesson lesson, Setting setting) {
        List<SideBySide.StationAsk> asks = new ArrayList<>();
        for (String id : circuit.stationIds()) {
            Optional<SideBySide.StationAsk> ask = ask(
                    lesson.blocks().get(lesson.indexOf(id)), pupils, circuit.rounds(), circuit.placeOf(id), setting);
            if (ask.isEmpty()) return Optional.empty();
            asks.add(ask.get());
        }
        return Optional.of(among(asks, setting));
    }

    private static Optional<SideBySide.StationAsk> ask(
            Block block, int pupils, int rounds, Spots.@Nullable Placed at, Setting setting) {
        Optional<Ladder> ladder = setting.catalogue().ladder(block.ladderId()).map(l -> l.withHelpers(block.helpers()));
        Optional<Rung> rung = ladder.flatMap(l -> l.rung(block.rungId()));
        return rung.map(r -> new SideBySide.StationAsk(
                Placed.footprint(block, ladder.get(), r),
                Crews.count(pupils, ladder.get().perSpot()),
                Placed.parts(block, ladder.get(), pupils),
                rounds,
                block.mostSpots(),
                Placed.markM(block),
                ladder.get().refuses(RefusedPlace.WINDOW_AT_WALL),
                ladder.get().noise(),
                at));
    }

    /** Where all of the circuit's stations lie. */
    public SideBySide beside() {
        return SideBySide.of(ask);
    }

    public SideBySide.Station place() {
        return beside().stations().get(number);
    }

    /** Where in the room each of them lies; null for one that finds no room. */
    public List<@Nullable Whereabouts> where() {
        return Whereabouts.of(
                ask.place(),
                beside().stations().stream()
                        .map(s -> s.fits() ? new Spots.Placed(s.xM(), s.yM(), s.alongM(), s.acrossM()) : null)
                        .toList());
    }

    /** Where an adult stands who has an eye on all of them; empty where no floor is left. */
    public Optional<AdultPlace> adult() {
        return AdultPlace.of(ask, beside().stations());
    }

    /** Whether no adult sees it together with the others, since something stands in between. */
    public boolean hidden() {
        return AdultPlace.hides(ask.place())
                && adult().map(AdultPlace::hidden).orElse(List.of()).contains(number);
    }

    /** Quiet stations of the circuit with a loud one too near. */
    public List<QuietApart> drowned() {
        return QuietApart.tooNear(ask, beside().stations());
    }

    /** As a block alone has it. */
    Layout layout(boolean needsWall) {
        SideBySide.Station at = place();
        int n = at.spots().size();
        List<Layout.AtWall> atWalls = needsWall && n > 0
                ? List.of(new Layout.AtWall(Feature.Edge.valueOf(at.way().name()), n))
                : List.of();
        return new Layout(new Spots(n, at.waves(), 1, n, at.spots(), at.reason()), atWalls, 0, 0);
    }
}
