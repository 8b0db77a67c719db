package org.unrulymarble.core.place;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * A free stretch of wall where it is in the room.
 *
 * @param edge the side of the room; see {@link Feature} for how sides are named
 * @param fromM where it begins, from the left or from the top, 0 to 200 m
 */
public record FreeWall(Feature.Edge edge, Double fromM, Wall stretch) {
    public FreeWall {
        new Checks()
                .required("edge", edge)
                .length("fromM", fromM)
                .required("stretch", stretch)
                .done();
    }

    /** Whether it runs as the room's length does. */
    boolean alongLength() {
        return edge == Feature.Edge.TOP || edge == Feature.Edge.BOTTOM;
    }

    double endM() {
        return fromM + stretch.runM();
    }

    /** The whole side that it is part of. */
    double sideM(Space room) {
        return alongLength() ? room.lengthM() : room.widthM();
    }

    /** From its side of the room to the other. */
    double acrossM(Space room) {
        return alongLength() ? room.widthM() : room.lengthM();
    }

    boolean overlaps(FreeWall other) {
        return edge == other.edge && fromM < other.endM() - Rounding.SLACK && other.fromM() < endM() - Rounding.SLACK;
    }

    /** The room as who stands at this wall sees it. */
    Space seen(Space room) {
        return new Space(sideM(room), acrossM(room), room.ceilingM(), stretch);
    }

    /** A rectangle measured from where the wall begins, x along it and y away from it, as it lies in the room. */
    Area inRoom(Space room, Spots.Placed at) {
        double along = fromM + at.xM();
        return switch (edge) {
            case TOP -> new Area(along, at.yM(), at.alongM(), at.acrossM());
            case BOTTOM -> new Area(along, room.widthM() - at.yM() - at.acrossM(), at.alongM(), at.acrossM());
            case LEFT -> new Area(at.yM(), along, at.acrossM(), at.alongM());
            case RIGHT -> new Area(room.lengthM() - at.yM() - at.acrossM(), along, at.acrossM(), at.alongM());
        };
    }

    /** A rectangle of the room as {@link #inRoom} measures them. */
    Area asSeen(Space room, Area a) {
        return switch (edge) {
            case TOP -> new Area(a.xM() - fromM, a.yM(), a.alongM(), a.acrossM());
            case BOTTOM -> new Area(a.xM() - fromM, room.widthM() - a.yM() - a.acrossM(), a.alongM(), a.acrossM());
            case LEFT -> new Area(a.yM() - fromM, a.xM(), a.acrossM(), a.alongM());
            case RIGHT -> new Area(a.yM() - fromM, room.lengthM() - a.xM() - a.alongM(), a.acrossM(), a.alongM());
        };
    }

    /** The windows in its side of the room, as deep as {@code deepM} and measured as {@link #inRoom} does. */
    List<Area> windows(Place place, double deepM) {
        return place.features().stream()
                .filter(f -> f.kind() == Feature.Kind.WINDOW && f.edge() == edge)
                .map(f -> new Area(f.fromM() - fromM, 0, f.lengthM(), deepM))
                .toList();
    }

    /** Whether something of the room stands right at this wall, within its run and the task's free edge. */
    boolean holds(Space room, Area a, double freeEdgeM) {
        double from = alongLength() ? a.xM() : a.yM();
        double to = from + (alongLength() ? a.alongM() : a.acrossM());
        double away = switch (edge) {
            case TOP -> a.yM();
            case LEFT -> a.xM();
            case BOTTOM -> room.widthM() - a.yM() - a.acrossM();
            case RIGHT -> room.lengthM() - a.xM() - a.alongM();
        };
        return Math.abs(away) <= Rounding.SLACK
                && from >= fromM + freeEdgeM - Rounding.SLACK
                && to <= endM() - freeEdgeM + Rounding.SLACK;
    }

    /** Whether the stretch of wall from side to side of a rectangle has a window in it. */
    boolean windowBefore(Place place, Area a) {
        double from = alongLength() ? a.xM() : a.yM();
        double to = from + (alongLength() ? a.alongM() : a.acrossM());
        for (Feature f : place.features())
            if (f.kind() == Feature.Kind.WINDOW
                    && f.edge() == edge
                    && from < f.fromM() + f.lengthM() - 1e-9
                    && f.fromM() < to - 1e-9) return true;
        return false;
    }
}
