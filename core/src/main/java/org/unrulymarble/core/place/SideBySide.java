package org.unrulymarble.core.place;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Several tasks in one room at the same time: a rectangle of spots for each, none on another, walls for those who need one, the floor before doors and
 * stairs free, and beyond whoever throws across the floor nobody up to the edge of the room. A search from corner to corner: what it finds is legal,
 * and whether it can be bettered is said.
 *
 * @param stations in the order of the question
 * @param share of a visit that a pupil works on average, 0 to 1
 * @param most no layout lets them work more than that: found without looking at where the rectangles lie
 */
public record SideBySide(List<Station> stations, double share, double most) {

    private static final int KEPT = 256;

    /** @param freeM floor that is kept free before a way through */
    public record SideBySideAsk(Place place, List<StationAsk> stations, double freeM) {
        public SideBySideAsk {
            stations = List.copyOf(stations);
        }
    }

    /**
     * @param crews how many there are to share the spots
     * @param parts how often a crew changes parts until everyone has worked
     * @param rounds of one visit
     * @param mostSpots no more than so many, or null
     * @param windowsHurt whether nobody works at a wall beside a window
     */
    public record StationAsk(
            Footprint footprint, int crews, int parts, int rounds, Integer mostSpots, boolean windowsHurt) {}

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

    /** Whether nothing better can be. */
    public boolean proven() {
        return share >= most - 1e-9;
    }
}
