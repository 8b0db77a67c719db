package org.unrulymarble.server.platform;

import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import org.springframework.stereotype.Component;

/** All that takes seconds, one after the other: proofs, rehearsals, learning, cards. One thread of lowest priority, so that taps never wait for it. */
@Component
public class LongWork {

    private final ExecutorService thread = QuietThread.named("long-work");

    /** Done in its turn; what it throws is thrown here. */
    public <T> T await(Callable<T> work) {
        try {
            return thread.submit(work).get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while waiting for long work", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException cause) throw cause;
            throw new IllegalStateException(e.getCause());
        }
    }

    /** Done in its turn, while whoever asked goes on. */
    public void later(Runnable work) {
        thread.submit(work);
    }
}
