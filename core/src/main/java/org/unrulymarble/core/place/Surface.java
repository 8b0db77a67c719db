package org.unrulymarble.core.place;

/** What is underfoot. */
public enum Surface {
    WOOD,
    CONCRETE,
    TARMAC,
    TILES,
    CARPET,
    GRASS,
    SAND,
    /** Of a space: differs from place to place. Of a task: whatever there is. */
    ANY
}
