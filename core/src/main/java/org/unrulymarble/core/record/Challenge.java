package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Measure;

/**
 * Where one pupil stands on one rung, worked out from the attempts alone.
 *
 * @param modifiers empty for the rung as it is; with modifiers it is a challenge of its own
 * @param completedOn the day on which the gate was met, on a two-sided rung by the second side; null if it was not yet
 * @param sides of each side that was tried, and of each ball, distance and target that it was tried with; the latest first
 * @param rounds how many rounds
 * @param tries the pupil's own tries that were counted one by one, hits and misses
 */
public record Challenge(
        String pupilId,
        String ladderId,
        String rungId,
        List<Modifier> modifiers,
        @Nullable LocalDate completedOn,
        List<SideRecord> sides,
        int rounds,
        int tries) {

    /**
     * First, best and last of what compares. Trials are no part of it.
     *
     * @param ball,distanceM,target what they were all done with; null where it is the rung's own
     * @param scoredBy the measure where it is another than the rung's, else null
     * @param askedSec what every one of them was to last, where lengths have no rate to compare by; else null
     * @param joint whether they are results of several together
     * @param first the first full round, the baseline; best the best; last the last. Counts in times of different length are compared as rates
     * @param gain how much better the best is than the first, as a share of the first; null where the first was nothing
     * @param metOn first day on which this side met the gate, or null
     */
    public record SideRecord(
            Side side,
            @Nullable String ball,
            @Nullable Double distanceM,
            @Nullable String target,
            @Nullable Measure scoredBy,
            @Nullable Integer askedSec,
            boolean joint,
            int rounds,
            Mark first,
            Mark best,
            Mark last,
            @Nullable Double gain,
            @Nullable LocalDate metOn) {}

    /** One round's result. {@code workSec} null if it was not by the clock, {@code timeMs} where a watch was stopped; broken off where too little was worked. */
    public record Mark(
            int score, @Nullable Integer workSec, @Nullable Integer timeMs, LocalDate on, boolean brokenOff) {
        static Mark of(Attempt a) {
            return new Mark(a.score(), a.workSec(), a.timeMs(), a.on(), a.isBrokenOff());
        }
    }

    /** On how many of the latest days, one after the other, something was completed. {@code days} with a round, latest first. */
    public static int completedRun(List<LocalDate> days, Collection<LocalDate> completedOn) {
        int run = 0;
        while (run < days.size() && completedOn.contains(days.get(run))) run++;
        return run;
    }

    public boolean completed() {
        return completedOn != null;
    }

    private static final Comparator<Attempt> IN_ORDER =
            Comparator.comparing(Attempt::on).thenComparing(Attempt::set);

    /**
     * All challenges that these attempts tell of, in the order in which they were first tried.
     *
     * @param attempts in any order; those on ladders or rungs no longer known are left out
     */
    public static List<Challenge> of(List<Attempt> attempts, Catalogue catalogue) {
        record Key(String pupilId, String ladderId, String rungId, List<Modifier> modifiers) {}
        Map<Key, List<Attempt>> groups = new LinkedHashMap<>();
        attempts.stream()
                .sorted(IN_ORDER)
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
                .filter(Attempt::isEvidence)
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
        Measure measure = a.measure(rung);
        return !a.trial() && rung.gateUnder(measure).metBy(measure, a.round());
    }

    private static List<SideRecord> sideRecords(Rung rung, List<Attempt> group) {
        Map<Attempt.Kindred, List<Attempt>> alike = new LinkedHashMap<>();
        for (Attempt a : group)
            if (!a.trial() && a.compares(a.measure(rung)))
                alike.computeIfAbsent(a.kindred(a.measure(rung)), k -> new ArrayList<>())
                        .add(a);
        List<SideRecord> out = new ArrayList<>();
        alike.forEach((kind, tried) -> out.add(sideRecord(rung, group, kind, tried)));
        Comparator<SideRecord> bySide = Comparator.comparing(SideRecord::side);
        out.sort(bySide.thenComparing(s -> s.last().on(), Collections.reverseOrder()));
        return out;
    }

    private static SideRecord sideRecord(Rung rung, List<Attempt> group, Attempt.Kindred kind, List<Attempt> tried) {
        // Where nothing but rounds broken off is known, those are shown, and said to be so.
        List<Attempt> full = tried.stream().filter(a -> !a.isBrokenOff()).toList();
        if (full.isEmpty()) full = tried;
        Attempt first = full.get(0);
        Measure measure = first.measure(rung);
        Attempt best = full.stream().max(byMerit(measure)).orElseThrow();
        return new SideRecord(
                kind.task().side(),
                kind.things().ball(),
                kind.things().distanceM(),
                kind.things().target(),
                kind.task().scoredBy(),
                kind.askedSec(),
                kind.joint(),
                tried.size(),
                Mark.of(first),
                Mark.of(best),
                Mark.of(tried.get(tried.size() - 1)),
                gain(measure, first, best),
                metOn(rung, group, kind.task().side()));
    }

    private static Double gain(Measure measure, Attempt first, Attempt best) {
        double from = merit(measure, first);
        double to = merit(measure, best);
        if (from <= 0 || to <= 0) return null;
        return measure.lessIsBetter() ? from / to - 1 : to / from - 1;
    }

    /** What a round is compared by: a rate where lengths or tries may differ, a time as the watch had it, else the score. */
    private static double merit(Measure measure, Attempt a) {
        if (measure.lessIsBetter()) return a.timeMs() != null ? a.timeMs() : 1000.0 * a.score();
        return switch (measure.compared()) {
            case BY_SECONDS -> a.workSec() == null ? a.score() : perSec(a);
            case BY_TRIES -> (double) a.score() / a.tries();
            case SAME_SECONDS, AS_IT_IS -> a.score();
        };
    }

    private static double perSec(Attempt a) {
        return a.workSec() == 0 ? 0 : (double) a.score() / a.workSec();
    }

    /** Of equal rates the longer round is the better one. */
    static Comparator<Attempt> byMerit(Measure measure) {
        Comparator<Attempt> byMerit = Comparator.comparingDouble(a -> merit(measure, a));
        return measure.lessIsBetter() ? byMerit.reversed() : byMerit.thenComparing(Attempt::score);
    }
}
