package org.unrulymarble.server.device;

/** What stands there. */
enum DeviceKind {
    /** Hears hits at a wall or a target. */
    PAD,
    /** Sees who passes a start and a finish. */
    GATE,
    /** A button for hits and one for misses, in a counter's hand. */
    CLICKER,
    /** Shows clock and counts, by spot. */
    BOARD
}
