package org.unrulymarble.server.platform;

import java.util.Map;
import java.util.Set;
import java.util.UUID;

/** Where something of a pupil is kept that has to go when the pupil goes. */
public interface Erased {

    /**
     * How much is kept of this pupil, by what it is called, such as {@code rounds}.
     *
     * @param classIds the pupil's class and those before it
     */
    Map<String, Long> kept(Set<UUID> classIds, UUID pupilId, String name);

    /** Takes it away, or makes it nobody's where others' results hang on it. {@code name} as it is shown, and nobody else's in the class. */
    void erase(Set<UUID> classIds, UUID pupilId, String name);
}
