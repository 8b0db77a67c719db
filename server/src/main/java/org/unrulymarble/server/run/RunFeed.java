package org.unrulymarble.server.run;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.run.AtSpot;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RunClock;
import org.unrulymarble.core.run.RunEvent;
import org.unrulymarble.core.run.RunLog;
import org.unrulymarble.core.run.RunScript;
import org.unrulymarble.core.run.RunState;

/** What a run gives to devices and takes from them: spots and counts, never a name. */
@Service
public class RunFeed {

    /** A sign is heard for so long after it was made: a line may have been down. */
    private static final long OLDEST_MS = 10 * 60_000;

    /** A device's clock may be ahead by so much. */
    private static final long AHEAD_MS = 2_000;

    private static final int VERSION_OF_TIME = 7;

    private final RunService runs;
    private final RunHeads heads;
    private final RunSheets sheets;
    private final Clock clock;

    RunFeed(RunService runs, RunHeads heads, RunSheets sheets, Clock clock) {
        this.runs = runs;
        this.heads = heads;
        this.sheets = sheets;
        this.clock = clock;
    }

    /** What a device heard. @param id of version 7: it says when, and counts once however often it comes */
    public record Heard(UUID id, String device, AtSpot.Place place, Tap tap) {}

    /** Where a run stands, as a light could show it. */
    public enum Phase {
        READY,
        WORK,
        PAUSE,
        HELD,
        OVER
    }

    /** What was counted at a spot in the round that is on or was last. */
    public record Count(int spot, int count) {}

    /** @param task the ladder's name, or null */
    public record Now(Phase phase, String task, long leftSec, List<Count> counts) {}

    /** @throws org.unrulymarble.server.platform.NotFound for a run of somebody else's class */
    public void mayFeed(UUID runId) {
        runs.mayHear(runId);
    }

    public long nowMs() {
        return clock.millis();
    }

    /** @return why it counts for nobody; empty when it is kept for good */
    public Optional<AtSpot.Why> hear(UUID runId, UUID accountId, Heard heard) {
        long nowMs = clock.millis();
        long atMs = heard.id().getMostSignificantBits() >>> 16;
        if (heard.id().version() != VERSION_OF_TIME || atMs < nowMs - OLDEST_MS || atMs > nowMs + AHEAD_MS)
            return Optional.of(AtSpot.Why.NO_ROUND);
        RunScript script = sheets.of(runId).script();
        List<RunEvent> known = runs.log(runId);
        // One that came before is kept already: it is said so again.
        if (known.stream().anyMatch(e -> e.id().equals(heard.id()))) return Optional.empty();
        RunLog log = new RunLog(script)
                .add(known.stream().filter(e -> e.atMs() <= atMs).toList());
        AtSpot at = AtSpot.of(script, log, atMs, heard.place(), heard.tap());
        if (at instanceof AtSpot.Nobody nobody) return Optional.of(nobody.why());
        AtSpot.Worker worker = (AtSpot.Worker) at;
        runs.feed(runId, accountId, worker.event(heard.id(), atMs, heard.device(), heard.tap()));
        return Optional.empty();
    }

    /** The most spots that any turn of the run has. */
    public int spots(UUID runId) {
        return sheets.of(runId).script().blocks().stream()
                .flatMap(b -> b.turns().stream())
                .flatMap(t -> t.crews().stream())
                .mapToInt(c -> c.spot() + 1)
                .max()
                .orElse(0);
    }

    /** @throws org.unrulymarble.server.platform.NotFound for a run that is gone */
    @Transactional(readOnly = true)
    public Now now(UUID runId) {
        heads.findById(runId).orElseThrow(org.unrulymarble.server.platform.NotFound::new);
        RunSheets.Sheet sheet = sheets.of(runId);
        RunScript script = sheet.script();
        long nowMs = clock.millis();
        List<RunEvent> known = runs.log(runId);
        RunState state = new RunLog(script).add(known).fold(nowMs);
        RunClock.Position at = state.clock().at(script, nowMs);
        Segment segment = script.segment(at.segment());
        Phase phase = phase(state, known, script, at);
        String ladderId = script.blockOf(segment).ladderId();
        String task = sheet.ladders().stream()
                .filter(l -> l.id().equals(ladderId))
                .map(l -> l.name())
                .findFirst()
                .orElse(null);
        long leftMs = state.clock().lengthMs(script, at.segment()) - at.offsetMs();
        return new Now(phase, task, Math.max(0, (leftMs + 999) / 1000), counts(script, state, at.segment()));
    }

    private static Phase phase(RunState state, List<RunEvent> known, RunScript script, RunClock.Position at) {
        if (state.finished()) return Phase.OVER;
        if (known.isEmpty()) return Phase.READY;
        if (!state.clock().playing()) return Phase.HELD;
        return script.isRound(at.segment()) ? Phase.WORK : Phase.PAUSE;
    }

    /** Of the round that is on, else of the last one before. */
    private static List<Count> counts(RunScript script, RunState state, int segment) {
        int round = segment;
        while (round > 0 && !script.isRound(round)) round--;
        if (!script.isRound(round)) return List.of();
        List<Count> counts = new ArrayList<>();
        for (RunScript.Crew crew : script.turnOf(script.segment(round)).crews()) {
            int here = round;
            int score = state.results().stream()
                    .filter(r -> r.segment() == here && crew.workers().contains(r.pupilId()))
                    .mapToInt(RunFeed::counted)
                    .sum();
            counts.add(new Count(crew.spot() + 1, score));
        }
        return List.copyOf(counts);
    }

    private static int counted(RoundResult r) {
        return r.hits() != null ? r.hits() : r.score();
    }
}
