package org.unrulymarble.core.record;

import java.util.List;
import org.unrulymarble.core.chance.Share;

/**
 * How often one pupil's tries on one rung went in, over all rounds whose misses were counted and that had no modifier. Rounds without counted misses
 * say nothing about a share and are left out.
 */
public record TriedShare(String pupilId, String ladderId, String rungId, int hits, int misses, Share share) {

    private static final double SURE = 0.9;
    private static final int MOST = 100_000;

    /** Tries of one pupil on one rung without modifiers, all with counted misses. */
    public record Sum(String pupilId, String ladderId, String rungId, int hits, int misses) {}

    /** One for each pupil and rung. */
    public static List<TriedShare> of(List<Sum> sums) {
        return sums.stream()
                .map(t -> {
                    int hits = Math.min(MOST, t.hits());
                    int misses = Math.min(MOST, t.misses());
                    return new TriedShare(
                            t.pupilId(),
                            t.ladderId(),
                            t.rungId(),
                            hits,
                            misses,
                            Share.of(new Share.ShareAsk(hits, misses, SURE)));
                })
                .toList();
    }
}
