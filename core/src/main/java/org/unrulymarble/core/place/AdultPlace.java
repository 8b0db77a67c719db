package org.unrulymarble.core.place;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.place.SideBySide.SideBySideAsk;
import org.unrulymarble.core.place.SideBySide.Station;

/**
 * Where an adult stands who has an eye on all stations: on free floor, where nobody throws, nobody behind, and as near to the farthest spot as that goes. What
 * stands in the room may hide a station: how high it is, is not known.
 *
 * @param xM from the left, {@code yM} from the top of the room as it is described, in metres
 * @param hidden the stations, from 0, of which a spot is not seen from there; none where that can be
 */
public record AdultPlace(double xM, double yM, List<Integer> hidden) {

    /** So much floor all round takes who stands there. */
    private static final double ROUND_M = 0.3;

    private static final double STEP_M = 0.5;

    private static final double CM_PER_M = 100;

    /** No more places than that are looked at along a side of the room. */
    private static final int MOST_STEPS = 40;

    /** A place to stand. @param onTheWay before a door, a way out or stairs */
    private record Stand(double xM, double yM, boolean onTheWay, double farthestM) {}

    /** Empty where no floor is left to stand on. */
    public static Optional<AdultPlace> of(SideBySideAsk ask, List<Station> stations) {
        List<Area> hiding = hiding(ask.place());
        Stand best = null;
        List<Integer> fewest = List.of();
        boolean behind = true;
        // The nearest first: mostly one of the first has all in front.
        for (Stand stand : stands(ask, stations, hiding)) {
            List<Integer> hidden = hidden(stand, stations, hiding);
            if (best != null && hidden.size() > fewest.size()) continue;
            boolean fewer = best == null || hidden.size() < fewest.size();
            boolean someBehind = !withinHalfATurn(stand, stations);
            if (!fewer && (stand.onTheWay() != best.onTheWay() || someBehind || !behind)) continue;
            best = stand;
            fewest = hidden;
            behind = someBehind;
            if (hidden.isEmpty() && !someBehind && !stand.onTheWay()) break;
        }
        return best == null ? Optional.empty() : Optional.of(new AdultPlace(toCm(best.xM()), toCm(best.yM()), fewest));
    }

    /** Those off the ways first, and of these the one first from which the farthest spot is nearest. */
    private static List<Stand> stands(SideBySideAsk ask, List<Station> stations, List<Area> hiding) {
        List<Area> taken = taken(ask, stations);
        taken.addAll(hiding);
        List<Area> ways = StationFloor.keptFree(ask.place(), ask.freeM());
        List<Stand> out = new ArrayList<>();
        Space room = ask.place().size();
        for (double x : steps(room.lengthM()))
            for (double y : steps(room.widthM())) {
                Area on = new Area(x - ROUND_M, y - ROUND_M, 2 * ROUND_M, 2 * ROUND_M);
                if (meetsAny(on, taken)) continue;
                out.add(new Stand(x, y, meetsAny(on, ways), farthestM(x, y, stations)));
            }
        out.sort(Comparator.comparing(Stand::onTheWay).thenComparingDouble(Stand::farthestM));
        return out;
    }

    private static boolean meetsAny(Area area, List<Area> others) {
        for (Area o : others) if (area.meets(o)) return true;
        return false;
    }

    private static double farthestM(double x, double y, List<Station> stations) {
        double farthest = 0;
        for (Station s : stations)
            for (Spots.Placed p : s.spots()) farthest = Math.max(farthest, Math.hypot(midX(p) - x, midY(p) - y));
        return farthest;
    }

    private static double midX(Spots.Placed p) {
        return p.xM() + p.alongM() / 2;
    }

    private static double midY(Spots.Placed p) {
        return p.yM() + p.acrossM() / 2;
    }

    private static double toCm(double m) {
        return Math.round(m * CM_PER_M) / CM_PER_M;
    }

    /** Whether there is anything that could hide a station. */
    public static boolean hides(Place place) {
        return !hiding(place).isEmpty();
    }

    public boolean all() {
        return hidden.isEmpty();
    }

    /** From one side of the room to the other, both ends in it. */
    private static double[] steps(double sideM) {
        double runM = Math.max(0, sideM - 2 * ROUND_M);
        double stepM = STEP_M * Math.max(1, Math.ceil(runM / STEP_M / MOST_STEPS));
        DoubleStream on = IntStream.range(0, (int) Math.ceil(runM / stepM)).mapToDouble(i -> ROUND_M + i * stepM);
        return DoubleStream.concat(on, DoubleStream.of(Math.max(ROUND_M, sideM - ROUND_M)))
                .toArray();
    }

    /** The stations, and the floor into which is thrown. */
    private static List<Area> taken(SideBySideAsk ask, List<Station> stations) {
        List<Area> out = new ArrayList<>();
        for (int i = 0; i < stations.size(); i++) {
            Station s = stations.get(i);
            if (!s.fits()) continue;
            Area area = Area.of(s);
            out.add(area);
            if (s.way() != null && !ask.stations().get(i).footprint().needsWall())
                out.add(StationFloor.beyond(s.way(), area, ask.place().size()));
        }
        return out;
    }

    private static List<Area> hiding(Place place) {
        return place.features().stream()
                .filter(f -> f.depthM() > 0 && !f.wayThrough())
                .map(f -> f.area(place.size(), 0))
                .toList();
    }

    private static List<Integer> hidden(Stand from, List<Station> stations, List<Area> hiding) {
        List<Integer> out = new ArrayList<>();
        for (int i = 0; i < stations.size() && !hiding.isEmpty(); i++)
            if (stations.get(i).spots().stream()
                    .anyMatch(p -> hiding.stream().anyMatch(h -> between(h, from.xM(), from.yM(), midX(p), midY(p)))))
                out.add(i);
        return out;
    }

    private static boolean between(Area a, double x, double y, double toX, double toY) {
        double in = Rounding.SLACK;
        return new Rectangle2D.Double(a.xM() + in, a.yM() + in, a.alongM() - 2 * in, a.acrossM() - 2 * in)
                .intersectsLine(x, y, toX, toY);
    }

    /** Whether who stands there has all spots before them: grows a cone from the first spot's direction until one lies outside of every half turn. */
    private static boolean withinHalfATurn(Stand from, List<Station> stations) {
        double rightX = 0;
        double rightY = 0;
        double leftX = 0;
        double leftY = 0;
        boolean any = false;
        for (Station s : stations)
            for (Spots.Placed p : s.spots()) {
                double x = midX(p) - from.xM();
                double y = midY(p) - from.yM();
                boolean leftOfRight = rightX * y - rightY * x >= 0;
                double toLeft = x * leftY - y * leftX;
                boolean rightOfLeft = toLeft > 0 || (toLeft == 0 && x * leftX + y * leftY > 0);
                if (any && !leftOfRight && !rightOfLeft) return false;
                if (!any || !rightOfLeft) {
                    leftX = x;
                    leftY = y;
                }
                if (!any || !leftOfRight) {
                    rightX = x;
                    rightY = y;
                }
                any = true;
            }
        return true;
    }
}
