package org.unrulymarble.core.measure;

import java.util.List;

/** A match of two sides: sides have points, not pupils. */
public record Match() implements Measure {

    @Override
    public Kind kind() {
        return Kind.MATCH;
    }

    /** Nobody's own: {@link #points} tells what a side has. */
    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        return Scored.NOTHING;
    }

    /** Points of a side: its own ends, and ends that were level for both. */
    public static int points(List<Tap> taps, Tap.Team team) {
        int points = 0;
        for (Tap tap : taps)
            if (tap instanceof Tap.EndWon end && (end.team() == null || end.team() == team)) points += end.points();
        return points;
    }

    @Override
    public int most(int sec) {
        return 1000;
    }

    @Override
    public Compared compared() {
        return Compared.AS_IT_IS;
    }
}
