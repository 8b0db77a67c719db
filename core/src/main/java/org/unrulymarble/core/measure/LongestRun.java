package org.unrulymarble.core.measure;

import java.util.List;

/** The most one after the other. */
public record LongestRun() implements Measure {

    @Override
    public Kind kind() {
        return Kind.LONGEST_RUN;
    }

    /** Whatever is no hit ends a row, so its misses are always counted. */
    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        Scored hits = Scored.hits(taps, true);
        return new Scored(hits.inARow(), hits.hits(), hits.misses(), hits.inARow(), null);
    }

    @Override
    public Scored told(int score, Integer timeMs) {
        return new Scored(score, null, null, score, null);
    }

    @Override
    public int most(int sec) {
        return CountInTime.MOST_A_SECOND * Math.max(1, sec);
    }

    @Override
    public Compared compared() {
        return Compared.SAME_SECONDS;
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
