package org.unrulymarble.core.plan;

/** What a pupil needs to be done differently. */
public enum Adaptation {
    SEATED,
    ONE_HAND,
    SEES_LITTLE,
    HEARS_LITTLE
}
