package org.unrulymarble.server;

import java.util.UUID;

/** Events of a run as a tablet sends them. */
final class RunEvents {

    private RunEvents() {}

    static long made = System.nanoTime();

    static String event(String type, String details) {
        return event(1, type, details);
    }

    /** Ids rise with every event, as those of a device do. */
    static String event(int sec, String type, String details) {
        return "{\"id\":\"%s\",\"device\":\"tablet\",\"atMs\":%d,\"what\":{\"type\":\"%s\"%s}}"
                .formatted(new UUID(0x7000, ++made), 1000 * sec, type, details);
    }
}
