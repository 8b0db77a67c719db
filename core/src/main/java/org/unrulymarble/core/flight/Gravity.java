package org.unrulymarble.core.flight;

/** The one constant of all flights here. */
final class Gravity {
    /** Metres per second squared. */
    static final double G = 9.81;

    private Gravity() {}
}
