package org.unrulymarble.core.record;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.chance.RateSpread;
import org.unrulymarble.core.chance.Share;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.skill.Difficulties;

/**
 * How often one pupil's tries on one rung go in today: by the same ability, from every try on the ladder, as their page shows; with both sides the middle
 * of the two.
 *
 * @param hits,misses counted on this rung without a modifier, by which one sees what it rests on
 * @param share with its 90 % interval
 */
public record TriedShare(String pupilId, String ladderId, String rungId, int hits, int misses, Share share) {

    private static final double OF_NORMAL_90 = 1.6448536269514722;

    /** Tries of one pupil on one rung without modifiers, all with counted misses. */
    public record Sum(String pupilId, String ladderId, String rungId, int hits, int misses) {}

    private record Key(String pupilId, String ladderId) {}

    /** One for each pupil and rung that somebody tried. @param known of the same pupils, by the judge's day */
    public static List<TriedShare> of(List<Sum> sums, List<OnLadder> known, Catalogue catalogue, Judge judge) {
        Map<Key, OnLadder> of = new HashMap<>();
        for (OnLadder r : known) of.put(new Key(r.pupilId(), r.ladderId()), r);
        return sums.stream()
                .map(t -> {
                    Share share = catalogue
                            .ladder(t.ladderId())
                            .map(l -> today(of.get(new Key(t.pupilId(), t.ladderId())), l, t.rungId(), judge))
                            .orElse(null);
                    return share == null
                            ? null
                            : new TriedShare(t.pupilId(), t.ladderId(), t.rungId(), t.hits(), t.misses(), share);
                })
                .filter(Objects::nonNull)
                .toList();
    }

    private static @Nullable Share today(@Nullable OnLadder r, Ladder ladder, String rungId, Judge judge) {
        if (r == null || ladder.rung(rungId).isEmpty()) return null;
        List<OnLadder.OnSide> sides =
                r.sides().stream().filter(OnLadder.OnSide::known).toList();
        if (sides.isEmpty()) return null;
        if (rungId.equals(r.rungId()))
            return new Share(
                    mean(sides, OnLadder.OnSide::share),
                    mean(sides, OnLadder.OnSide::shareLow),
                    mean(sides, OnLadder.OnSide::shareHigh));
        Difficulties difficulties = judge.difficulties(ladder);
        double harder = difficulties.of(rungId);
        return new Share(
                mean(
                        sides,
                        s -> new RateSpread()
                                .add(s.ability() - harder, s.abilitySd())
                                .mean(p -> p)),
                mean(sides, s -> logistic(s.ability() - harder - OF_NORMAL_90 * s.abilitySd())),
                mean(sides, s -> logistic(s.ability() - harder + OF_NORMAL_90 * s.abilitySd())));
    }

    private static double mean(List<OnLadder.OnSide> sides, ToDoubleFunction<OnLadder.OnSide> figure) {
        return sides.stream().mapToDouble(figure).average().orElseThrow();
    }

    private static double logistic(double above) {
        return 1 / (1 + Math.exp(-above));
    }
}
