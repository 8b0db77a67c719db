package org.unrulymarble.core.place;

import java.util.List;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.place.SideBySide.Hindrance;
import org.unrulymarble.core.place.SideBySide.SideBySideAsk;
import org.unrulymarble.core.place.SideBySide.StationAsk;
import org.unrulymarble.core.place.SideBySide.Way;
import org.unrulymarble.core.place.SideBySide.Why;

/** The floor of a room as stations are laid on it: what hinders one from being somewhere. */
final class StationFloor {

    /** So many spots in rows and columns, one way round. @param way where the ball goes, or null @param wall that it stands at, or null */
    record Shape(int columns, int rows, double spotAlongM, double spotAcrossM, double gapM, Way way, FreeWall wall) {
        double alongM() {
            return columns * spotAlongM + (columns - 1) * gapM;
        }

        double acrossM() {
            return rows * spotAcrossM + (rows - 1) * gapM;
        }
    }

    /** A shape at its place, with the floor beyond it into which is thrown. */
    record Laid(Shape shape, Area area, Area beyond, double gapM, Noise noise) {}

    private final SideBySideAsk ask;
    private final double lengthM;
    private final double widthM;
    private final List<Area> keptFree;
    private final double quietApartM;

    /** @param quietApartM between a loud station and a quiet one, 0 for no more than between others */
    StationFloor(SideBySideAsk ask, double quietApartM) {
        this.ask = ask;
        this.quietApartM = quietApartM;
        this.lengthM = ask.place().size().lengthM();
        this.widthM = ask.place().size().widthM();
        this.keptFree = keptFree(ask.place(), ask.freeM());
    }

    static List<Area> keptFree(Place place, double freeM) {
        return place.features().stream()
                .filter(f -> f.wayThrough() || f.depthM() > 0)
                .map(f -> f.area(place.size(), freeM))
                .toList();
    }

    /** What nobody stands on: before doors, ways out and stairs, and where something stands. */
    List<Area> keptFree() {
        return keptFree;
    }

    Laid at(StationAsk s, Shape shape, double xM, double yM) {
        Area area = new Area(xM, yM, shape.alongM(), shape.acrossM());
        return new Laid(
                shape,
                area,
                shape.wall() != null || shape.way() == null
                        ? null
                        : beyond(shape.way(), area, ask.place().size()),
                Math.max(SideBySide.LEAST_GAP_M, s.footprint().gapM()),
                s.noise());
    }

    /** Floor between a station and one that lies there. */
    double gapM(StationAsk s, Laid other) {
        double gap = Math.max(Math.max(SideBySide.LEAST_GAP_M, s.footprint().gapM()), other.gapM());
        return s.noise().drowns(other.noise()) ? Math.max(gap, quietApartM) : gap;
    }

    /** Whether it would lie on another or too near to one: most places that are tried do. */
    boolean meetsOther(StationAsk s, Shape shape, double xM, double yM, Laid[] laid) {
        double along = shape.alongM();
        double across = shape.acrossM();
        for (Laid other : laid) {
            if (other == null) continue;
            Area o = other.area();
            double gap = gapM(s, other) - Rounding.SLACK;
            if (xM + along + gap > o.xM()
                    && o.xM() + o.alongM() + gap > xM
                    && yM + across + gap > o.yM()
                    && o.yM() + o.acrossM() + gap > yM) return true;
        }
        return false;
    }

    /** What hinders it from being there; null for nothing. */
    Why why(StationAsk s, Laid there, Laid[] laid) {
        if (outside(s, there)) return new Why(Hindrance.OUTSIDE, null);
        for (Area kept : keptFree) if (there.area().meets(kept)) return new Why(Hindrance.WAY, null);
        FreeWall wall = there.shape().wall();
        if (s.windowsHurt() && wall != null && wall.windowBefore(ask.place(), there.area()))
            return new Why(Hindrance.WINDOW, null);
        for (int i = 0; i < laid.length; i++) {
            Laid other = laid[i];
            if (other == null) continue;
            if (there.area().grown(gapM(s, other)).meets(other.area())) return new Why(Hindrance.STATION, i);
            if ((there.beyond() != null && there.beyond().meets(other.area()))
                    || (other.beyond() != null && other.beyond().meets(there.area())))
                return new Why(Hindrance.THROWN_AT, i);
        }
        return null;
    }

    /** Beyond the room's edge that the task keeps free, or away from the wall that it needs. */
    private boolean outside(StationAsk s, Laid there) {
        Area a = there.area();
        double edge = s.footprint().edgeM() - Rounding.SLACK;
        FreeWall wall = there.shape().wall();
        if (wall != null)
            return !wall.holds(ask.place().size(), a, s.footprint().edgeM());
        return a.xM() < edge
                || a.xM() + a.alongM() > lengthM - edge
                || a.yM() < edge
                || a.yM() + a.acrossM() > widthM - edge;
    }

    /** The floor between whoever throws across it and the edge of the room. */
    static Area beyond(Way way, Area a, Space room) {
        return switch (way) {
            case RIGHT -> new Area(a.xM() + a.alongM(), a.yM(), room.lengthM() - a.xM() - a.alongM(), a.acrossM());
            case LEFT -> new Area(0, a.yM(), a.xM(), a.acrossM());
            case BOTTOM -> new Area(a.xM(), a.yM() + a.acrossM(), a.alongM(), room.widthM() - a.yM() - a.acrossM());
            case TOP -> new Area(a.xM(), 0, a.alongM(), a.yM());
        };
    }
}
