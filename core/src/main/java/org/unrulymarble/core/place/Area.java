package org.unrulymarble.core.place;

import org.unrulymarble.core.check.Rounding;

/** A rectangle on the floor: x along the length, y across it, in metres. */
record Area(double xM, double yM, double alongM, double acrossM) {

    static Area of(SideBySide.Station s) {
        return new Area(s.xM(), s.yM(), s.alongM(), s.acrossM());
    }

    /** The same seen with length and width changed places. */
    Area turned() {
        return new Area(yM, xM, acrossM, alongM);
    }

    /** With so much around it. */
    Area grown(double byM) {
        return new Area(xM - byM, yM - byM, alongM + 2 * byM, acrossM + 2 * byM);
    }

    /** Floor between the two along the length; below 0 where they overlap that way. */
    double gapAlongM(Area o) {
        return Math.max(o.xM - xM - alongM, xM - o.xM - o.alongM);
    }

    /** The same across it. */
    double gapAcrossM(Area o) {
        return Math.max(o.yM - yM - acrossM, yM - o.yM - o.acrossM);
    }

    /** Whether they share more than an edge. */
    boolean meets(Area o) {
        return xM + alongM > o.xM + Rounding.SLACK
                && o.xM + o.alongM > xM + Rounding.SLACK
                && yM + acrossM > o.yM + Rounding.SLACK
                && o.yM + o.acrossM > yM + Rounding.SLACK;
    }
}
