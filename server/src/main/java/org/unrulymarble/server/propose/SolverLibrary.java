package org.unrulymarble.server.propose;

import com.google.ortools.Loader;
import java.util.concurrent.CompletableFuture;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.unrulymarble.server.platform.QuietThread;

/** The solver's native library. Where it cannot be loaded, lessons are proposed and laid out without proof. */
@Component
class SolverLibrary {

    private static final Logger LOG = LoggerFactory.getLogger(SolverLibrary.class);

    /** Loading takes a second or more, so it is done once the server is up; whoever asks before waits for it. */
    private final CompletableFuture<Boolean> loading = new CompletableFuture<>();

    @EventListener(ApplicationReadyEvent.class)
    void load() {
        QuietThread.of("solver-load", this::loadNow).start();
    }

    private void loadNow() {
        try {
            Loader.loadNativeLibraries();
            loading.complete(true);
        } catch (RuntimeException | LinkageError e) {
            LOG.warn("The solver cannot be loaded here; lessons are proposed without proof: {}", e.toString());
            loading.complete(false);
        }
    }

    boolean loaded() {
        return loading.join();
    }
}
