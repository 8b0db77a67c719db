package org.unrulymarble.core.run;

import java.util.List;
import org.unrulymarble.core.clock.Segment;

/**
 * Where a run stands for whoever may know spots and counts, and no name: lights and boards.
 *
 * @param ladderId what is done, or null where it is no task
 * @param leftSec of what the clock is in
 * @param counts of the round that is on, else of the last one before
 */
public record BySpot(Phase phase, String ladderId, long leftSec, List<Count> counts) {

    /** As a light could show it. */
    public enum Phase {
        READY,
        WORK,
        PAUSE,
        HELD,
        OVER
    }

    /** What was counted at a spot, from 1. */
    public record Count(int spot, int count) {}

    public static BySpot of(RunScript script, RunLog log, long nowMs) {
        RunState state = log.fold(nowMs);
        RunClock.Position at = state.clock().at(script, nowMs);
        Segment segment = script.segment(at.segment());
        long leftMs = state.clock().lengthMs(script, at.segment()) - at.offsetMs();
        return new BySpot(
                phase(state, script, at),
                script.blockOf(segment).ladderId(),
                Math.max(0, (leftMs + 999) / 1000),
                counts(script, state, at.segment()));
    }

    private static Phase phase(RunState state, RunScript script, RunClock.Position at) {
        if (state.finished()) return Phase.OVER;
        if (state.clock().equals(RunClock.AT_START)) return Phase.READY;
        if (!state.clock().playing()) return Phase.HELD;
        return script.isRound(at.segment()) ? Phase.WORK : Phase.PAUSE;
    }

    private static List<Count> counts(RunScript script, RunState state, int segment) {
        int last = segment;
        while (last > 0 && !script.isRound(last)) last--;
        int round = last;
        if (!script.isRound(round)) return List.of();
        return script.turnOf(script.segment(round)).crews().stream()
                .map(crew -> new Count(
                        crew.spot() + 1,
                        state.results().stream()
                                .filter(r ->
                                        r.segment() == round && crew.workers().contains(r.pupilId()))
                                .mapToInt(r -> r.hits() != null ? r.hits() : r.score())
                                // Who work at one spot share what they count.
                                .max()
                                .orElse(0)))
                .toList();
    }
}
