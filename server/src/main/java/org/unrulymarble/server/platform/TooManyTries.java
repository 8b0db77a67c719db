package org.unrulymarble.server.platform;

/** Somebody tries too often. */
public final class TooManyTries extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final long retryAfterSec;

    public TooManyTries(long retryAfterSec) {
        super("too many tries");
        this.retryAfterSec = retryAfterSec;
    }

    public long retryAfterSec() {
        return retryAfterSec;
    }
}
