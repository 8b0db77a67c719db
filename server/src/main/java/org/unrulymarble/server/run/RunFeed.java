package org.unrulymarble.server.run;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.run.AtSpot;
import org.unrulymarble.core.run.BySpot;
import org.unrulymarble.core.run.RunEvent;
import org.unrulymarble.core.run.RunLog;
import org.unrulymarble.core.run.RunScript;
import org.unrulymarble.server.platform.NotFound;

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

    /** @param task the ladder's name, or null */
    public record Now(BySpot bySpot, String task) {}

    /** @throws NotFound for a run of somebody else's class */
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
        AtSpot.Workers workers = (AtSpot.Workers) at;
        runs.feed(runId, accountId, workers.events(heard.id(), atMs, heard.device(), heard.tap()));
        return Optional.empty();
    }

    /** The most spots that any turn of the run has. */
    public int spots(UUID runId) {
        return spots(sheets.of(runId).script().blocks().stream());
    }

    /** A station beside others. @param block in the run's script @param task the ladder's name */
    public record StationSpots(int block, String task, int spots) {}

    /** Stations that are used at the same time, in their order. */
    public List<StationSpots> stations(UUID runId) {
        RunSheets.Sheet sheet = sheets.of(runId);
        RunScript script = sheet.script();
        List<StationSpots> out = new ArrayList<>();
        for (RunScript.ScriptCircuit circuit : script.circuits())
            for (int k = 0; k < circuit.stations(); k++) {
                RunScript.ScriptBlock block = script.blocks().get(circuit.firstBlock() + k);
                out.add(new StationSpots(
                        circuit.firstBlock() + k, nameOf(sheet, block.ladderId()), spots(Stream.of(block))));
            }
        return out;
    }

    private static String nameOf(RunSheets.Sheet sheet, String ladderId) {
        return sheet.ladders().stream()
                .filter(l -> l.id().equals(ladderId))
                .map(Ladder::name)
                .findFirst()
                .orElse(null);
    }

    private static int spots(Stream<RunScript.ScriptBlock> blocks) {
        return blocks.flatMap(b -> b.turns().stream())
                .flatMap(t -> t.crews().stream())
                .mapToInt(c -> c.spot() + 1)
                .max()
                .orElse(0);
    }

    /** @throws NotFound for a run that is gone */
    @Transactional(readOnly = true)
    public Now now(UUID runId) {
        if (!heads.existsById(runId)) throw new NotFound();
        RunSheets.Sheet sheet = sheets.of(runId);
        BySpot now = BySpot.of(sheet.script(), new RunLog(sheet.script()).add(runs.log(runId)), clock.millis());
        return new Now(now, nameOf(sheet, now.ladderId()));
    }
}
