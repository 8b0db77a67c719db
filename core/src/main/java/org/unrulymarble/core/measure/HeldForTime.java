package org.unrulymarble.core.measure;

import java.util.List;

/** Kept going for so long without a drop, in whole seconds that were held to the end. */
public record HeldForTime() implements Measure {

    @Override
    public Kind kind() {
        return Kind.HELD_FOR_TIME;
    }

    /** The longest stretch from a start to its stop, or to the end of what was worked. */
    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        long longest = -1;
        Long since = null;
        for (Tap tap : taps) {
            if (tap instanceof Tap.Start start) since = start.offsetMs();
            else if (tap instanceof Tap.Stop stop && since != null) {
                longest = Math.max(longest, stop.offsetMs() - since);
                since = null;
            }
        }
        if (since != null) longest = Math.max(longest, workedMs - since);
        return longest < 0 ? Scored.NOTHING : Scored.only((int) (longest / 1000));
    }

    @Override
    public int most(int sec) {
        return sec;
    }

    @Override
    public Compared compared() {
        return Compared.SAME_SECONDS;
    }
}
