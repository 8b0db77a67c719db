package org.unrulymarble.core.measure;

import java.util.List;

/**
 * What a round of one pupil comes to.
 *
 * @param score null where the taps do not make a result yet: a watch that was not stopped, numbers that were not all kept
 * @param hits null where the measure knows none; {@code misses} null where nobody counted them
 * @param inARow most hits one after the other; null where misses were not counted
 * @param detail what else is known, or null
 */
public record Scored(Integer score, Integer hits, Integer misses, Integer inARow, Detail detail) {

    static final Scored NOTHING = new Scored(null, null, null, null, null);

    public static Scored only(int score) {
        return new Scored(score, null, null, null, null);
    }

    /** All tries, or null where that is not known. */
    public Integer tries() {
        return hits == null || misses == null ? null : (Integer) (hits + misses);
    }

    public Scored with(Detail more) {
        return new Scored(score, hits, misses, inARow, more);
    }

    /** Hits, the misses where they are counted, and then the longest row. */
    static Scored hits(List<Tap> taps, boolean missesCounted) {
        int hits = 0;
        int misses = 0;
        int run = 0;
        int longest = 0;
        for (Tap tap : taps) {
            if (tap instanceof Tap.Hit) {
                hits++;
                longest = Math.max(longest, ++run);
            } else {
                if (tap instanceof Tap.Miss) misses++;
                run = 0;
            }
        }
        boolean counted = missesCounted || misses > 0;
        return new Scored(hits, hits, counted ? (Integer) misses : null, counted ? (Integer) longest : null, null);
    }
}
