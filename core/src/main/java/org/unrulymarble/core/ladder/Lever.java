package org.unrulymarble.core.ladder;

/** The one thing that a rung changes against the rung below. */
public enum Lever {
    /** The first rung changes nothing. */
    START,
    HAND,
    CLAP,
    BOUNCE,
    HEIGHT,
    TURN,
    FEET,
    DISTANCE,
    TARGET_SIZE,
    SPEED,
    TOGETHER,
    NUMBER_OF_BALLS,
    EYES,
    DIRECTION,
    BALL,
    PARTNER,
    MEMORY_LOAD,
    HOLD,
    BALANCE,
    EQUIPMENT
}
