package org.unrulymarble.core.ladder;

/** Which sides a rung asks for. */
public enum Sides {
    /** No side: both hands together. */
    NONE,
    /** Right and left hand, each in its turn. */
    BOTH,
    /** Round one way and then the other. */
    BOTH_DIRECTIONS,
    /** The strong side only, as in a serve. */
    STRONG_ONLY,
    /** Each hand has its own job, as glove and throwing hand. */
    OWN_JOBS;

    /** How often the rung is done so that each side gets its due. */
    public int count() {
        return this == BOTH || this == BOTH_DIRECTIONS ? 2 : 1;
    }
}
