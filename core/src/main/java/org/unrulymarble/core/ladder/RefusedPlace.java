package org.unrulymarble.core.ladder;

/** Places where a task is not done. */
public enum RefusedPlace {
    /** A wall with a window in reach: the spots beside the window stay. */
    WINDOW_AT_WALL,
    LOW_LAMPS,
    OTHERS_WALL,
    NEIGHBOURS_BELOW,
    BREAKABLES,
    WET_FLOOR,
    STAIRS,
    CARS,
    OPEN_WATER
}
