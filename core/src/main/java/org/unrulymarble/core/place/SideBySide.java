package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Several tasks in one room at the same time: a rectangle of spots for each, none on another, walls for those who need one, the floor before doors and
 * stairs free, and beyond whoever throws across the floor nobody up to the edge of the room. A search from corner to corner: what it finds is legal,
 * and whether it can be bettered is said. Where it costs no work, all are in the sight of an adult who stands among them, and loud ones lie off quiet ones.
 *
 * @param stations in the order of the question
 * @param share of a visit that a pupil works on average, 0 to 1
 * @param most no layout lets them work more than that: found without looking at where the rectangles lie
 */
public record SideBySide(List<Station> stations, double share, double most) {

    /** Walking room between two stations where the tasks ask for less. */
    public static final double LEAST_GAP_M = 0.4;

    private static final int KEPT = 256;

    /** So far off a wall a station that needs it is still meant to be at it. */
    private static final double TO_WALL_M = 0.8;

    /** @param freeM floor that is kept free before a way through @param quietApartM wanted between a loud station and a quiet one, where it costs no work */
    public record SideBySideAsk(Place place, List<StationAsk> stations, double freeM, double quietApartM) {
        public SideBySideAsk {
            stations = List.copyOf(stations);
        }

        private SideBySideAsk with(List<StationAsk> others) {
            return new SideBySideAsk(place, others, freeM, quietApartM);
        }
    }

    /**
     * @param crews how many there are to share the spots
     * @param parts how often a crew changes parts until everyone has worked
     * @param rounds of one visit
     * @param mostSpots no more than so many, or null
     * @param markM the upper edge of a mark on the wall, or null
     * @param windowsHurt whether nobody works at a wall beside a window
     * @param at where it was put, or null to be laid where it goes; what cannot be there any more, or has another size now, is laid anew
     */
    public record StationAsk(
            Footprint footprint,
            int crews,
            int parts,
            int rounds,
            Integer mostSpots,
            Double markM,
            boolean windowsHurt,
            Noise noise,
            Spots.@Nullable Placed at) {

        private StationAsk placed(Spots.@Nullable Placed there) {
            return new StationAsk(footprint, crews, parts, rounds, mostSpots, markM, windowsHurt, noise, there);
        }
    }

    /** Why a station cannot be where it was to be put. */
    public enum Hindrance {
        OUTSIDE,
        /** The floor before a door, a way out or stairs, or something that stands there. */
        WAY,
        WINDOW,
        /** Another station, or the room between the two. */
        STATION,
        /** Somebody would stand where balls fly that miss. */
        THROWN_AT
    }

    /** @param station the other one, from 0; null where it is the room */
    public record Why(Hindrance hindrance, Integer station) {}

    /** The same question with this station somewhere else, and all others kept where they are. */
    public static SideBySideAsk moved(SideBySideAsk ask, int station, double xM, double yM) {
        SideBySide now = of(ask);
        List<StationAsk> stations = new ArrayList<>();
        for (int i = 0; i < ask.stations().size(); i++) {
            StationAsk s = ask.stations().get(i);
            Station at = now.stations().get(i);
            Spots.Placed there = i == station
                    ? there(ask, station, at, xM, yM)
                    : new Spots.Placed(at.xM(), at.yM(), at.alongM(), at.acrossM());
            stations.add(s.placed(there));
        }
        return ask.with(stations);
    }

    /** What hinders a station that fits from being put there, the others staying where they are; empty for nothing. */
    public static Optional<Why> hindrance(SideBySideAsk ask, int station, double xM, double yM) {
        SideBySide now = of(ask);
        return new SideBySideSearch(ask)
                .hindrance(now, station, there(ask, station, now.stations().get(station), xM, yM));
    }

    /** Where it was let go; what needs a wall goes to the nearest one that is not far, turned where that runs the other way. */
    private static Spots.Placed there(SideBySideAsk ask, int station, Station now, double xM, double yM) {
        Spots.Placed asIs = new Spots.Placed(xM, yM, now.alongM(), now.acrossM());
        if (!ask.stations().get(station).footprint().needsWall() || !now.fits()) return asIs;
        Space room = ask.place().size();
        boolean alongLength = now.way() == Way.TOP || now.way() == Way.BOTTOM;
        double run = alongLength ? now.alongM() : now.acrossM();
        double deep = alongLength ? now.acrossM() : now.alongM();
        double midX = xM + now.alongM() / 2;
        double midY = yM + now.acrossM() / 2;
        Spots.Placed best = asIs;
        double nearest = TO_WALL_M;
        for (FreeWall wall : ask.place().walls()) {
            double along = (wall.alongLength() ? midX : midY) - run / 2 - wall.fromM();
            Area at = wall.inRoom(room, new Spots.Placed(along, 0, run, deep));
            double off = Math.hypot(at.xM() + at.alongM() / 2 - midX, at.yM() + at.acrossM() / 2 - midY);
            if (off >= nearest) continue;
            nearest = off;
            best = new Spots.Placed(at.xM(), at.yM(), at.alongM(), at.acrossM());
        }
        return best;
    }

    /** Where whoever throws across the floor throws to; at a wall it is the wall. */
    public enum Way {
        TOP,
        RIGHT,
        BOTTOM,
        LEFT
    }

    /**
     * @param xM from the left, {@code yM} from the top of the room as it is described, in metres, as are the spots
     * @param waves how many turns of spots a group makes; null where there is no room beside the others
     * @param way where the ball goes, or null where it goes nowhere
     */
    public record Station(
            double xM,
            double yM,
            double alongM,
            double acrossM,
            List<Spots.Placed> spots,
            Integer waves,
            Way way,
            Spots.Reason reason) {

        static Station none(Spots.Reason reason) {
            return new Station(0, 0, 0, 0, List.of(), null, null, reason);
        }

        public boolean fits() {
            return waves != null;
        }
    }

    // A plan is worked out anew after each change and for each mend that is tried: mostly the same question.
    private static final Map<SideBySideAsk, SideBySide> ASKED =
            Collections.synchronizedMap(new LinkedHashMap<>(KEPT, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<SideBySideAsk, SideBySide> eldest) {
                    return size() > KEPT;
                }
            });

    public static SideBySide of(SideBySideAsk ask) {
        SideBySide known = ASKED.get(ask);
        if (known != null) return known;
        SideBySide found = new SideBySideSearch(ask).run();
        ASKED.put(ask, found);
        return found;
    }

    /** Laid out anew, and bettered where a solver finds more; where it proves that there is no more, {@link #proven} says so. */
    public static SideBySide proven(SideBySideAsk ask, LayoutProver prover) {
        return new LayoutProof(ask.with(
                        ask.stations().stream().map(s -> s.placed(null)).toList()))
                .by(prover);
    }

    SideBySide within(double otherMost) {
        return new SideBySide(stations, share, otherMost);
    }

    /** Whether nothing better can be. */
    public boolean proven() {
        return share >= most - 1e-9;
    }
}
