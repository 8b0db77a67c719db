package org.unrulymarble.core.ladder;

/** How loud a task is for whoever is below or next door. */
public enum Noise {
    QUIET,
    BOUNCE,
    LOUD
}
