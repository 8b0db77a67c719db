package org.unrulymarble.server.connections;

import java.nio.ByteBuffer;
import java.util.concurrent.TimeUnit;
import org.eclipse.jetty.http.HttpException;
import org.eclipse.jetty.http.HttpStatus;
import org.eclipse.jetty.io.Content;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;

/** Whoever sends a body more slowly than a poor line would is sent away. Jetty's own handler of that kind counts the bytes of all requests together. */
final class SlowBodies extends Handler.Wrapper {

    private static final long BEFORE_IT_COUNTS_NANOS = TimeUnit.SECONDS.toNanos(5);
    /** A few bytes do not hold the whole buffer that they came in. */
    private static final int SMALL_BYTES = 1_024;

    private final long leastBytesASec;

    /** @param leastBytesASec of a body, from its first byte on, once it has taken five seconds */
    SlowBodies(Handler next, long leastBytesASec) {
        super(next);
        this.leastBytesASec = leastBytesASec;
    }

    @Override
    public boolean handle(Request request, Response response, Callback callback) throws Exception {
        return super.handle(new Measured(request), response, callback);
    }

    private final class Measured extends Request.Wrapper {
        private final long fromNanos = System.nanoTime();
        private long bytes;

        Measured(Request request) {
            super(request);
        }

        @Override
        public Content.Chunk read() {
            long nanos = System.nanoTime() - fromNanos;
            boolean whole = getLength() >= 0 && bytes >= getLength();
            if (!whole && nanos > BEFORE_IT_COUNTS_NANOS && bytes < leastBytesASec * (nanos / 1e9))
                return Content.Chunk.from(
                        new HttpException.RuntimeException(HttpStatus.REQUEST_TIMEOUT_408, "too slow"));
            Content.Chunk chunk = super.read();
            if (chunk == null || !chunk.hasRemaining()) return chunk;
            bytes += chunk.remaining();
            if (chunk.remaining() > SMALL_BYTES) return chunk;
            ByteBuffer small = ByteBuffer.allocate(chunk.remaining())
                    .put(chunk.getByteBuffer())
                    .flip();
            boolean last = chunk.isLast();
            chunk.release();
            return Content.Chunk.from(small, last);
        }
    }
}
