package org.unrulymarble.server.run;

import java.io.IOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.unrulymarble.core.run.RunEvent;

/** Keeps the screens of a run together: whatever is appended goes to all that listen. A slow screen holds up no other. */
@Component
class RunStreams {

    private static final int BEAT_SEC = 10;
    private static final int SENDERS = 4;
    private static final long NO_END = 0;

    private final Map<UUID, List<Listener>> listeners = new ConcurrentHashMap<>();
    private final ScheduledExecutorService senders = Executors.newScheduledThreadPool(SENDERS, task -> {
        Thread thread = new Thread(task, "run-streams");
        thread.setDaemon(true);
        return thread;
    });
    private final Clock clock;

    RunStreams(Clock clock) {
        this.clock = clock;
        // A screen that has gone is noticed, and one behind a sleeping network knows that it is still heard.
        senders.scheduleAtFixedRate(
                () -> listeners.values().forEach(all -> all.forEach(l -> l.send(List.of()))),
                BEAT_SEC,
                BEAT_SEC,
                TimeUnit.SECONDS);
    }

    /** @param nowMs the server's clock, by which every screen sets its own */
    record Told(List<RunEvent> events, long nowMs) {}

    /**
     * Tells a new listener all that is known, and then what comes.
     *
     * @param log asked once the listener hears what comes, so that nothing falls between
     * @param hears which events are for this listener
     */
    SseEmitter listen(UUID runId, Supplier<List<RunEvent>> log, Predicate<RunEvent> hears) {
        SseEmitter emitter = new SseEmitter(NO_END);
        Listener listener = new Listener(emitter, hears);
        List<Listener> all = listeners.computeIfAbsent(runId, id -> new CopyOnWriteArrayList<>());
        all.add(listener);
        Runnable gone = () -> all.remove(listener);
        emitter.onCompletion(gone);
        emitter.onError(e -> gone.run());
        emitter.onTimeout(gone);
        listener.send(log.get());
        return emitter;
    }

    void tell(UUID runId, List<RunEvent> fresh) {
        listeners.getOrDefault(runId, List.of()).forEach(l -> l.send(fresh));
    }

    /** Before the server waits for requests that are still on: these would never end. */
    @EventListener(ContextClosedEvent.class)
    void stop() {
        listeners.values().forEach(all -> all.forEach(l -> l.emitter.complete()));
        senders.shutdownNow();
    }

    private final class Listener {
        private final SseEmitter emitter;
        private final Predicate<RunEvent> hears;
        private final Queue<List<RunEvent>> waiting = new ConcurrentLinkedQueue<>();
        private final AtomicBoolean sending = new AtomicBoolean();

        Listener(SseEmitter emitter, Predicate<RunEvent> hears) {
            this.emitter = emitter;
            this.hears = hears;
        }

        void send(List<RunEvent> events) {
            waiting.add(events.stream().filter(hears).toList());
            if (sending.compareAndSet(false, true)) senders.execute(this::drain);
        }

        private void drain() {
            try {
                while (!waiting.isEmpty()) {
                    List<RunEvent> together = new ArrayList<>();
                    for (List<RunEvent> some = waiting.poll(); some != null; some = waiting.poll())
                        together.addAll(some);
                    emitter.send(SseEmitter.event()
                            .name("events")
                            .data(new Told(together, clock.millis()), MediaType.APPLICATION_JSON));
                }
            } catch (IOException | IllegalStateException e) {
                emitter.completeWithError(e);
                return;
            } finally {
                sending.set(false);
            }
            // What came in between the last look and the sign that nobody sends is not left lying.
            if (!waiting.isEmpty() && sending.compareAndSet(false, true)) senders.execute(this::drain);
        }
    }
}
