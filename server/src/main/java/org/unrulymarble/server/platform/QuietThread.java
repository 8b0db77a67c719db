package org.unrulymarble.server.platform;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** One thread for long work, which lets every tap go first and ends with the program. */
public final class QuietThread {

    private QuietThread() {}

    public static ExecutorService named(String name) {
        return Executors.newSingleThreadExecutor(task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            thread.setPriority(Thread.MIN_PRIORITY);
            return thread;
        });
    }
}
