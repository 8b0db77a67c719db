package org.unrulymarble.server.run;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.record.Against;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.record.Watch;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RunScript;
import org.unrulymarble.core.run.RunState;
import org.unrulymarble.core.run.What;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.record.RecordService;
import org.unrulymarble.server.run.RunSheets.Sheet;

/** What becomes of a run in the record, and what the record says of its rounds. */
@Component
class RunRecording {

    private final RecordService records;
    private final LadderService ladders;
    private final RunHeads heads;

    RunRecording(RecordService records, LadderService ladders, RunHeads heads) {
        this.records = records;
        this.ladders = ladders;
        this.heads = heads;
    }

    /** Puts what a run's log says in the place of what was recorded of it before; nothing while it goes on. */
    void record(RunHead row, Sheet sheet, RunState state) {
        row.finished(state.finished());
        List<Attempt> attempts = state.finished()
                ? state.results().stream().map(r -> attempt(row, sheet, r)).toList()
                : List.of();
        List<PupilRemark> remarks = state.finished()
                ? state.remarks().stream().flatMap(r -> remarks(row, sheet, r)).toList()
                : List.of();
        records.ofRun(row.id(), row.classId(), attempts, remarks);
    }

    /** A fault that was seen in general is nobody's own; its cue was called to all who worked then. */
    private static Stream<PupilRemark> remarks(RunHead row, Sheet sheet, RunState.Remark r) {
        Segment segment = sheet.script().segment(r.segment());
        RunScript.ScriptBlock block = sheet.script().blockOf(segment);
        int set = Math.max(0, segment.set()) + 1;
        if (r.pupilId() != null)
            return Stream.of(
                    new PupilRemark(r.pupilId(), row.onDay(), block.ladderId(), r.rungId(), r.kind(), r.note(), set));
        if (r.kind() != What.Remarked.Kind.FAULT || segment.turn() < 0) return Stream.empty();
        return sheet.script().turnOf(segment).crews().stream()
                .flatMap(crew -> crew.workers().stream())
                .map(pupilId -> new PupilRemark(
                        pupilId,
                        row.onDay(),
                        block.ladderId(),
                        block.rungOf(pupilId, Math.max(0, segment.set())),
                        What.Remarked.Kind.CALLED,
                        r.note(),
                        set));
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
        return Attempt.ofRound(
                // The same round has the same id however often the run is recorded: a correction finds it again.
                UUID.nameUUIDFromBytes((row.id() + "/" + r.segment() + "/" + r.take() + "/" + r.pupilId())
                                .getBytes(StandardCharsets.UTF_8))
                        .toString(),
                r,
                sheet.script(),
                row.onDay(),
                ball,
                sheet.spaceName());
    }

    /** Whom to watch in a block: those of whom counted tries would change the word. Nobody where nothing is counted. */
    List<Watch> watch(RunHead row, Sheet sheet, int index) {
        RunScript script = sheet.script();
        if (index < 0 || index >= script.blocks().size()) throw new NotFound();
        RunScript.ScriptBlock block = script.blocks().get(index);
        Optional<Ladder> ladder = ladder(sheet, block.ladderId());
        if (!block.counted() || ladder.isEmpty()) return List.of();
        Map<String, String> rungOf = new HashMap<>();
        for (RunScript.ScriptTurn turn : block.turns())
            for (RunScript.Crew crew : turn.crews())
                for (String pupilId : crew.workers())
                    rungOf.put(pupilId, block.rungOf().getOrDefault(pupilId, block.rungId()));
        int sets = (int) script.segments().stream()
                .filter(s -> s.block() == index && s.kind() == Segment.Kind.WORK)
                .map(Segment::set)
                .distinct()
                .count();
        return records.watch(row.classId(), ladder.get(), rungOf, sets * block.workSec());
    }

    /**
     * One pupil's round against their own before.
     *
     * @param workSec seconds that were worked, or null if no clock ended it
     * @param brokenOff whether too little of the round was worked for a best
     * @param best score of the best before, with the seconds of its round; null where there is none
     */
    record RoundAgainst(
            String pupilId,
            int segment,
            int score,
            boolean metGate,
            boolean newBest,
            boolean byRate,
            boolean compares,
            boolean brokenOff,
            @Nullable Integer workSec,
            @Nullable Integer best,
            @Nullable Integer bestWorkSec,
            @Nullable Integer last,
            @Nullable Integer lastWorkSec) {}

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
                a.compares(),
                a.brokenOff(),
                r.time() == null ? null : (Integer) r.time().workedSec(),
                a.best() == null ? null : a.best().score(),
                a.best() == null ? null : a.best().workSec(),
                a.last() == null ? null : a.last().score(),
                a.last() == null ? null : a.last().workSec());
    }

    /** A rung that a pupil has completed. */
    record Completed(@Nullable String pupilId, String ladderId, String rungId) {}

    /** What was completed in this run and by nothing before it; empty while it goes on. */
    List<Completed> completed(RunRow row, Sheet sheet, RunState state) {
        if (!state.finished()) return List.of();
        RunHead head = heads.findById(row.id()).orElseThrow(NotFound::new);
        List<Attempt> here =
                state.results().stream().map(r -> attempt(head, sheet, r)).toList();
        Set<String> ladderIds = here.stream().map(Attempt::ladderId).collect(Collectors.toSet());
        Set<Completed> before = records.challengesBesides(row.id(), row.classId(), ladderIds).stream()
                .filter(c -> c.completed() && c.modifiers().isEmpty())
                .map(c -> new Completed(c.pupilId(), c.ladderId(), c.rungId()))
                .collect(Collectors.toSet());
        List<Attempt> all = new ArrayList<>(here);
        for (String ladderId : ladderIds) all.addAll(records.besides(row.id(), row.classId(), ladderId));
        return Challenge.of(all, ladders.catalogue()).stream()
                .filter(c -> c.completed() && c.modifiers().isEmpty())
                .map(c -> new Completed(c.pupilId(), c.ladderId(), c.rungId()))
                .filter(c -> !before.contains(c)
                        && here.stream()
                                .anyMatch(a -> a.pupilId().equals(c.pupilId())
                                        && a.rungId().equals(c.rungId())
                                        && a.ladderId().equals(c.ladderId())))
                .toList();
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
                                && (b.choose() || b.asks(c.pupilId(), c.rungId()))))
                .toList();
    }
}
