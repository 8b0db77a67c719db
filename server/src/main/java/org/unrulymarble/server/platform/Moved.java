package org.unrulymarble.server.platform;

import java.util.UUID;

/** Where something of a pupil is kept by class, and goes along to another one. */
public interface Moved {

    /** In the transaction of the move. */
    void move(UUID pupilId, UUID fromClassId, UUID toClassId);
}
