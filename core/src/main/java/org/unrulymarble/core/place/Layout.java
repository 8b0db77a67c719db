package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * {@link Spots} with what stands in the way taken out: the floor before doors, ways out and stairs stays free, nobody works where an obstacle is,
 * and at a wall with a window nobody throws at the window. A task at a wall has spots at every free wall of the room.
 *
 * @param spots what is left, with its own waves; the rectangles as they lie in the room
 * @param atWalls how many of them are at which side of the room, in their order; empty for a task that needs no wall
 * @param leftFree spots left out so that a way stays free or because something stands there
 * @param leftForWindows spots left out beside a window
 */
public record Layout(Spots spots, List<AtWall> atWalls, int leftFree, int leftForWindows) {

    private static final int SLIDES = 8;

    /** @param spots so many, one after the other in the layout's list */
    public record AtWall(Feature.Edge edge, int spots) {}

    /**
     * @param mostSpots no more than so many, or null
     * @param markM the upper edge of a mark on the wall, or null: a wall that ends below it is left out
     * @param windowsHurt whether spots beside a window are left out
     * @param freeM floor that is kept free before a way through
     */
    public record LayoutAsk(
            Place place,
            Footprint footprint,
            int pupils,
            int perSpot,
            Integer mostSpots,
            Double markM,
            boolean windowsHurt,
            double freeM) {}

    public static Layout of(LayoutAsk ask) {
        return ask.footprint().needsWall() ? atWalls(ask) : onFloor(ask);
    }

    private static Layout onFloor(LayoutAsk ask) {
        Spots grid = grid(ask, ask.place().size());
        if (grid.spots() == 0) return new Layout(grid, List.of(), 0, 0);
        Try best = bestPlace(ask, grid, null, List.of());
        List<Spots.Placed> free = best.left().size() < Math.min(grid.placed().size(), most(ask))
                ? freeRows(ask, best.left())
                : best.left();
        return new Layout(
                kept(ask, grid, free), List.of(), Math.max(0, grid.placed().size() - free.size()), best.windows());
    }

    /** Rows that slide one by one, along the room and across it and with the spots either way; the grid stays where none of them holds more. */
    private static List<Spots.Placed> freeRows(LayoutAsk ask, List<Spots.Placed> grid) {
        Footprint f = ask.footprint();
        Space room = ask.place().size();
        List<Area> keptFree = keptFree(ask);
        List<Area> turned = keptFree.stream().map(Area::turned).toList();
        List<Spots.Placed> most = grid;
        for (boolean lengthwise : new boolean[] {true, false}) {
            double along = lengthwise ? f.lengthM() : f.widthM();
            double across = lengthwise ? f.widthM() : f.lengthM();
            // Throwers of one row stand side by side: their row lies across the way that the ball takes.
            if (!f.oneRow() || !lengthwise) {
                List<Spots.Placed> rows = new FreeRows(room.lengthM(), along, across, f, keptFree).rows(room.widthM());
                if (rows.size() > most.size()) most = rows;
            }
            if (!f.oneRow() || lengthwise) {
                List<Spots.Placed> rows = new FreeRows(room.widthM(), across, along, f, turned).rows(room.lengthM());
                if (rows.size() > most.size())
                    most = rows.stream()
                            .map(s -> new Spots.Placed(s.yM(), s.xM(), s.acrossM(), s.alongM()))
                            .toList();
            }
        }
        return most;
    }

    /** Each wall in turn, and whoever comes later goes round those that are there; the other way about too, where that holds more. */
    private static Layout atWalls(LayoutAsk ask) {
        List<FreeWall> walls = ask.place().walls();
        if (walls.isEmpty()) return new Layout(grid(ask, ask.place().size()), List.of(), 0, 0);
        Layout asListed = along(ask, walls);
        if (walls.size() == 1) return asListed;
        List<FreeWall> turned = new ArrayList<>(walls);
        Collections.reverse(turned);
        Layout other = along(ask, turned);
        return other.spots().spots() > asListed.spots().spots() ? other : asListed;
    }

    private static Layout along(LayoutAsk ask, List<FreeWall> walls) {
        int most = most(ask);
        List<Spots.Placed> all = new ArrayList<>();
        List<AtWall> at = new ArrayList<>();
        Spots first = null;
        int free = 0;
        int windows = 0;
        for (FreeWall wall : walls) {
            Spots grid = ask.markM() == null || wall.stretch().reaches(ask.markM())
                    ? grid(ask, wall.seen(ask.place().size()))
                    : Spots.none(ask.pupils(), Spots.Reason.WALL_TOO_LOW);
            if (first == null || (first.spots() == 0 && grid.spots() > 0)) first = grid;
            if (grid.spots() == 0 || all.size() >= most) continue;
            Try best = alongFreely(ask, grid, wall, all);
            List<Spots.Placed> here = best.left()
                    .subList(0, Math.min(most - all.size(), best.left().size()));
            all.addAll(here);
            if (!here.isEmpty()) at.add(new AtWall(wall.edge(), here.size()));
            free += best.free();
            windows += best.windows();
        }
        if (first.spots() == 0) return new Layout(first, List.of(), 0, 0);
        return new Layout(kept(ask, first, all), List.copyOf(at), free, windows);
    }

    private static Spots grid(LayoutAsk ask, Space room) {
        return Spots.of(new Spots.SpotsAsk(room, ask.footprint(), ask.pupils(), ask.perSpot()));
    }

    private static int most(LayoutAsk ask) {
        return ask.mostSpots() == null ? Integer.MAX_VALUE : Math.max(1, ask.mostSpots());
    }

    /** The grid as it is where nothing is left out: it may have more spots than anybody can draw. */
    private static Spots kept(LayoutAsk ask, Spots grid, List<Spots.Placed> left) {
        boolean whole = left.size() == grid.placed().size() && grid.spots() <= most(ask);
        return whole
                ? grid.at(left)
                : grid.only(left.subList(0, Math.min(most(ask), left.size())), ask.pupils(), ask.perSpot());
    }

    /** What is left of the grid at one place, as it lies in the room. */
    private record Try(List<Spots.Placed> left, int free, int windows) {}

    /**
     * The grid may slide as far as the room lets it; where it loses fewest spots it stays, nearest its corner first.
     *
     * @param wall that it is at, or null
     * @param taken by spots at other walls
     */
    private static Try bestPlace(LayoutAsk ask, Spots grid, FreeWall wall, List<Spots.Placed> taken) {
        Footprint f = ask.footprint();
        Space room = ask.place().size();
        double roomAlong = wall == null ? room.lengthM() : wall.stretch().runM();
        double slackAlong = roomAlong - f.edgeM() - end(grid, true);
        double slackAcross = wall == null ? room.widthM() - f.edgeM() - end(grid, false) : 0;
        Floor floor = new Floor(keptFree(ask), grown(taken, Math.max(SideBySide.LEAST_GAP_M, f.gapM())));
        Try best = null;
        for (int i = 0; i <= SLIDES; i++)
            for (int j = 0; j <= SLIDES; j++) {
                if ((i > 0 && slackAlong <= 1e-9) || (j > 0 && slackAcross <= 1e-9)) continue;
                Try there = at(ask, grid, wall, floor, slackAlong * i / SLIDES, slackAcross * j / SLIDES);
                if (best == null || there.left().size() > best.left().size()) best = there;
                if (best.left().size() == grid.placed().size()) return best;
            }
        return best;
    }

    /** Along a wall each spot slides on its own where that holds more than the whole row can. */
    private static Try alongFreely(LayoutAsk ask, Spots grid, FreeWall wall, List<Spots.Placed> taken) {
        Try slid = bestPlace(ask, grid, wall, taken);
        if (slid.left().size() == grid.placed().size()) return slid;
        Footprint f = ask.footprint();
        Space room = ask.place().size();
        List<Area> inTheWay = new ArrayList<>();
        int[] holds = new int[2];
        for (Area a : grown(taken, Math.max(SideBySide.LEAST_GAP_M, f.gapM()))) inTheWay.add(wall.asSeen(room, a));
        holds[0] = row(wall, f, inTheWay).size();
        for (Area a : keptFree(ask)) inTheWay.add(wall.asSeen(room, a));
        holds[1] = row(wall, f, inTheWay).size();
        if (ask.windowsHurt()) inTheWay.addAll(wall.windows(ask.place(), f.lengthM()));
        List<Spots.Placed> row = row(wall, f, inTheWay);
        if (row.size() <= slid.left().size()) return slid;
        List<Spots.Placed> inRoom = row.stream()
                .map(s -> wall.inRoom(room, s))
                .map(a -> new Spots.Placed(a.xM(), a.yM(), a.alongM(), a.acrossM()))
                .toList();
        return new Try(inRoom, holds[0] - holds[1], holds[1] - row.size());
    }

    private static List<Spots.Placed> row(FreeWall wall, Footprint f, List<Area> inTheWay) {
        return new FreeRows(wall.stretch().runM(), f.widthM(), f.lengthM(), f, inTheWay).row(0);
    }

    /** Where nobody may stand. @param taken by spots at other walls, with the room between */
    private record Floor(List<Area> keptFree, List<Area> taken) {}

    private static List<Area> grown(List<Spots.Placed> spots, double byM) {
        return spots.stream()
                .map(s -> new Area(s.xM(), s.yM(), s.alongM(), s.acrossM()).grown(byM))
                .toList();
    }

    private static double end(Spots grid, boolean along) {
        return grid.placed().stream()
                .mapToDouble(s -> along ? s.xM() + s.alongM() : s.yM() + s.acrossM())
                .max()
                .orElse(0);
    }

    // Plain loops: this is asked for every spot of every place of every task that might take another's place.
    private static Try at(LayoutAsk ask, Spots grid, FreeWall wall, Floor floor, double byX, double byY) {
        List<Spots.Placed> left = new ArrayList<>(grid.placed().size());
        int free = 0;
        int beside = 0;
        for (Spots.Placed spot : grid.placed()) {
            Spots.Placed slid = new Spots.Placed(spot.xM() + byX, spot.yM() + byY, spot.alongM(), spot.acrossM());
            Area inRoom = wall == null
                    ? new Area(slid.xM(), slid.yM(), slid.alongM(), slid.acrossM())
                    : wall.inRoom(ask.place().size(), slid);
            if (meetsAny(inRoom, floor.taken())) continue;
            if (meetsAny(inRoom, floor.keptFree())) free++;
            else if (wall != null && ask.windowsHurt() && wall.windowBefore(ask.place(), inRoom)) beside++;
            else left.add(new Spots.Placed(inRoom.xM(), inRoom.yM(), inRoom.alongM(), inRoom.acrossM()));
        }
        return new Try(left, free, beside);
    }

    /** The floor that nobody stands on. */
    private static List<Area> keptFree(LayoutAsk ask) {
        return ask.place().features().stream()
                .filter(f -> f.wayThrough() || f.depthM() > 0)
                .map(f -> f.area(ask.place().size(), ask.freeM()))
                .toList();
    }

    private static boolean meetsAny(Area spot, List<Area> areas) {
        for (Area area : areas) if (spot.meets(area)) return true;
        return false;
    }
}
