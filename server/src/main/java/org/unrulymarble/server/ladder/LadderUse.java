package org.unrulymarble.server.ladder;

import java.util.Map;

/** Where ladders are used; a rung that is used keeps its place. */
public interface LadderUse {

    /** How often each rung of a ladder is used, by its id; those that are not are absent. */
    Map<String, Long> timesByRung(String ladderId);
}
