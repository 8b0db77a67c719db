package org.unrulymarble.core.clock;

import org.jspecify.annotations.Nullable;

/**
 * One stretch of the lesson; segments tile it without gap or overlap, but for those beside another, and none is empty.
 *
 * @param index place in the lesson, from 0
 * @param block block it belongs to, from 0; a transition belongs to the block that it leaves
 * @param set from 0; of the set just done for a gap; -1 before the first set and in a transition
 * @param turn from 0; -1 where no turn is on
 * @param side 0 or 1 for work, -1 elsewhere
 * @param beside for work at another station at the same time: the segment that the clock goes by; null for one that tiles the lesson itself
 */
public record Segment(
        int index,
        int block,
        Kind kind,
        long startSec,
        long durationSec,
        int set,
        int turn,
        int side,
        @Nullable Integer beside) {

    /** One that tiles the lesson. */
    public Segment(int index, int block, Kind kind, long startSec, long durationSec, int set, int turn, int side) {
        this(index, block, kind, startSec, durationSec, set, turn, side, null);
    }

    /** What happens in a segment. */
    public enum Kind {
        SETUP,
        EXPLAIN,
        COUNT_IN,
        WORK,
        SIDE_SWAP,
        TURN_SWAP,
        REST,
        TRANSITION,
        /** Every group moves on to its next station. */
        STATION_CHANGE,
        /** Time to talk, instead of a task. */
        TALK,
        /** Time to drink, instead of a task. */
        WATER
    }

    public long endSec() {
        return startSec + durationSec;
    }
}
