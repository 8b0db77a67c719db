package org.unrulymarble.core.clock;

/** Where a lesson rests: only between the sets of a block, or after its last set too. */
public enum RestRule {
    BETWEEN_SETS,
    AFTER_EVERY_SET
}
