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

    /** A place with what is seen from there. */
    private record Seen(
            double xM, double yM, List<Integer> hidden, boolean onTheWay, boolean behind, double farthestM) {}

    /** Empty where no floor is left to stand on. */
    public static Optional<AdultPlace> of(SideBySideAsk ask, List<Station> stations) {
        List<Area> taken = taken(ask, stations);
        List<Area> hiding = hiding(ask.place());
        List<Area> ways = StationFloor.keptFree(ask.place(), ask.freeM());
        List<Seen> free = new ArrayList<>();
        Space room = ask.place().size();
        for (double x : steps(room.lengthM()))
            for (double y : steps(room.widthM())) {
                Area stand = new Area(x - ROUND_M, y - ROUND_M, 2 * ROUND_M, 2 * ROUND_M);
                if (taken.stream().anyMatch(stand::meets) || hiding.stream().anyMatch(stand::meets)) continue;
                free.add(seen(x, y, ways.stream().anyMatch(stand::meets), stations, hiding));
            }
        return free.stream()
                .min(Comparator.comparingInt((Seen s) -> s.hidden().size())
                        .thenComparing(Seen::onTheWay)
                        .thenComparing(Seen::behind)
                        .thenComparingDouble(Seen::farthestM))
                .map(s -> new AdultPlace(toCm(s.xM()), toCm(s.yM()), s.hidden()));
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
            Area area = new Area(s.xM(), s.yM(), s.alongM(), s.acrossM());
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

    private static Seen seen(double x, double y, boolean onTheWay, List<Station> stations, List<Area> hiding) {
        List<Integer> hidden = new ArrayList<>();
        List<Double> towards = new ArrayList<>();
        double farthest = 0;
        for (int i = 0; i < stations.size(); i++) {
            boolean seen = true;
            for (Spots.Placed spot : stations.get(i).spots()) {
                double toX = spot.xM() + spot.alongM() / 2;
                double toY = spot.yM() + spot.acrossM() / 2;
                if (hiding.stream().anyMatch(h -> between(h, x, y, toX, toY))) seen = false;
                towards.add(Math.atan2(toY - y, toX - x));
                farthest = Math.max(farthest, Math.hypot(toX - x, toY - y));
            }
            if (!seen) hidden.add(i);
        }
        return new Seen(x, y, hidden, onTheWay, !withinHalfATurn(towards), farthest);
    }

    private static boolean between(Area a, double x, double y, double toX, double toY) {
        double in = Rounding.SLACK;
        return new Rectangle2D.Double(a.xM() + in, a.yM() + in, a.alongM() - 2 * in, a.acrossM() - 2 * in)
                .intersectsLine(x, y, toX, toY);
    }

    /** Whether somewhere between two neighbours half of the round is empty. */
    private static boolean withinHalfATurn(List<Double> towards) {
        List<Double> round = towards.stream().sorted().toList();
        for (int i = 0; i < round.size(); i++) {
            double next = i + 1 < round.size() ? round.get(i + 1) : round.get(0) + 2 * Math.PI;
            if (next - round.get(i) >= Math.PI - Rounding.SLACK) return true;
        }
        return round.isEmpty();
    }
}
