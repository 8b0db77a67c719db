package org.unrulymarble.core.run;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.run.Results.BlockDevice;
import org.unrulymarble.core.run.Results.TallyKey;

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

    /** How it was played up to {@code nowMs}, on the clock that the events tell. */
    public Played played(long nowMs) {
        Played played = new Played(script);
        for (RunEvent e : standing()) played.play(e);
        played.worked(nowMs);
        return played;
    }

    /** @param nowMs a round that is on has been worked until then */
    public RunState fold(long nowMs) {
        Played played = new Played(script);
        Map<TallyKey, Tally> tallies = new LinkedHashMap<>();
        Set<BlockDevice> countMisses = new HashSet<>();
        List<What.Remarked> remarks = new ArrayList<>();
        // Whoever chooses twice in a block has chosen the second.
        Map<Played.BlockPupil, What.OnRung> chosen = new LinkedHashMap<>();
        UUID finish = null;
        for (RunEvent e : standing()) {
            played.play(e);
            if (e.what() instanceof What.OfRound of) {
                tallies.computeIfAbsent(
                                new TallyKey(of.segment(), of.take(), of.pupilId()), k -> new Tally(played.away()))
                        .add(e, of);
                // Hits alone say nothing of a share; whoever taps a miss for one in a block taps them for all.
                if (of instanceof What.Tapped tapped && tapped.tap() instanceof Tap.Miss)
                    countMisses.add(new BlockDevice(script.segment(of.segment()).block(), Tally.device(e)));
            } else if (e.what() instanceof What.Remarked remark) remarks.add(remark);
            else if (e.what() instanceof What.OnRung on) {
                int block = script.segment(on.segment()).block();
                if (script.blocks().get(block).choose()) chosen.put(new Played.BlockPupil(block, on.pupilId()), on);
            } else if (e.what() instanceof What.Finish) finish = e.id();
        }
        played.worked(nowMs);
        List<RoundResult> results = new Results(script, played, tallies, countMisses, finish).all();
        return new RunState(
                played.clock(),
                played.isFinished(),
                played.isStopped(),
                results,
                touchesPerPupil(results),
                played.away(),
                disputes(tallies, played),
                played.scoresOnWall(),
                Stream.concat(
                                remarks.stream().map(r -> remark(r, played)),
                                chosen.values().stream().map(RunLog::chose))
                        .toList());
    }

    /** Events in order, without those that were taken back. */
    private List<RunEvent> standing() {
        Set<UUID> takenBack = new HashSet<>();
        for (RunEvent e : events.values()) if (e.what() instanceof What.TakeBack back) takenBack.add(back.target());
        return events.values().stream()
                .filter(e -> !takenBack.contains(e.id()))
                .sorted(Comparator.comparing(e -> e.id().toString()))
                .toList();
    }

    private RunState.Remark remark(What.Remarked r, Played played) {
        RunScript.ScriptBlock block = script.blockOf(script.segment(r.segment()));
        String rungId = r.pupilId() == null
                ? block.rungOfSet(script.segment(r.segment()).set())
                : played.rungOf(r.segment(), r.pupilId());
        return new RunState.Remark(r.kind(), r.segment(), r.pupilId(), rungId, r.note());
    }

    private static RunState.Remark chose(What.OnRung on) {
        return new RunState.Remark(What.Remarked.Kind.CHOSE, on.segment(), on.pupilId(), on.rungId(), on.rungId());
    }

    private static List<RunState.Dispute> disputes(Map<TallyKey, Tally> tallies, Played played) {
        List<RunState.Dispute> out = new ArrayList<>();
        tallies.forEach((key, counted) -> {
            if (!counted.disputed() || played.isDropped(key.round())) return;
            out.add(new RunState.Dispute(key.segment(), key.take(), key.pupilId(), counted.counts(), counted.stands()));
        });
        out.sort(Comparator.comparingInt(RunState.Dispute::segment)
                .thenComparingInt(RunState.Dispute::take)
                .thenComparing(RunState.Dispute::pupilId));
        return List.copyOf(out);
    }

    private static int touchesPerPupil(List<RoundResult> results) {
        long pupils = results.stream().map(RoundResult::pupilId).distinct().count();
        long touches = results.stream()
                .mapToLong(r -> r.tries() != null ? r.tries() : r.hits() != null ? r.hits() : 0)
                .sum();
        return pupils == 0 ? 0 : (int) Math.round((double) touches / pupils);
    }
}
