package org.unrulymarble.core.ladder;

/** Something added to a rung that makes its results a kind of their own. */
public enum Modifier {
    STEP_ADDED,
    GLOVES,
    CLOTH_COVER,
    SMALLER_BALL,
    EYES_ON_MARK,
    OTHER_HAND,
    SECOND_TASK
}
