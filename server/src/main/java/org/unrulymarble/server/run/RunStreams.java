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
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.unrulymarble.core.run.RunEvent;
import org.unrulymarble.server.account.AccessChanged;
import org.unrulymarble.server.platform.TooManyWalls;

/** Keeps the screens of a run together: whatever is appended goes to all that listen. A slow screen holds up no other. */
@Component
class RunStreams {

    private static final int BEAT_SEC = 10;
    private static final int SENDERS = 4;
    private static final long NO_END = 0;
    /** Of one run: every one of them is told every tap. */
    private static final int MOST_WALLS = 100;

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
                () -> listeners.values().forEach(all -> all.forEach(Listener::beat)),
                BEAT_SEC,
                BEAT_SEC,
                TimeUnit.SECONDS);
    }

    /** @param nowMs the server's clock, by which every screen sets its own */
    record Told(List<RunEvent> events, long nowMs) {}

    /**
     * Who listens.
     *
     * @param accountId null for a wall
     * @param untilMs when it ends by itself
     * @param hears which events are told
     * @param as how they are told
     */
    record Ear(UUID accountId, long untilMs, Predicate<RunEvent> hears, Function<Told, Object> as) {
        static Ear of(UUID accountId) {
            return new Ear(accountId, Long.MAX_VALUE, event -> true, told -> told);
        }

        boolean isWall() {
            return accountId == null;
        }
    }

    /**
     * Tells a new listener all that is known, and then what comes.
     *
     * @throws TooManyWalls for one wall more than a run may have
     * @param log asked once the listener hears what comes, so that nothing falls between
     */
    SseEmitter listen(UUID runId, Ear ear, Supplier<List<RunEvent>> log) {
        if (ear.isWall() && walls(runId).count() >= MOST_WALLS) throw new TooManyWalls(MOST_WALLS);
        SseEmitter emitter = new SseEmitter(NO_END);
        Listener listener = new Listener(emitter, ear);
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

    /** Ends all walls of a run, once they have heard what was told before. */
    void closeWalls(UUID runId) {
        walls(runId).forEach(Listener::end);
    }

    private Stream<Listener> walls(UUID runId) {
        return listeners.getOrDefault(runId, List.of()).stream().filter(l -> l.ear.isWall());
    }

    /** What an account may hear has changed: whoever still may listens anew. */
    @TransactionalEventListener(fallbackExecution = true)
    void cut(AccessChanged changed) {
        listeners
                .values()
                .forEach(all -> all.stream()
                        .filter(l -> changed.accountId().equals(l.ear.accountId()))
                        .forEach(Listener::end));
    }

    /** Before the server waits for requests that are still on: these would never end. */
    @EventListener(ContextClosedEvent.class)
    void stop() {
        listeners.values().forEach(all -> all.forEach(l -> l.emitter.complete()));
        senders.shutdownNow();
    }

    private final class Listener {
        private final SseEmitter emitter;
        private final Ear ear;
        private final Queue<List<RunEvent>> waiting = new ConcurrentLinkedQueue<>();
        private final AtomicBoolean sending = new AtomicBoolean();
        private volatile boolean ending;

        Listener(SseEmitter emitter, Ear ear) {
            this.emitter = emitter;
            this.ear = ear;
        }

        void beat() {
            if (clock.millis() >= ear.untilMs()) end();
            else send(List.of());
        }

        /** Nothing that comes from now on is told. */
        void end() {
            ending = true;
            wake();
        }

        void send(List<RunEvent> events) {
            if (ending) return;
            waiting.add(events.stream().filter(ear.hears()).toList());
            wake();
        }

        private void wake() {
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
                            .data(ear.as().apply(new Told(together, clock.millis())), MediaType.APPLICATION_JSON));
                }
                if (ending) emitter.complete();
            } catch (IOException | IllegalStateException e) {
                emitter.completeWithError(e);
                return;
            } finally {
                sending.set(false);
            }
            // What came in between the last look and the sign that nobody sends is not left lying.
            if (!waiting.isEmpty() && !ending && sending.compareAndSet(false, true)) senders.execute(this::drain);
        }
    }
}
