package org.unrulymarble.server.platform;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;

/** One thread for long work, which lets every tap go first and ends with the program. */
public final class QuietThread {

    /** Of two that want the same core, one of this niceness has about a tenth. */
    static final int NICE = 10;

    private static final int MOST_SEC = 2;

    private QuietThread() {}

    public static ExecutorService named(String name) {
        return Executors.newSingleThreadExecutor(task -> of(name, task));
    }

    /** Not started yet. */
    public static Thread of(String name, Runnable task) {
        Thread thread = new Thread(
                () -> {
                    giveWay();
                    task.run();
                },
                name);
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    }

    /** Linux goes by a thread's niceness and not by Java's priority; where there is neither file nor program for it, the priority has to do. */
    private static void giveWay() {
        try {
            Path self = Files.readSymbolicLink(Path.of("/proc/thread-self"));
            new ProcessBuilder(
                            "renice",
                            "-n",
                            String.valueOf(NICE),
                            "-p",
                            self.getFileName().toString())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start()
                    .waitFor(MOST_SEC, TimeUnit.SECONDS);
        } catch (IOException e) {
            // Not Linux, or a small one.
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
