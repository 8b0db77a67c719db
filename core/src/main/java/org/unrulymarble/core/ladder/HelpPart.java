package org.unrulymarble.core.ladder;

import java.util.Locale;
import java.util.Map;

/** A part at a spot that a lesson may add or do without: nobody's task hangs on it, as it does on a feeder. */
public enum HelpPart {
    COUNTER,
    UMPIRE,
    FETCHER,
    BACKSTOP,
    DISTRACTOR;

    /** As ladders name the role. */
    String role() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The role where the ladder has none of its own. Whoever fetches moves, and rests in no turn of it. */
    Role usual() {
        return new Role(role(), false, Message.ours("helper." + name(), Map.of()), this == FETCHER);
    }
}
