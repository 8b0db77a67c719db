package org.unrulymarble.server.platform;

/** Somebody else saved in between. Nothing was saved. */
public final class Stale extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final long currentVersion;

    public Stale(long currentVersion) {
        super("stale");
        this.currentVersion = currentVersion;
    }

    public long currentVersion() {
        return currentVersion;
    }

    /** Throws unless what is to be saved was made from the version that stands. */
    public static void unless(long current, Long asked) {
        if (asked == null || asked != current) throw new Stale(current);
    }
}
