package org.unrulymarble.core.check;

/** The house rule for rounding: 1e-9 of slack, so that 0.1 x 30 seconds is 3 seconds and not 4. */
public final class Rounding {

    public static final double SLACK = 1e-9;

    private Rounding() {}

    public static int floor(double x) {
        return (int) Math.floor(x + SLACK);
    }

    public static int ceil(double x) {
        return (int) Math.ceil(x - SLACK);
    }

    /** Whether {@code size} fits into {@code room}; equal fits. */
    public static boolean fits(double size, double room) {
        return size <= room + SLACK;
    }
}
