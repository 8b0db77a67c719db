package org.unrulymarble.server.device;

import jakarta.annotation.PreDestroy;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.run.BySpot;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.run.RunFeed;

/** Tells devices every second where their run stands; when it is over, their lines are closed. */
@Component
class DeviceTicker {

    private static final Logger LOG = LoggerFactory.getLogger(DeviceTicker.class);

    private final DevicesHere here;
    private final RunFeed runs;
    private final ScheduledExecutorService ticks = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "device-ticks");
        thread.setDaemon(true);
        return thread;
    });

    DeviceTicker(DevicesHere here, RunFeed runs) {
        this.here = here;
        this.runs = runs;
        ticks.scheduleWithFixedDelay(() -> here.listening().forEach(this::tick), 1, 1, TimeUnit.SECONDS);
    }

    private void tick(UUID runId) {
        try {
            RunFeed.Now now = runs.now(runId);
            here.tellAll(runId, DeviceTold.Now.of(now));
            if (now.bySpot().phase() == BySpot.Phase.OVER) here.closeAll(runId);
        } catch (NotFound e) {
            here.closeAll(runId);
        } catch (RuntimeException e) {
            // The next second tries again; a board that stands still says so itself.
            LOG.warn("devices of run {} were not told", runId, e);
        }
    }

    @PreDestroy
    void stop() {
        ticks.shutdownNow();
    }
}
