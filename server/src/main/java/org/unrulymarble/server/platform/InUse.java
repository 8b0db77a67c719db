package org.unrulymarble.server.platform;

/** Something cannot go while lessons use it. Nothing was removed. */
public final class InUse extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final long lessons;

    public InUse(long lessons) {
        super("in use");
        this.lessons = lessons;
    }

    long lessons() {
        return lessons;
    }
}
