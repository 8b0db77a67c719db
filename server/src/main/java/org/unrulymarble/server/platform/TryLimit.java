package org.unrulymarble.server.platform;

import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** Ten wrong tries a minute from one place. */
@Component
public class TryLimit {

    private static final int TRIES = 10;
    private static final int REMEMBERED = 10_000;

    private final Map<String, Bucket> buckets = new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Bucket> eldest) {
            return size() > REMEMBERED;
        }
    };

    /** @throws TooManyTries when this was one too many */
    public void count(String from) {
        ConsumptionProbe probe = bucket(from).tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed())
            throw new TooManyTries(1 + TimeUnit.NANOSECONDS.toSeconds(probe.getNanosToWaitForRefill()));
    }

    /** The one that was just counted was none of the wrong ones. */
    public void giveBack(String from) {
        bucket(from).addTokens(1);
    }

    private Bucket bucket(String key) {
        synchronized (buckets) {
            return buckets.computeIfAbsent(
                    key,
                    k -> Bucket.builder()
                            .addLimit(Bandwidth.builder()
                                    .capacity(TRIES)
                                    .refillGreedy(TRIES, Duration.ofMinutes(1))
                                    .build())
                            .build());
        }
    }
}
