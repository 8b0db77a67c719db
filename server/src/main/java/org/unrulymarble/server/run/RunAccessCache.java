package org.unrulymarble.server.run;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.unrulymarble.server.account.AccessChanged;

/** Which account may feed which run, remembered for a few seconds or until that changes; a refusal is never remembered. */
@Component
class RunAccessCache {

    private static final Duration GOOD_FOR = Duration.ofSeconds(10);
    private static final int MOST = 1_000;

    private record Key(UUID account, UUID run) {}

    private final Cache<Key, Boolean> allowed =
            Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(GOOD_FOR).build();

    /** @param ask throws where it may not */
    void check(UUID account, UUID run, Runnable ask) {
        Key key = new Key(account, run);
        if (allowed.getIfPresent(key) != null) return;
        ask.run();
        allowed.put(key, true);
    }

    /** What this account may do has changed. */
    @TransactionalEventListener(fallbackExecution = true)
    void forget(AccessChanged changed) {
        allowed.asMap().keySet().removeIf(key -> key.account().equals(changed.accountId()));
    }
}
