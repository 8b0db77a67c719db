package org.unrulymarble.core.place;

import org.unrulymarble.core.check.Rounding;

/** A rectangle on the floor: x along the length, y across it, in metres. */
record Area(double xM, double yM, double alongM, double acrossM) {

    /** The same seen with length and width changed places. */
    Area turned() {
        return new Area(yM, xM, acrossM, alongM);
    }

    /** With so much around it. */
    Area grown(double byM) {
        return new Area(xM - byM, yM - byM, alongM + 2 * byM, acrossM + 2 * byM);
    }

    /** Whether they share more than an edge. */
    boolean meets(Area o) {
        return xM + alongM > o.xM + Rounding.SLACK
                && o.xM + o.alongM > xM + Rounding.SLACK
                && yM + acrossM > o.yM + Rounding.SLACK
                && o.yM + o.acrossM > yM + Rounding.SLACK;
    }
}
