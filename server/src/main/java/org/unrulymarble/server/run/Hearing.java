package org.unrulymarble.server.run;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.unrulymarble.server.account.AccessChanged;

/** Which account may feed which run, remembered for a few seconds or until that changes; a refusal is never remembered. */
@Component
class Hearing {

    private static final long GOOD_FOR_NANOS = TimeUnit.SECONDS.toNanos(10);
    private static final int MOST = 1_000;

    private record Key(UUID account, UUID run) {}

    private final Map<Key, Long> since = new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Long> eldest) {
            return size() > MOST;
        }
    };

    /** @param ask throws where it may not */
    void of(UUID account, UUID run, Runnable ask) {
        Key key = new Key(account, run);
        long now = System.nanoTime();
        synchronized (since) {
            Long before = since.get(key);
            if (before != null && now - before < GOOD_FOR_NANOS) return;
        }
        ask.run();
        synchronized (since) {
            since.put(key, now);
        }
    }

    /** What this account may do has changed. */
    @TransactionalEventListener(fallbackExecution = true)
    void forget(AccessChanged changed) {
        synchronized (since) {
            since.keySet().removeIf(key -> key.account().equals(changed.accountId()));
        }
    }
}
