package org.unrulymarble.server.run;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.record.Against;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.score.RoundResult;
import org.unrulymarble.core.score.RunScript;
import org.unrulymarble.core.score.RunState;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.record.RecordService;
import org.unrulymarble.server.run.RunSheets.Sheet;

/** What becomes of a run in the record, and what the record says of its rounds. */
@Component
class RunRecording {

    private final RecordService records;
    private final LadderService ladders;

    RunRecording(RecordService records, LadderService ladders) {
        this.records = records;
        this.ladders = ladders;
    }

    /** Puts what a run's log says in the place of what was recorded of it before; nothing while it goes on. */
    void record(RunHead row, Sheet sheet, RunState state) {
        row.finished(state.finished());
        List<Attempt> attempts = state.finished()
                ? state.results().stream().map(r -> attempt(row, sheet, r)).toList()
                : List.of();
        List<PupilRemark> remarks = state.finished()
                ? state.remarks().stream()
                        .filter(r -> r.pupilId() != null)
                        .map(r -> remark(row, sheet, r))
                        .toList()
                : List.of();
        records.ofRun(row.id(), row.classId(), attempts, remarks);
    }

    private static PupilRemark remark(RunHead row, Sheet sheet, RunState.Remark r) {
        RunScript.ScriptBlock block = sheet.script().blockOf(sheet.script().segment(r.segment()));
        return new PupilRemark(r.pupilId(), row.onDay(), block.ladderId(), r.rungId(), r.kind(), r.note());
    }

    private Attempt attempt(RunHead row, Sheet sheet, RoundResult r) {
        Segment segment = sheet.script().segment(r.segment());
        RunScript.ScriptBlock block = sheet.script().blockOf(segment);
        // Sheets of older runs do not say.
        String ball = block.ball() != null
                ? block.ball()
                : ladders.catalogue()
                        .ladder(block.ladderId())
                        .flatMap(Ladder::ball)
                        .orElse(null);
        return new Attempt(
                // The same round has the same id however often the run is recorded: a correction finds it again.
                UUID.nameUUIDFromBytes((row.id() + "/" + r.segment() + "/" + r.take() + "/" + r.pupilId())
                                .getBytes(StandardCharsets.UTF_8))
                        .toString(),
                r.pupilId(),
                row.onDay(),
                block.ladderId(),
                r.rungId(),
                block.modifiers(),
                block.sides().get(segment.side()),
                segment.set() + 1,
                r.score(),
                r.hits(),
                r.misses(),
                r.tries(),
                timed(block, r) ? (Integer) block.workSec() : null,
                ball,
                null,
                null,
                null,
                sheet.spaceName(),
                Attempt.Where.SCHOOL,
                r.source(),
                r.source() != RoundResult.Source.TYPED,
                r.trial(),
                r.detail(),
                r.jointWith());
    }

    private static boolean timed(RunScript.ScriptBlock block, RoundResult r) {
        RunScript.ScriptRung rung = block.rung(r.rungId());
        return block.reps() == null && (rung == null || !rung.measure().lessIsBetter());
    }

    /**
     * One pupil's round against their own before.
     *
     * @param best score of the best before, with the seconds of its round; null where there is none
     */
    record RoundAgainst(
            String pupilId,
            int segment,
            int score,
            boolean metGate,
            boolean newBest,
            boolean byRate,
            Integer best,
            Integer bestWorkSec,
            Integer last,
            Integer lastWorkSec) {}

    /** The results of one round and its other side, each against that pupil's own best and last; earlier rounds of this run count too. */
    List<RoundAgainst> against(RunHead row, Sheet sheet, List<RoundResult> results, int round) {
        if (!sheet.script().isRound(round)) throw new NotFound();
        Segment asked = sheet.script().segment(round);
        RunScript.ScriptBlock block = sheet.script().blockOf(asked);
        List<Attempt> before = new ArrayList<>(records.besides(row.id(), row.classId(), block.ladderId()));
        List<RoundAgainst> out = new ArrayList<>();
        for (RoundResult r : results) {
            Segment s = sheet.script().segment(r.segment());
            Attempt now = attempt(row, sheet, r);
            boolean here = s.block() == asked.block() && s.set() == asked.set() && s.turn() == asked.turn();
            if (here)
                ladder(sheet, block.ladderId())
                        .flatMap(l -> l.rung(now.rungId()))
                        .map(rung -> Against.of(now, before, rung))
                        .ifPresent(a -> out.add(told(r, a)));
            before.add(now);
        }
        return out;
    }

    private static Optional<Ladder> ladder(Sheet sheet, String id) {
        return sheet.ladders().stream().filter(l -> l.id().equals(id)).findFirst();
    }

    private static RoundAgainst told(RoundResult r, Against a) {
        return new RoundAgainst(
                r.pupilId(),
                r.segment(),
                r.score(),
                a.metGate(),
                a.newBest(),
                a.byRate(),
                a.best() == null ? null : a.best().score(),
                a.best() == null ? null : a.best().workSec(),
                a.last() == null ? null : a.last().score(),
                a.last() == null ? null : a.last().workSec());
    }

    /** What the pupils had done before on the challenges of this run. */
    List<Challenge> before(RunRow row, RunScript script) {
        List<RunScript.ScriptBlock> counted =
                script.blocks().stream().filter(b -> b.counted()).toList();
        Set<String> ladderIds = counted.stream().map(b -> b.ladderId()).collect(Collectors.toSet());
        return records.challengesBesides(row.id(), row.classId(), ladderIds).stream()
                .filter(c -> counted.stream()
                        .anyMatch(b -> c.ladderId().equals(b.ladderId())
                                && c.modifiers().equals(b.modifiers())
                                && (b.choose() || c.rungId().equals(b.rungOf(c.pupilId())))))
                .toList();
    }
}
