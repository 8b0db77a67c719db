package org.unrulymarble.core.measure;

/** Where a miss sends the thrower. */
public enum OnMiss {
    STAY,
    STEP_IN,
    RESTART
}
