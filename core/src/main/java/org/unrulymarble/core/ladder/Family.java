package org.unrulymarble.core.ladder;

/** The five families of ball skills. */
public enum Family {
    THROW,
    CATCH,
    HANDLE,
    TARGET,
    MOVE
}
