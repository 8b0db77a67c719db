package org.unrulymarble.core.ladder;

/** What a ladder trains besides its family. */
public enum Aspect {
    HANDS,
    BOTH_SIDES,
    FEET,
    EYES_UP,
    BALANCE,
    REACTION,
    TIMING,
    STRENGTH,
    AIM,
    MEMORY
}
