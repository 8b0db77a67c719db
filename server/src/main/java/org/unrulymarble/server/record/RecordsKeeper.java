package org.unrulymarble.server.record;

import java.util.UUID;
import java.util.concurrent.ExecutorService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.unrulymarble.server.platform.OwnThread;

/** Works out in quiet minutes what would else be worked out when the first teacher of the day looks. */
@Component
class RecordsKeeper {

    private static final Logger LOG = LoggerFactory.getLogger(RecordsKeeper.class);

    private final LadderRecords kept;
    private final ExecutorService first = OwnThread.named("records-first");

    RecordsKeeper(LadderRecords kept) {
        this.kept = kept;
    }

    /** Once the server takes requests, and the demo is filled: whoever starts the machine for a lesson asks for it in the first minute. */
    @EventListener
    void atTheStart(AvailabilityChangeEvent<ReadinessState> event) {
        if (event.getState() == ReadinessState.ACCEPTING_TRAFFIC) first.execute(this::keep);
    }

    @Scheduled(initialDelayString = "PT5M", fixedDelayString = "PT5M")
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
