package org.unrulymarble.server.platform;

import java.io.IOException;
import java.sql.SQLException;
import java.util.Set;

/** Tells a store that could not reach its disk from whatever else can go wrong. */
public final class StoreFailure {

    /** H2: I/O error, the store closed itself, it is closing, a file is damaged. */
    private static final Set<Integer> CODES = Set.of(90028, 90031, 90098, 90121, 90030);

    private StoreFailure() {}

    /** Published when it happened, so that the store is opened anew. */
    public record Happened() {}

    public static boolean in(Throwable thrown) {
        int deep = 0;
        for (Throwable cause = thrown; cause != null && deep < 30; cause = cause.getCause(), deep++) {
            if (cause instanceof SQLException sql && CODES.contains(sql.getErrorCode())) return true;
            if (cause instanceof IOException io
                    && String.valueOf(io.getMessage()).contains("No space left")) return true;
        }
        return false;
    }
}
