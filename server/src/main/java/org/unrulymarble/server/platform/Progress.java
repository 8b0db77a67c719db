package org.unrulymarble.server.platform;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import org.springframework.stereotype.Component;

/** How far long work is, for whoever began it and looks on. */
@Component
public class Progress {

    private final Map<UUID, Far> going = new ConcurrentHashMap<>();

    /** {@code done} of {@code all}. */
    public record Far(int done, int all) {}

    /** @param key null where nobody looks on */
    public void during(UUID key, int all, Consumer<IntConsumer> work) {
        if (key == null) {
            work.accept(done -> {});
            return;
        }
        going.put(key, new Far(0, all));
        try {
            work.accept(done -> going.put(key, new Far(done, all)));
        } finally {
            going.remove(key);
        }
    }

    /** For work that goes on after its answer: {@link #end} must follow. */
    public void begin(UUID key, int all) {
        going.put(key, new Far(0, all));
    }

    public void far(UUID key, int done, int all) {
        going.put(key, new Far(done, all));
    }

    public void end(UUID key) {
        going.remove(key);
    }

    public Optional<Far> of(UUID key) {
        return Optional.ofNullable(going.get(key));
    }
}
