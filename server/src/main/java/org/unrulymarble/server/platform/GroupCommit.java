package org.unrulymarble.server.platform;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.function.Consumer;

/**
 * Writes what many ask for at the same time in one transaction, since each commit goes to the disk. Whoever asks goes on once theirs is kept. Where a
 * whole batch cannot be written, each is tried alone, so that nobody suffers from another's.
 */
public final class GroupCommit<T> implements AutoCloseable {

    private static final int MOST_TOGETHER = 100;
    /** Where so many came together, the next are likely to: a short wait gathers them, and each commit costs much the same whatever it holds. */
    private static final int MANY = 4;

    private static final int GATHER_MS = 15;

    private final BlockingQueue<Asked<T>> waiting = new LinkedBlockingQueue<>();
    private final Consumer<List<T>> write;
    private final Thread writer;

    private record Asked<T>(T what, CompletableFuture<Void> kept) {}

    /** @param write all of them or none */
    public GroupCommit(String name, Consumer<List<T>> write) {
        this.write = write;
        this.writer = new Thread(this::go, name);
        writer.setDaemon(true);
        writer.start();
    }

    /** Returns once it is kept; throws what the writing threw. */
    public void keep(T what) {
        Asked<T> asked = new Asked<>(what, new CompletableFuture<>());
        waiting.add(asked);
        try {
            asked.kept().join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException cause) throw cause;
            throw e;
        }
    }

    private void go() {
        boolean many = false;
        try {
            while (!Thread.currentThread().isInterrupted()) {
                List<Asked<T>> together = new ArrayList<>(List.of(waiting.take()));
                if (many) Thread.sleep(GATHER_MS);
                waiting.drainTo(together, MOST_TOGETHER - 1);
                many = together.size() >= MANY;
                if (!written(together)) together.forEach(one -> written(List.of(one)));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** False if it was more than one and could not be written; one alone is told why. */
    private boolean written(List<Asked<T>> together) {
        try {
            write.accept(together.stream().map(Asked::what).toList());
            together.forEach(asked -> asked.kept().complete(null));
            return true;
        } catch (RuntimeException e) {
            if (together.size() > 1) return false;
            together.get(0).kept().completeExceptionally(e);
            return true;
        }
    }

    @Override
    public void close() {
        writer.interrupt();
    }
}
