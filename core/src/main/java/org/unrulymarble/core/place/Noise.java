package org.unrulymarble.core.place;

/** How loud a task is for whoever works beside it, is below or next door. */
public enum Noise {
    QUIET,
    BOUNCE,
    LOUD;

    /** Whether one of the two is drowned by the other. */
    boolean drowns(Noise other) {
        return (this == LOUD && other == QUIET) || (this == QUIET && other == LOUD);
    }
}
