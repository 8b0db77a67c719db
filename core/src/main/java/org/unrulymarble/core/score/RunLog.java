package org.unrulymarble.core.score;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.Measure;
import org.unrulymarble.core.ladder.Scoring;

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
        Map<RoundKey, Long> leftAt = new HashMap<>();
        Map<TallyKey, RoundCount> tallies = new LinkedHashMap<>();
        Chosen chosen = new Chosen();
        UUID finish = null;
        Set<String> away = new TreeSet<>();
        List<RunEvent> remarks = new ArrayList<>();
        boolean stopped = false;
        boolean scoresOnWall = false;
        for (RunEvent e : inOrder) {
            switch (e.kind()) {
                case GO, HOLD, STOP_ALL -> {
                    clock = moved(clock, e, e.kind() == RunEvent.Kind.GO);
                    stopped = e.kind() == RunEvent.Kind.STOP_ALL || (stopped && e.kind() == RunEvent.Kind.HOLD);
                }
                case AGAIN, BACK -> {
                    RunClock.Position left = clock.at(script, e.atMs());
                    // A round that is begun anew before its end counts for nothing: the new one stands in its place.
                    if (script.isRound(left.segment())) dropped.add(roundKey(left, begunAgain));
                    begunAgain.merge(e.segment(), 1, Integer::sum);
                    clock = moved(clock, e, clock.playing());
                }
                case NEXT -> {
                    RunClock.Position left = clock.at(script, e.atMs());
                    if (script.isRound(left.segment())) leftAt.put(roundKey(left, begunAgain), left.offsetMs());
                    clock = moved(clock, e, clock.playing());
                }
                case EXTEND -> clock = extended(clock, e);
                case HIT, MISS, LANDED, START, SPLIT, STOP, BALL, ENDED, COLLECT, STANDS -> {
                    tallies.computeIfAbsent(new TallyKey(e.segment(), e.take(), e.pupilId()), k -> new RoundCount())
                            .add(e);
                    if (e.kind() == RunEvent.Kind.MISS)
                        chosen.missed(script.segment(e.segment()).block(), e);
                }
                case RUNG -> chosen.rung(script.segment(e.segment()).block(), e);
                case TRIAL -> chosen.trials.add(new RoundKey(e.segment(), e.take()));
                case AWAY -> away.add(e.pupilId());
                case HERE -> away.remove(e.pupilId());
                case FAULT, WORD, SAID -> remarks.add(e);
                case FINISH -> {
                    RunClock.Position end = clock.at(script, e.atMs());
                    if (script.isRound(end.segment())) leftAt.put(roundKey(end, begunAgain), end.offsetMs());
                    finish = e.id();
                    clock = new RunClock(end.segment(), end.offsetMs(), e.atMs(), false, clock.addedSec());
                    finished = true;
                }
                case SCORES_ON, SCORES_OFF -> scoresOnWall = e.kind() == RunEvent.Kind.SCORES_ON;
                case TAKE_BACK -> {
                    // Already left out by standing().
                }
            }
        }
        Round round = new Round(clock, leftAt, chosen, finish);
        List<RoundResult> results = results(tallies, dropped, round);
        return new RunState(
                clock,
                finished,
                stopped,
                results,
                touchesPerPupil(results),
                Set.copyOf(away),
                disputes(tallies, dropped),
                scoresOnWall,
                remarks.stream().map(e -> remark(e, chosen)).toList());
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

    private RunState.Remark remark(RunEvent e, Chosen chosen) {
        Segment segment = script.segment(e.segment());
        RunScript.ScriptBlock block = script.blockOf(segment);
        String rungId = e.pupilId() == null ? block.rungId() : chosen.rungOf(segment, e.pupilId(), block);
        return new RunState.Remark(e.kind(), e.segment(), e.pupilId(), rungId, e.note());
    }

    private static RoundKey roundKey(RunClock.Position at, Map<Integer, Integer> begunAgain) {
        return new RoundKey(at.segment(), takeOf(begunAgain, at.segment()));
    }

    private static List<RunState.Dispute> disputes(Map<TallyKey, RoundCount> tallies, Set<RoundKey> dropped) {
        List<RunState.Dispute> out = new ArrayList<>();
        tallies.forEach((key, counted) -> {
            if (!counted.disputed() || dropped.contains(key.round())) return;
            out.add(new RunState.Dispute(key.segment(), key.take(), key.pupilId(), counted.counts(), counted.stands()));
        });
        out.sort(Comparator.comparingInt(RunState.Dispute::segment)
                .thenComparingInt(RunState.Dispute::take)
                .thenComparing(RunState.Dispute::pupilId));
        return List.copyOf(out);
    }

    private List<RoundResult> results(Map<TallyKey, RoundCount> tallies, Set<RoundKey> dropped, Round round) {
        List<RoundResult> out = new ArrayList<>();
        tallies.forEach((key, counted) -> {
            if (dropped.contains(key.round())) return;
            RunScript.Crew crew = script.crewOf(script.segment(key.segment()), key.pupilId());
            if (crew == null) return;
            RunScript.ScriptRung rung = rung(key, round.chosen);
            if (rung.measure() == Measure.MATCH) out.addAll(match(key, counted, crew, round, tallies));
            else result(key, counted, crew, rung, round).ifPresent(out::add);
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

    private RunScript.ScriptRung rung(TallyKey key, Chosen chosen) {
        Segment segment = script.segment(key.segment());
        RunScript.ScriptBlock block = script.blockOf(segment);
        RunScript.ScriptRung rung = block.rung(chosen.rungOf(segment, key.pupilId(), block));
        return rung != null ? rung : new RunScript.ScriptRung(block.rungId(), block.measure(), Scoring.NONE, null);
    }

    private Optional<RoundResult> result(
            TallyKey key, RoundCount counted, RunScript.Crew crew, RunScript.ScriptRung rung, Round round) {
        Segment segment = script.segment(key.segment());
        RunScript.ScriptBlock block = script.blockOf(segment);
        List<RunEvent> taps = counted.standing();
        boolean missesCounted = !taps.isEmpty() && round.chosen.missesCounted(segment.block(), taps.get(0));
        long endMs = round.leftAt.getOrDefault(key.round(), round.clock.lengthMs(script, key.segment()));
        Scored tapped = counted.tapped() ? Scored.of(taps, rung, missesCounted, endMs) : null;
        boolean asTapped = tapped != null && tapped.score() != null;
        // A number told afterwards is the last word; the taps stand beside it only where they agree.
        if (counted.told() != null && !(asTapped && counted.told().equals(tapped.score())))
            return Optional.of(told(key, counted, crew, rung, round));
        if (!asTapped) return Optional.empty();
        Integer misses = tapped.misses();
        // Ten of ten leaves nothing to miss.
        if (rung.measure() == Measure.HITS_OF_N
                && misses == null
                && tapped.hits().equals(block.reps())) misses = 0;
        return Optional.of(new RoundResult(
                key.pupilId(),
                key.segment(),
                key.take(),
                tapped.score(),
                tapped.hits(),
                misses,
                misses == null || tapped.hits() == null ? null : (Integer) (tapped.hits() + misses),
                RoundResult.Source.ADULT,
                rung.id(),
                round.chosen.trial(key.round(), segment, block),
                tapped.detail(),
                besides(crew.workers(), key.pupilId())));
    }

    private RoundResult told(
            TallyKey key, RoundCount counted, RunScript.Crew crew, RunScript.ScriptRung rung, Round round) {
        Segment segment = script.segment(key.segment());
        RunScript.ScriptBlock block = script.blockOf(segment);
        int score = counted.told();
        // Seven of ten tells the misses too; a bare number does not.
        boolean outOf = rung.measure() == Measure.HITS_OF_N && block.reps() != null && score <= block.reps();
        boolean hits = outOf || rung.measure() == Measure.COUNT_IN_TIME;
        return new RoundResult(
                key.pupilId(),
                key.segment(),
                key.take(),
                score,
                hits ? (Integer) score : null,
                outOf ? (Integer) (block.reps() - score) : null,
                outOf ? block.reps() : null,
                counted.toldAfter(round.finish)
                        ? RoundResult.Source.TYPED
                        : crew.helpers().isEmpty() ? RoundResult.Source.SELF : RoundResult.Source.PARTNER,
                rung.id(),
                round.chosen.trial(key.round(), segment, block),
                counted.toldTime(),
                rung.measure() == Measure.MATCH ? team(crew, key.pupilId()) : besides(crew.workers(), key.pupilId()));
    }

    /** The sheet of a match is kept under the crew's first worker; each side's points are joint on the pages of its own. */
    private List<RoundResult> match(
            TallyKey key, RoundCount counted, RunScript.Crew crew, Round round, Map<TallyKey, RoundCount> tallies) {
        List<RoundResult> out = new ArrayList<>();
        if (counted.told() != null) out.add(told(key, counted, crew, rung(key, round.chosen), round));
        List<RunEvent> ends = counted.standing().stream()
                .filter(e -> e.kind() == RunEvent.Kind.ENDED)
                .toList();
        if (ends.isEmpty()) return out;
        Segment segment = script.segment(key.segment());
        for (String worker : crew.workers()) {
            TallyKey own = new TallyKey(key.segment(), key.take(), worker);
            // A number that was told for this pupil is the last word.
            if (tallies.containsKey(own) && tallies.get(own).told() != null) continue;
            String side = sideOf(crew, worker);
            int points = 0;
            for (RunEvent e : ends) if (side.equals(e.note()) || "TIE".equals(e.note())) points += e.score();
            out.add(new RoundResult(
                    worker,
                    key.segment(),
                    key.take(),
                    points,
                    null,
                    null,
                    null,
                    RoundResult.Source.ADULT,
                    rung(own, round.chosen).id(),
                    round.chosen.trial(key.round(), segment, script.blockOf(segment)),
                    null,
                    team(crew, worker)));
        }
        return out;
    }

    /** The first half of a crew is side A; the odd one plays with it. */
    private static String sideOf(RunScript.Crew crew, String worker) {
        return crew.workers().indexOf(worker) < (crew.workers().size() + 1) / 2 ? "A" : "B";
    }

    private static List<String> team(RunScript.Crew crew, String pupilId) {
        return besides(
                crew.workers().stream()
                        .filter(w -> sideOf(crew, w).equals(sideOf(crew, pupilId)))
                        .toList(),
                pupilId);
    }

    private static List<String> besides(List<String> all, String pupilId) {
        return all.stream().filter(w -> !w.equals(pupilId)).toList();
    }

    private record RoundKey(int segment, int take) {}

    private record TallyKey(int segment, int take, String pupilId) {
        RoundKey round() {
            return new RoundKey(segment, take);
        }
    }

    /** What results need of the run around them. */
    private record Round(RunClock clock, Map<RoundKey, Long> leftAt, Chosen chosen, UUID finish) {}

    /** What was chosen in the run: rungs, trials, and who taps misses too. */
    private static final class Chosen {
        private record BlockPupil(int block, String pupilId) {}

        private record BlockDevice(int block, String device) {}

        private final Map<BlockPupil, List<RunEvent>> rungs = new HashMap<>();
        private final Set<BlockDevice> countMisses = new HashSet<>();
        private final Set<RoundKey> trials = new HashSet<>();

        void rung(int block, RunEvent e) {
            rungs.computeIfAbsent(new BlockPupil(block, e.pupilId()), k -> new ArrayList<>())
                    .add(e);
        }

        void missed(int block, RunEvent e) {
            countMisses.add(new BlockDevice(block, RoundCount.device(e)));
        }

        /** Hits alone say nothing of a share; whoever taps a miss for one in a block taps them for all. */
        boolean missesCounted(int block, RunEvent e) {
            return countMisses.contains(new BlockDevice(block, RoundCount.device(e)));
        }

        boolean trial(RoundKey round, Segment segment, RunScript.ScriptBlock block) {
            return trials.contains(round) || (block.tryFirst() && segment.set() == 0);
        }

        String rungOf(Segment segment, String pupilId, RunScript.ScriptBlock block) {
            String rung = block.rungOf(pupilId);
            for (RunEvent e : rungs.getOrDefault(new BlockPupil(segment.block(), pupilId), List.of()))
                if (e.segment() <= segment.index()) rung = e.note();
            return rung;
        }
    }
}
