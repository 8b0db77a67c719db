package org.unrulymarble.core.ladder;

import java.util.List;

/** The side that one round was done on. */
public enum Side {
    NONE,
    RIGHT,
    LEFT,
    CLOCKWISE,
    COUNTER_CLOCKWISE,
    STRONG,
    /** Both sides in one round: alternating, out and back, or called. */
    MIXED;

    /** The sides that a rung asks for, in the order in which they are called. */
    public static List<Side> of(Sides sides) {
        return switch (sides) {
            case NONE, OWN_JOBS -> List.of(NONE);
            case BOTH -> List.of(RIGHT, LEFT);
            case BOTH_DIRECTIONS -> List.of(CLOCKWISE, COUNTER_CLOCKWISE);
            case STRONG_ONLY -> List.of(STRONG);
        };
    }
}
