package org.unrulymarble.server.run;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;

/** Which account may feed which run, remembered for a few seconds; a refusal is never remembered. */
final class Hearing {

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
}
