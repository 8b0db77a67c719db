package org.unrulymarble.server.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** When a lesson last tapped anything: long work waits until none is going. */
@Component
public class LessonsGoing {

    private final Clock clock;
    private volatile Instant last = Instant.MIN;

    LessonsGoing(Clock clock) {
        this.clock = clock;
    }

    public void tapped() {
        last = clock.instant();
    }

    public boolean within(Duration past) {
        return last.isAfter(clock.instant().minus(past));
    }
}
