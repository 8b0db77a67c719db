package org.unrulymarble.core.ladder;

/** Where in a lesson a task belongs. */
public enum Part {
    WARM_UP,
    MAIN,
    COOL_DOWN
}
