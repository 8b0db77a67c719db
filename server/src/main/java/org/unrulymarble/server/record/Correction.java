package org.unrulymarble.server.record;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/** A tally that was corrected. {@code struck}: it never was, and counts for nothing from then on. */
record Correction(
        UUID attemptId, Instant at, String by, @Nullable String reason, Figures before, Figures after, boolean struck) {

    record Figures(
            int score, @Nullable Integer hits, @Nullable Integer misses) {}

    /** @param seenScore the score that whoever corrects has seen; another one meanwhile is refused */
    record Wanted(
            Integer seenScore,
            Integer score,
            @Nullable Integer hits,
            @Nullable Integer misses,
            @Nullable Boolean struck,
            @Nullable String reason) {
        Wanted {
            reason = reason == null ? null : reason.strip();
            Checks checks = new Checks()
                    .range("seenScore", seenScore, 0, 100_000)
                    .range("score", score, 0, 100_000)
                    .text("reason", reason, 200);
            if (hits != null) checks.range("hits", hits, 0, 100_000);
            if (misses != null) checks.range("misses", misses, 0, 100_000);
            checks.done();
        }

        boolean strikes() {
            return struck != null && struck;
        }
    }
}
