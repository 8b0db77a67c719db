package org.unrulymarble.core.propose;

import java.util.HashMap;
import java.util.Map;

/**
 * The order of efforts with the least leaps between neighbours, exactly: only how many there are of each effort matters. An effort of 2 stands before
 * the first and after the last. Not thread-safe; remembers what it has worked out.
 */
final class EffortOrder {

    private static final int EFFORTS = 5;
    private static final int BESIDE = 2;
    private static final int BASE = 13;

    private final double leap;
    private final Map<Integer, Double> known = new HashMap<>();

    EffortOrder(double leap) {
        this.leap = leap;
    }

    private double step(int from, int to) {
        return Math.max(0, Math.abs(from - to) - leap);
    }

    /**
     * Sum of the leaps beyond what is free.
     *
     * @param counts of the blocks between by effort, 1 to 5 at places 1 to 5
     * @param open effort of the one that opens, or 0
     * @param close effort of the one that closes, or 0
     */
    double least(int[] counts, int open, int close) {
        int first = open == 0 ? BESIDE : open;
        int last = close == 0 ? BESIDE : close;
        return step(BESIDE, first) + between(counts, first, last) + step(last, BESIDE);
    }

    private double between(int[] counts, int from, int last) {
        int key = 0;
        for (int e = 1; e <= EFFORTS; e++) key = key * BASE + counts[e];
        if (key == 0) return step(from, last);
        key = (key * (EFFORTS + 1) + from) * (EFFORTS + 1) + last;
        Double before = known.get(key);
        if (before != null) return before;
        double least = Double.POSITIVE_INFINITY;
        for (int e = 1; e <= EFFORTS; e++) {
            if (counts[e] == 0) continue;
            counts[e]--;
            least = Math.min(least, step(from, e) + between(counts, e, last));
            counts[e]++;
        }
        known.put(key, least);
        return least;
    }

    /** The effort that comes next in the best order. */
    int next(int[] counts, int from, int last) {
        int best = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int e = 1; e <= EFFORTS; e++) {
            if (counts[e] == 0) continue;
            counts[e]--;
            double here = step(from, e) + between(counts, e, last);
            counts[e]++;
            if (here < least - 1e-12) {
                least = here;
                best = e;
            }
        }
        return best;
    }

    /** @return the effort beside the first or the last */
    static int orBeside(int effort) {
        return effort == 0 ? BESIDE : effort;
    }
}
