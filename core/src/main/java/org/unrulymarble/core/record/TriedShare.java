package org.unrulymarble.core.record;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.chance.Share;

/**
 * How often one pupil's tries on one rung went in, over all rounds whose misses were counted and that had no modifier. Rounds without counted misses
 * say nothing about a share and are left out.
 */
public record TriedShare(String pupilId, String ladderId, String rungId, int hits, int misses, Share share) {

    private static final double SURE = 0.9;
    private static final int MOST = 100_000;

    /** One for each pupil and rung that has such rounds, in the order in which they were first tried. */
    public static List<TriedShare> of(List<Attempt> attempts) {
        record Key(String pupilId, String ladderId, String rungId) {}
        Map<Key, int[]> sums = new LinkedHashMap<>();
        for (Attempt a : attempts) {
            if (a.hits() == null || a.misses() == null || !a.modifiers().isEmpty()) continue;
            int[] sum = sums.computeIfAbsent(new Key(a.pupilId(), a.ladderId(), a.rungId()), k -> new int[2]);
            sum[0] = Math.min(MOST, sum[0] + a.hits());
            sum[1] = Math.min(MOST, sum[1] + a.misses());
        }
        List<TriedShare> shares = new ArrayList<>();
        sums.forEach((key, sum) -> shares.add(new TriedShare(
                key.pupilId(),
                key.ladderId(),
                key.rungId(),
                sum[0],
                sum[1],
                Share.of(new Share.ShareAsk(sum[0], sum[1], SURE)))));
        return List.copyOf(shares);
    }
}
