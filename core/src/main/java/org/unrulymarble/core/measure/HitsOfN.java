package org.unrulymarble.core.measure;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * Hits of so many tries.
 *
 * @param n how many tries there are, 1 to 2,000; null where the clock ends the round, and nobody knows the tries unless they are tapped
 */
public record HitsOfN(@Nullable Integer n) implements Measure {

    public HitsOfN {
        if (n != null) new Checks().range("n", n, 1, 2000).done();
    }

    @Override
    public Kind kind() {
        return Kind.HITS_OF_N;
    }

    /** Ten of ten leaves nothing to miss. */
    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        Scored hits = Scored.hits(taps, missesCounted);
        return hits.misses() == null && hits.hits().equals(n)
                ? new Scored(hits.score(), hits.hits(), 0, hits.hits(), null)
                : hits;
    }

    @Override
    public Scored told(int score, Integer timeMs) {
        if (n == null || score > n) return Scored.only(score);
        return new Scored(score, score, n - score, score == n ? (Integer) score : null, null);
    }

    @Override
    public int most(int sec) {
        return n == null ? CountInTime.MOST_A_SECOND * Math.max(1, sec) : n;
    }

    @Override
    public Compared compared() {
        return Compared.BY_TRIES;
    }

    @Override
    public boolean countsTries() {
        return true;
    }

    @Override
    public boolean tappable() {
        return true;
    }
}
