package org.unrulymarble.core.place;

import org.unrulymarble.core.check.Checks;

/**
 * Something along an edge of a space. With the free wall drawn at the top, TOP is that wall if it runs along the length; the length runs from
 * left to right, the width from top to bottom.
 *
 * @param fromM from the left or from the top, 0 to 200
 * @param lengthM along the edge, above 0 to 200
 * @param depthM how far it stands out, 0 to 200; 0 for what lies in the wall
 */
public record Feature(Kind kind, Edge edge, Double fromM, Double lengthM, Double depthM) {

    /** What it is. */
    public enum Kind {
        WINDOW,
        DOOR,
        WAY_OUT,
        STAIRS,
        BREAKABLE,
        OBSTACLE
    }

    /** Where it is. */
    public enum Edge {
        TOP,
        RIGHT,
        BOTTOM,
        LEFT
    }

    public Feature {
        depthM = depthM == null ? 0 : depthM;
        new Checks()
                .required("kind", kind)
                .required("edge", edge)
                .length("fromM", fromM)
                .above("lengthM", lengthM, 0, 200)
                .length("depthM", depthM)
                .done();
    }

    /** What lies in the wall and does not stand out. */
    public static Feature inWall(Kind kind, Edge edge, double fromM, double lengthM) {
        return new Feature(kind, edge, fromM, lengthM, 0.0);
    }

    /** Whether floor before it is kept free. */
    public boolean wayThrough() {
        return kind == Kind.DOOR || kind == Kind.WAY_OUT || kind == Kind.STAIRS;
    }

    /** The floor that it takes, and {@code freeM} before a way through. */
    Area area(Space size, double freeM) {
        double deep = Math.max(depthM, wayThrough() ? freeM : 0);
        return switch (edge) {
            case TOP -> new Area(fromM, 0, lengthM, deep);
            case BOTTOM -> new Area(fromM, size.widthM() - deep, lengthM, deep);
            case LEFT -> new Area(0, fromM, deep, lengthM);
            case RIGHT -> new Area(size.lengthM() - deep, fromM, deep, lengthM);
        };
    }
}
