package org.unrulymarble.server.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** Ten wrong tries a minute from one place. */
@Component
public class TryLimit {

    private static final int TRIES = 10;
    private static final int REMEMBERED = 10_000;

    private final Cache<String, Bucket> buckets =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

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
        return buckets.get(
                key,
                k -> Bucket.builder()
                        .addLimit(Bandwidth.builder()
                                .capacity(TRIES)
                                .refillGreedy(TRIES, Duration.ofMinutes(1))
                                .build())
                        .build());
    }
}
