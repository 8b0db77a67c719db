package org.unrulymarble.core.measure;

import java.util.List;

/** So many in the round's time. */
public record CountInTime() implements Measure {

    /** Faster than this nobody's hands are. */
    static final int MOST_A_SECOND = 10;

    @Override
    public Kind kind() {
        return Kind.COUNT_IN_TIME;
    }

    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        return Scored.hits(taps, missesCounted);
    }

    @Override
    public Scored told(int score, Integer timeMs) {
        return new Scored(score, score, null, null, null);
    }

    @Override
    public int most(int sec) {
        return MOST_A_SECOND * Math.max(1, sec);
    }

    @Override
    public Compared compared() {
        return Compared.BY_SECONDS;
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
