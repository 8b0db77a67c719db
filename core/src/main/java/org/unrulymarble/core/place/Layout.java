package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.List;

/**
 * {@link Spots} with what stands in the way taken out: the floor before doors, ways out and stairs stays free, nobody works where an obstacle is,
 * and at a wall with a window nobody throws at the window.
 *
 * @param spots what is left of the grid, with its own waves
 * @param leftFree spots left out so that a way stays free or because something stands there
 * @param leftForWindows spots left out beside a window
 */
public record Layout(Spots spots, int leftFree, int leftForWindows) {

    private static final int SLIDES = 8;

    /**
     * @param mostSpots no more than so many, or null
     * @param windowsHurt whether spots beside a window are left out
     * @param freeM floor that is kept free before a way through
     */
    public record LayoutAsk(
            Place place,
            Footprint footprint,
            int pupils,
            int perSpot,
            Integer mostSpots,
            boolean windowsHurt,
            double freeM) {}

    public static Layout of(LayoutAsk ask) {
        Place place = ask.place();
        Footprint f = ask.footprint();
        Spots grid = Spots.of(new Spots.SpotsAsk(place.size(), f, ask.pupils(), ask.perSpot()));
        if (grid.spots() == 0) return new Layout(grid, 0, 0);
        boolean turned = f.needsWall() && !place.wallAlongLength();
        Try best = bestPlace(ask, grid, turned);
        int most = ask.mostSpots() == null ? Integer.MAX_VALUE : Math.max(1, ask.mostSpots());
        if (best.free() + best.windows() == 0 && grid.spots() <= most && best.moved() == 0)
            return new Layout(grid, 0, 0);
        List<Spots.Placed> left = best.left();
        return new Layout(
                grid.only(left.subList(0, Math.min(most, left.size())), ask.pupils(), ask.perSpot()),
                best.free(),
                best.windows());
    }

    /** What is left of the grid at one place. */
    private record Try(List<Spots.Placed> left, int free, int windows, double moved) {}

    /** The grid may slide as far as the room lets it; where it loses fewest spots it stays, nearest its corner first. */
    private static Try bestPlace(LayoutAsk ask, Spots grid, boolean turned) {
        Footprint f = ask.footprint();
        double roomAlong = f.needsWall()
                ? ask.place().size().wall().runM()
                : ask.place().size().lengthM();
        double roomAcross = ask.place().size().widthM();
        double slackAlong = roomAlong - f.edgeM() - end(grid, true);
        double slackAcross = f.needsWall() ? 0 : roomAcross - f.edgeM() - end(grid, false);
        List<Area> kept = keptFree(ask);
        List<Feature> windows = ask.windowsHurt() ? windows(ask.place()) : List.of();
        Try best = null;
        for (int i = 0; i <= SLIDES; i++)
            for (int j = 0; j <= SLIDES; j++) {
                if ((i > 0 && slackAlong <= 1e-9) || (j > 0 && slackAcross <= 1e-9)) continue;
                Try there = at(grid, kept, windows, turned, slackAlong * i / SLIDES, slackAcross * j / SLIDES);
                if (best == null || there.left().size() > best.left().size()) best = there;
                if (best.left().size() == grid.placed().size()) return best;
            }
        return best;
    }

    private static double end(Spots grid, boolean along) {
        return grid.placed().stream()
                .mapToDouble(s -> along ? s.xM() + s.alongM() : s.yM() + s.acrossM())
                .max()
                .orElse(0);
    }

    private static Try at(Spots grid, List<Area> kept, List<Feature> windows, boolean turned, double byX, double byY) {
        List<Spots.Placed> left = new ArrayList<>(grid.placed().size());
        int free = 0;
        int beside = 0;
        for (Spots.Placed spot : grid.placed()) {
            Area area = new Area(spot.xM() + byX, spot.yM() + byY, spot.alongM(), spot.acrossM());
            Area inRoom = turned ? area.turned() : area;
            if (meetsAny(inRoom, kept)) free++;
            else if (beforeAny(windows, inRoom)) beside++;
            else left.add(new Spots.Placed(area.xM(), area.yM(), area.alongM(), area.acrossM()));
        }
        return new Try(left, free, beside, byX + byY);
    }

    /** The floor that nobody stands on. */
    private static List<Area> keptFree(LayoutAsk ask) {
        return ask.place().features().stream()
                .filter(f -> f.wayThrough() || f.depthM() > 0)
                .map(f -> f.area(ask.place().size(), ask.freeM()))
                .toList();
    }

    /** The windows in the wall that is thrown at. */
    private static List<Feature> windows(Place place) {
        Feature.Edge edge = place.wallAlongLength() ? Feature.Edge.TOP : Feature.Edge.LEFT;
        return place.features().stream()
                .filter(f -> f.kind() == Feature.Kind.WINDOW && f.edge() == edge)
                .toList();
    }

    // Plain loops: this is asked for every spot of every place of every task that might take another's place.
    private static boolean meetsAny(Area spot, List<Area> areas) {
        for (Area area : areas) if (spot.meets(area)) return true;
        return false;
    }

    /** The stretch of wall that a spot throws at, from its own side to side. */
    private static boolean beforeAny(List<Feature> windows, Area spot) {
        for (Feature f : windows) {
            boolean top = f.edge() == Feature.Edge.TOP;
            double from = top ? spot.xM() : spot.yM();
            double to = from + (top ? spot.alongM() : spot.acrossM());
            if (from < f.fromM() + f.lengthM() - 1e-9 && f.fromM() < to - 1e-9) return true;
        }
        return false;
    }
}
