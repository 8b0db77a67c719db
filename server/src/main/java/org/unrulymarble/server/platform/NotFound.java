package org.unrulymarble.server.platform;

/** Nothing is known under this id, or it is not for the one who asks: the answer is the same, and names nothing. */
public final class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotFound() {
        super("not found");
    }
}
