package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Measure;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.score.Side;

/**
 * Where one pupil stands on one rung, worked out from the attempts alone.
 *
 * @param modifiers empty for the rung as it is; with modifiers it is a challenge of its own
 * @param completedOn the day on which the gate was met, on a two-sided rung by the second side; null if it was not yet
 * @param sides best and last of each side that was tried
 * @param rounds how many rounds
 * @param tries tries that were counted one by one, hits and misses
 */
public record Challenge(
        String pupilId,
        String ladderId,
        String rungId,
        List<Modifier> modifiers,
        LocalDate completedOn,
        List<SideRecord> sides,
        int rounds,
        int tries) {

    /**
     * @param best the best round; counts in times of different length are compared as rates, and the best keeps its own length
     * @param bestWorkSec length of the best round, or null if it was not by the clock
     * @param lastWorkSec length of the last round, or null if it was not by the clock
     * @param bestTimeMs,lastTimeMs where a watch was stopped, else null
     * @param metOn first day on which this side met the gate, or null
     */
    public record SideRecord(
            Side side,
            int best,
            Integer bestWorkSec,
            Integer bestTimeMs,
            int last,
            Integer lastWorkSec,
            Integer lastTimeMs,
            LocalDate lastOn,
            LocalDate metOn) {}

    public boolean completed() {
        return completedOn != null;
    }

    /**
     * All challenges that these attempts tell of, in the order in which they were first tried.
     *
     * @param attempts in any order; those on ladders or rungs no longer known are left out
     */
    public static List<Challenge> of(List<Attempt> attempts, Catalogue catalogue) {
        record Key(String pupilId, String ladderId, String rungId, List<Modifier> modifiers) {}
        Map<Key, List<Attempt>> groups = new LinkedHashMap<>();
        attempts.stream()
                .sorted(Comparator.comparing(Attempt::on).thenComparing(Attempt::set))
                .forEach(a -> groups.computeIfAbsent(
                                new Key(a.pupilId(), a.ladderId(), a.rungId(), a.modifiers()), k -> new ArrayList<>())
                        .add(a));
        List<Challenge> out = new ArrayList<>();
        groups.forEach((key, group) -> catalogue
                .rung(key.ladderId(), key.rungId())
                .ifPresent(rung -> out.add(new Challenge(
                        key.pupilId(),
                        key.ladderId(),
                        key.rungId(),
                        key.modifiers(),
                        completedOn(rung, group),
                        sideRecords(rung, group),
                        group.size(),
                        counted(group)))));
        return out;
    }

    private static int counted(List<Attempt> group) {
        return group.stream()
                .filter(a -> a.hits() != null && a.misses() != null)
                .mapToInt(a -> a.hits() + a.misses())
                .sum();
    }

    /** The day when the last of the rung's sides met its gate. */
    private static LocalDate completedOn(Rung rung, List<Attempt> group) {
        LocalDate latest = null;
        for (Side side : Side.of(rung.sides())) {
            LocalDate met = metOn(rung, group, side);
            if (met == null) return null;
            if (latest == null || met.isAfter(latest)) latest = met;
        }
        return latest;
    }

    private static LocalDate metOn(Rung rung, List<Attempt> group, Side side) {
        return group.stream()
                .filter(a -> a.side() == side && met(rung, a))
                .map(Attempt::on)
                .findFirst()
                .orElse(null);
    }

    /** Whether this one round meets the rung's gate; a trial meets none. */
    public static boolean met(Rung rung, Attempt a) {
        return !a.trial() && rung.gate().metBy(rung.measure(), a.score(), a.tries(), a.workSec());
    }

    private static List<SideRecord> sideRecords(Rung rung, List<Attempt> group) {
        Map<Side, List<Attempt>> bySide = new EnumMap<>(Side.class);
        for (Attempt a : group)
            if (!a.trial())
                bySide.computeIfAbsent(a.side(), s -> new ArrayList<>()).add(a);
        List<SideRecord> out = new ArrayList<>();
        bySide.forEach((side, tried) -> {
            Attempt last = tried.get(tried.size() - 1);
            Attempt best = tried.stream().max(byMerit(rung.measure())).orElseThrow();
            out.add(new SideRecord(
                    side,
                    best.score(),
                    best.workSec(),
                    best.timeMs(),
                    last.score(),
                    last.workSec(),
                    last.timeMs(),
                    last.on(),
                    metOn(rung, tried, side)));
        });
        return out;
    }

    /** Counts in a time compare as rates, since lengths may differ; of equal rates the longer round is the better one. */
    static Comparator<Attempt> byMerit(Measure measure) {
        Comparator<Attempt> byScore = Comparator.comparing(Attempt::score);
        // A watch knows more than whole seconds.
        if (measure.lessIsBetter())
            return Comparator.comparingInt((Attempt a) -> a.timeMs() != null ? a.timeMs() : 1000 * a.score())
                    .reversed();
        if (measure != Measure.COUNT_IN_TIME) return byScore;
        return Comparator.<Attempt>comparingDouble(
                        a -> a.workSec() == null || a.workSec() == 0 ? 0 : (double) a.score() / a.workSec())
                .thenComparing(byScore);
    }
}
