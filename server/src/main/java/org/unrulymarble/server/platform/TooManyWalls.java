package org.unrulymarble.server.platform;

/** A run has as many wall faces open as it may. */
public final class TooManyWalls extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final int most;

    public TooManyWalls(int most) {
        super("too many walls");
        this.most = most;
    }

    int most() {
        return most;
    }
}
