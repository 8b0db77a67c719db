package org.unrulymarble.core.kit;

/** What matters of a ball or of what stands in for it. */
public enum KitProperty {
    /** Comes back up by itself. */
    BOUNCES,
    /** Does not hurt a face at throwing speed. */
    SOFT,
    ROLLS,
    /** A child's hand closes on it. */
    GRIPS,
    /** Is seen against the floor. */
    BRIGHT
}
