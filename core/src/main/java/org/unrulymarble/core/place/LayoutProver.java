package org.unrulymarble.core.place;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.place.SideBySide.Way;

/** Looks for a layout that is better than one that is known, and proves where there is none; the solver behind it is none of the core's business. */
public interface LayoutProver {

    /** A rectangle of the floor, in metres from the left and the top. */
    record Rect(double xM, double yM, double alongM, double acrossM) {}

    /**
     * One size and direction that a station may have.
     *
     * @param worth the share of a visit that a pupil works then
     * @param way where the ball goes across the floor, so that nobody may be beyond; null where it goes nowhere, and at a wall
     * @param xFromM its left side may lie from there to {@code xToM}, its upper one from {@code yFromM} to {@code yToM}
     * @param barred what it must not lie on
     */
    record Option(
            double worth,
            double alongM,
            double acrossM,
            @Nullable Way way,
            double xFromM,
            double xToM,
            double yFromM,
            double yToM,
            List<Rect> barred) {}

    /** @param apartM so far from every other at least; between two the greater counts */
    record Station(double apartM, List<Option> options) {}

    /** @param option place among the station's, from 0 */
    record Put(int option, double xM, double yM) {}

    /**
     * @param put station by station, or empty where none was found
     * @param most no layout is worth more on average; null where that is not known
     */
    record Proof(List<Put> put, @Nullable Double most) {
        public static final Proof NONE = new Proof(List.of(), null);
    }

    /** Two stations that are to lie farther apart than either asks. @param one place in the list, from 0; {@code other} likewise */
    record Apart(int one, int other, double gapM) {}

    /** @param above only what is worth more on average is wanted */
    Proof better(List<Station> stations, List<Apart> apart, double above);
}
