package org.unrulymarble.server.record;

import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Works out in quiet minutes what would else be worked out when the first teacher of the day looks. */
@Component
class RecordsKeeper {

    private static final Logger LOG = LoggerFactory.getLogger(RecordsKeeper.class);

    private final LadderRecords kept;

    RecordsKeeper(LadderRecords kept) {
        this.kept = kept;
    }

    /** Soon after the start too: whoever starts the machine for a lesson asks for it in the first minute. */
    @Scheduled(initialDelayString = "${marble.records-after:PT3S}", fixedDelayString = "PT5M")
    void keep() {
        for (UUID classId : kept.classesDue()) {
            try {
                kept.bringUpToDate(classId);
            } catch (RuntimeException e) {
                // The next look at the class works it out itself, and tells whoever looks.
                LOG.warn("The record of class {} could not be worked out: {}", classId, e.toString());
            }
        }
    }
}
