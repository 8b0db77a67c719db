package org.unrulymarble.server.platform;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;

/** One thread for what somebody waits for, beside long work; it ends with the program. */
public final class OwnThread {

    private OwnThread() {}

    public static ExecutorService named(String name) {
        CustomizableThreadFactory threads = new CustomizableThreadFactory(name + "-");
        threads.setDaemon(true);
        return Executors.newSingleThreadExecutor(threads);
    }
}
