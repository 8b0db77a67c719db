package org.unrulymarble.server.disk;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.h2.store.fs.FileBase;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/** A disk for H2 (jdbc:h2:watched:...) that remembers each write and each force, so that a power cut can be played at any moment. */
public class WatchedDisk extends FilePathWrapper {

    private static final String SCHEME = "watched";

    /** A write, a cut of the length (no bytes), or a force (neither). */
    private record Step(long at, byte[] bytes, boolean force) {}

    private static final List<Step> STEPS = new ArrayList<>();
    private static byte[] before;
    private static int forces;
    private static final AtomicReference<CountDownLatch> hold = new AtomicReference<>();
    private static volatile boolean full;

    static void register() {
        FilePath.register(new WatchedDisk());
    }

    /** From now on: what the file is, then each step. */
    static synchronized void begin(byte[] file) {
        before = file;
        STEPS.clear();
        forces = 0;
    }

    /** The next force waits until the latch is counted down. */
    static CountDownLatch holdNextForce() {
        CountDownLatch until = new CountDownLatch(1);
        hold.set(until);
        return until;
    }

    /** How often it was forced so far. */
    static synchronized int forces() {
        return forces;
    }

    /** Whether each write fails from now on as on a full disk. */
    static void full(boolean now) {
        full = now;
    }

    /**
     * The file after a power cut: all that was forced by the {@code forced}-th force, and of what was written until the next one whatever chance kept.
     *
     * @param chance null for nothing of it
     */
    static synchronized byte[] afterPowerCut(int forced, Random chance) {
        byte[] file = before.clone();
        int passed = 0;
        for (Step step : STEPS) {
            if (step.force()) {
                passed++;
                if (passed > forced) break;
                continue;
            }
            boolean kept = passed < forced || chance != null && chance.nextBoolean();
            if (!kept) continue;
            if (step.bytes() == null) file = java.util.Arrays.copyOf(file, (int) step.at());
            else {
                int end = (int) step.at() + step.bytes().length;
                if (end > file.length) file = java.util.Arrays.copyOf(file, end);
                System.arraycopy(step.bytes(), 0, file, (int) step.at(), step.bytes().length);
            }
        }
        return file;
    }

    private static synchronized void note(Step step) {
        if (before == null) return;
        STEPS.add(step);
        if (step.force()) forces++;
    }

    @Override
    public String getScheme() {
        return SCHEME;
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        FileChannel base = super.open(mode);
        return getName().endsWith(".mv.db") ? new Watched(base) : base;
    }

    private static final class Watched extends FileBase {
        private final FileChannel base;

        Watched(FileChannel base) {
            this.base = base;
        }

        @Override
        protected void implCloseChannel() throws IOException {
            base.close();
        }

        @Override
        public FileChannel position(long newPosition) throws IOException {
            base.position(newPosition);
            return this;
        }

        @Override
        public long position() throws IOException {
            return base.position();
        }

        @Override
        public long size() throws IOException {
            return base.size();
        }

        @Override
        public int read(ByteBuffer dst) throws IOException {
            return base.read(dst);
        }

        @Override
        public int read(ByteBuffer dst, long position) throws IOException {
            return base.read(dst, position);
        }

        @Override
        public int write(ByteBuffer src) throws IOException {
            long at = base.position();
            int written = write(src, at);
            base.position(at + written);
            return written;
        }

        @Override
        public int write(ByteBuffer src, long position) throws IOException {
            if (full) throw new IOException("No space left on device");
            byte[] bytes = new byte[src.remaining()];
            src.duplicate().get(bytes);
            int written = base.write(src, position);
            note(new Step(position, bytes, false));
            return written;
        }

        @Override
        public FileChannel truncate(long newLength) throws IOException {
            if (newLength < base.size()) note(new Step(newLength, null, false));
            base.truncate(newLength);
            return this;
        }

        @Override
        public void force(boolean metaData) throws IOException {
            CountDownLatch until = hold.getAndSet(null);
            try {
                if (until != null && !until.await(60, TimeUnit.SECONDS)) throw new IOException("held too long");
            } catch (InterruptedException e) {
                throw new IOException(e);
            }
            base.force(metaData);
            note(new Step(0, null, true));
        }

        @Override
        public FileLock tryLock(long position, long size, boolean shared) throws IOException {
            return base.tryLock(position, size, shared);
        }
    }
}
