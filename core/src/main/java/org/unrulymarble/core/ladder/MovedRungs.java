package org.unrulymarble.core.ladder;

import java.util.Map;

/** Rungs that stood on another ladder in earlier versions, so that what was recorded on them is found where they stand now. */
public final class MovedRungs {

    /** A rung of a ladder, both by id. */
    public record At(String ladderId, String rungId) {}

    /** By where they stood. What is kept in the database was moved by a migration of its own; files are moved as they are read. */
    private static final Map<At, At> NOW =
            Map.of(new At("lateral-pass", "late-school"), new At("lateral-pass-flat", "no-spin"));

    private MovedRungs() {}

    /** Where a rung stands now; the same where it was never moved. */
    public static At now(String ladderId, String rungId) {
        At asked = new At(ladderId, rungId);
        return NOW.getOrDefault(asked, asked);
    }
}
