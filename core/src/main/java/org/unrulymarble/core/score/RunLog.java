package org.unrulymarble.core.score;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import org.unrulymarble.core.ladder.Measure;

/** Folds a run's events into where it stands and what was scored. The order in which events arrive makes no difference. */
public final class RunLog {

    private final RunScript script;
    private final Map<UUID, RunEvent> events = new HashMap<>();

    public RunLog(RunScript script) {
        this.script = script;
    }

    /** Adds events; one whose id is known already changes nothing. */
    public RunLog add(Collection<RunEvent> more) {
        for (RunEvent event : more) events.putIfAbsent(event.id(), event);
        return this;
    }

    public RunState fold() {
        List<RunEvent> inOrder = standing();
        RunClock clock = RunClock.AT_START;
        boolean finished = false;
        Set<RoundKey> dropped = new HashSet<>();
        Map<Integer, Integer> begunAgain = new HashMap<>();
        Map<TallyKey, Counted> tallies = new LinkedHashMap<>();
        Set<String> away = new TreeSet<>();
        List<RunState.Remark> remarks = new ArrayList<>();
        boolean stopped = false;
        for (RunEvent e : inOrder) {
            switch (e.kind()) {
                case GO, HOLD, STOP_ALL -> {
                    clock = moved(clock, e, e.kind() == RunEvent.Kind.GO);
                    stopped = e.kind() == RunEvent.Kind.STOP_ALL || (stopped && e.kind() == RunEvent.Kind.HOLD);
                }
                case AGAIN, BACK -> {
                    RunClock.Position left = clock.at(script, e.atMs());
                    // A round that is begun anew before its end counts for nothing: the new one stands in its place.
                    if (script.isRound(left.segment()))
                        dropped.add(new RoundKey(left.segment(), takeOf(begunAgain, left.segment())));
                    begunAgain.merge(e.segment(), 1, Integer::sum);
                    clock = moved(clock, e, clock.playing());
                }
                case NEXT -> clock = moved(clock, e, clock.playing());
                case EXTEND -> clock = extended(clock, e);
                case HIT, MISS, COLLECT, STANDS ->
                    tallies.computeIfAbsent(new TallyKey(e.segment(), e.take(), e.pupilId()), k -> new Counted())
                            .add(e);
                case AWAY -> away.add(e.pupilId());
                case HERE -> away.remove(e.pupilId());
                case FAULT, WORD -> remarks.add(new RunState.Remark(e.kind(), e.segment(), e.pupilId(), e.note()));
                case FINISH -> {
                    RunClock.Position end = clock.at(script, e.atMs());
                    clock = new RunClock(end.segment(), end.offsetMs(), e.atMs(), false, clock.addedSec());
                    finished = true;
                }
                case TAKE_BACK -> {
                    // Already left out by standing().
                }
            }
        }
        List<RoundResult> results = results(tallies, dropped);
        return new RunState(
                clock,
                finished,
                stopped,
                results,
                touchesPerPupil(results),
                Set.copyOf(away),
                disputes(tallies, dropped),
                List.copyOf(remarks));
    }

    /** Events in order, without those that were taken back. */
    private List<RunEvent> standing() {
        Set<UUID> takenBack = new HashSet<>();
        for (RunEvent e : events.values()) if (e.kind() == RunEvent.Kind.TAKE_BACK) takenBack.add(e.target());
        return events.values().stream()
                .filter(e -> !takenBack.contains(e.id()))
                .sorted(Comparator.comparing(e -> e.id().toString()))
                .toList();
    }

    private static RunClock moved(RunClock clock, RunEvent e, boolean playing) {
        return new RunClock(e.segment(), e.offsetMs(), e.atMs(), playing, clock.addedSec());
    }

    /** More time for one segment; the clock is anchored first, so that time that has passed already stays as it was. */
    private RunClock extended(RunClock clock, RunEvent e) {
        RunClock.Position now = clock.at(script, e.atMs());
        Map<Integer, Integer> added = new TreeMap<>(clock.addedSec());
        added.merge(e.segment(), e.addSec(), Integer::sum);
        return new RunClock(now.segment(), now.offsetMs(), e.atMs(), clock.playing(), added);
    }

    /** How often a round has been begun: once, and once more for every return to it or to a place before it. */
    private static int takeOf(Map<Integer, Integer> begunAgain, int segment) {
        int take = 1;
        for (Map.Entry<Integer, Integer> e : begunAgain.entrySet()) if (e.getKey() <= segment) take += e.getValue();
        return take;
    }

    private static List<RunState.Dispute> disputes(Map<TallyKey, Counted> tallies, Set<RoundKey> dropped) {
        List<RunState.Dispute> out = new ArrayList<>();
        tallies.forEach((key, counted) -> {
            if (counted.byDevice.size() < 2 || dropped.contains(new RoundKey(key.segment(), key.take()))) return;
            List<RunState.Count> counts = new ArrayList<>();
            counted.byDevice.forEach(
                    (device, t) -> counts.add(new RunState.Count(device, t.hits, t.misses, t.longestRun)));
            out.add(new RunState.Dispute(key.segment(), key.take(), key.pupilId(), counts, counted.stands()));
        });
        out.sort(Comparator.comparingInt(RunState.Dispute::segment)
                .thenComparingInt(RunState.Dispute::take)
                .thenComparing(RunState.Dispute::pupilId));
        return List.copyOf(out);
    }

    private List<RoundResult> results(Map<TallyKey, Counted> tallies, Set<RoundKey> dropped) {
        List<RoundResult> out = new ArrayList<>();
        tallies.forEach((key, counted) -> {
            if (dropped.contains(new RoundKey(key.segment(), key.take()))) return;
            RunScript.Crew crew = script.crewOf(script.segment(key.segment()), key.pupilId());
            if (crew != null && counted.any()) out.add(result(key, counted, crew));
        });
        out.sort(Comparator.comparingInt(RoundResult::segment)
                .thenComparingInt(RoundResult::take)
                .thenComparing(RoundResult::pupilId));
        return List.copyOf(out);
    }

    private static int touchesPerPupil(List<RoundResult> results) {
        long pupils = results.stream().map(RoundResult::pupilId).distinct().count();
        long touches = results.stream()
                .mapToLong(r -> r.tries() != null ? r.tries() : r.hits() != null ? r.hits() : 0)
                .sum();
        return pupils == 0 ? 0 : (int) Math.round((double) touches / pupils);
    }

    private RoundResult result(TallyKey key, Counted counted, RunScript.Crew crew) {
        Tally tally = counted.standing();
        Integer collected = counted.collected;
        RunScript.ScriptBlock block = script.blockOf(script.segment(key.segment()));
        boolean tapped = tally.hits + tally.misses > 0;
        int tappedScore = block.measure() == Measure.LONGEST_RUN ? tally.longestRun : tally.hits;
        // A number told afterwards is the last word; the taps stand beside it only where they agree.
        boolean told = collected != null && (!tapped || collected != tappedScore);
        int score = told ? collected : tappedScore;
        Integer hits = tally.hits;
        Integer misses = tally.misses;
        Integer tries = tally.hits + tally.misses;
        if (told) {
            // Seven of ten tells the misses too; a bare number does not.
            boolean outOf = block.measure() == Measure.HITS_OF_N && block.reps() != null && score <= block.reps();
            hits = outOf || block.measure() == Measure.COUNT_IN_TIME ? (Integer) score : null;
            misses = outOf ? (Integer) (block.reps() - score) : null;
            tries = outOf ? block.reps() : null;
        }
        RoundResult.Source source = !told
                ? RoundResult.Source.ADULT
                : crew.helpers().isEmpty() ? RoundResult.Source.SELF : RoundResult.Source.PARTNER;
        List<String> jointWith =
                crew.workers().stream().filter(w -> !w.equals(key.pupilId())).toList();
        return new RoundResult(key.pupilId(), key.segment(), key.take(), score, hits, misses, tries, source, jointWith);
    }

    private record RoundKey(int segment, int take) {}

    private record TallyKey(int segment, int take, String pupilId) {}

    /** Counts of one pupil in one round, each device for itself, and the number that was told. */
    private static final class Counted {
        /** In the order in which they began. */
        private final Map<String, Tally> byDevice = new LinkedHashMap<>();

        private Integer collected;
        private String chosen;

        void add(RunEvent e) {
            switch (e.kind()) {
                case COLLECT -> collected = e.score();
                case STANDS -> chosen = e.note();
                default ->
                    byDevice.computeIfAbsent(e.device() == null ? "" : e.device(), d -> new Tally())
                            .add(e);
            }
        }

        boolean any() {
            return collected != null || !byDevice.isEmpty();
        }

        String stands() {
            return byDevice.containsKey(chosen) ? chosen : null;
        }

        Tally standing() {
            if (byDevice.isEmpty()) return new Tally();
            return byDevice.getOrDefault(chosen, byDevice.values().iterator().next());
        }
    }

    private static final class Tally {
        private int hits;
        private int misses;
        private int run;
        private int longestRun;

        void add(RunEvent e) {
            if (e.kind() == RunEvent.Kind.HIT) {
                hits++;
                run++;
                longestRun = Math.max(longestRun, run);
            } else {
                misses++;
                run = 0;
            }
        }
    }
}
