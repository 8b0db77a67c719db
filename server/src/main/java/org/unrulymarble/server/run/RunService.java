package org.unrulymarble.server.run;

import jakarta.annotation.PreDestroy;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.ScriptWriter;
import org.unrulymarble.core.record.Against;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.score.RoundResult;
import org.unrulymarble.core.score.RunEvent;
import org.unrulymarble.core.score.RunLog;
import org.unrulymarble.core.score.RunScript;
import org.unrulymarble.core.score.RunState;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.lesson.LessonService;
import org.unrulymarble.server.platform.GroupCommit;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.record.RecordService;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Roster;
import org.unrulymarble.server.store.SchoolClass;
import tools.jackson.databind.json.JsonMapper;

@Service
@Transactional
public class RunService {

    /** Letters and digits that nobody takes for others. */
    private static final String CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int CODE_LENGTH = 6;
    private static final SecureRandom RANDOM = new SecureRandom();

    private static final int SHEETS_KEPT = 200;

    private final Map<UUID, Sheet> sheets = new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<UUID, Sheet> eldest) {
            return size() > SHEETS_KEPT;
        }
    };

    /** Runs whose wall shows what was scored, as far as a wall is open. */
    private final Set<UUID> scoresOnWall = ConcurrentHashMap.newKeySet();

    private final Hearing hearing = new Hearing();
    private final GroupCommit<Append> appends = new GroupCommit<>("run-appends", this::write);
    private final RunRows runs;
    private final RunHeads heads;
    private final RunStreams streams;
    private final RunEventRows events;
    private final LessonService lessons;
    private final RecordService records;
    private final ClassAccess access;
    private final LadderService ladders;
    private final JsonMapper json;
    private final Clock clock;
    private final TransactionTemplate transactions;

    RunService(
            TransactionTemplate transactions,
            RunRows runs,
            RunHeads heads,
            RunStreams streams,
            RunEventRows events,
            LessonService lessons,
            RecordService records,
            ClassAccess access,
            LadderService ladders,
            JsonMapper json,
            Clock clock) {
        this.transactions = transactions;
        this.runs = runs;
        this.heads = heads;
        this.streams = streams;
        this.events = events;
        this.lessons = lessons;
        this.records = records;
        this.access = access;
        this.ladders = ladders;
        this.json = json;
        this.clock = clock;
    }

    /** All that a run needs besides its log, as it stood when the run began. */
    record Sheet(
            String lessonName,
            String className,
            String spaceName,
            int minutes,
            List<Roster.Member> pupils,
            List<Ladder> ladders,
            RunScript script) {}

    /**
     * @param before what the pupils had done before on the challenges of this run: the bests to beat
     * @param nowMs the server's clock, by which every screen sets its own
     */
    record Run(
            UUID id,
            UUID lessonId,
            UUID classId,
            LocalDate onDay,
            Sheet sheet,
            List<RunEvent> log,
            RunState state,
            List<Challenge> before,
            long nowMs) {}

    /** Begins a run of a lesson, or goes on with the one that is not finished. */
    Run begin(UUID lessonId) {
        LessonService.Ready lesson = lessons.ready(lessonId == null ? new UUID(0, 0) : lessonId);
        RunRow row = runs.findFirstByLessonIdAndFinishedFalse(lessonId)
                .orElseGet(() -> runs.saveAndFlush(new RunRow(
                        UUID.randomUUID(),
                        lessonId,
                        lesson.known().roster().classId(),
                        LocalDate.now(clock),
                        json.writeValueAsString(sheet(lesson)))));
        return run(row);
    }

    private Sheet sheet(LessonService.Ready ready) {
        LessonService.Known lesson = ready.known();
        Roster roster = lesson.roster();
        new Checks()
                .entries("pupils", roster.pupils(), 1, 500)
                .entries("blocks", lesson.lesson().blocks(), 1, 60)
                .that(
                        lesson.lesson().audience() == Lesson.Audience.CLASS,
                        "audience",
                        Fault.Rule.ONE_OF,
                        Lesson.Audience.CLASS)
                .done();
        RunScript script = ScriptWriter.write(lesson.lesson(), ready.setting());
        Set<String> used = new HashSet<>();
        script.blocks().forEach(b -> {
            used.add(b.ladderId());
            used.add(b.meanwhileLadderId());
        });
        return new Sheet(
                lesson.name(),
                roster.className(),
                lesson.space().name(),
                lesson.lesson().minutes(),
                roster.pupils(),
                ladders.catalogue().known().stream()
                        .filter(l -> used.contains(l.id()))
                        .toList(),
                script);
    }

    /** @throws NotFound also for a run of somebody else's class */
    @Transactional(readOnly = true)
    Run see(UUID runId) {
        RunRow row = runs.findById(runId).orElseThrow(NotFound::new);
        access.see(row.classId());
        return run(row);
    }

    @Transactional(readOnly = true)
    List<Run> open() {
        List<UUID> mine = access.mine().stream().map(SchoolClass::id).toList();
        return runs.findByClassIdInAndFinishedFalse(mine).stream()
                .map(this::run)
                .toList();
    }

    /**
     * Appends what is not known yet. When the log says that the run is finished, its attempts are recorded in the same
     * transaction; a tap that comes in late is recorded too.
     *
     * @return ids that are now kept for good, those sent before among them
     * @throws Refused naming {@code events[i]} when one does not fit the script; nothing is appended then
     */
    @Transactional(propagation = Propagation.SUPPORTS)
    List<UUID> append(UUID runId, List<RunEvent> sent) {
        // Every tap asks; what an account may do does not change from one to the next.
        hearing.of(SignedIn.now().accountId(), runId, () -> mayHear(runId));
        check(sent, sheet(runId).script());
        appends.keep(new Append(runId, SignedIn.now().accountId(), sent));
        return sent.stream().map(RunEvent::id).toList();
    }

    private record Append(UUID runId, UUID accountId, List<RunEvent> sent) {}

    /** All appends go through here one after the other, so that none comes between a finish and what it records. */
    private void write(List<Append> together) {
        Map<UUID, List<RunEvent>> told = new LinkedHashMap<>();
        transactions.executeWithoutResult(status -> {
            Set<UUID> known = new HashSet<>(events.known(together.stream()
                    .flatMap(a -> a.sent().stream().map(RunEvent::id))
                    .toList()));
            List<RunEventRow> fresh = new ArrayList<>();
            for (Append a : together)
                for (RunEvent e : a.sent())
                    if (known.add(e.id())) {
                        fresh.add(new RunEventRow(e.id(), a.runId(), a.accountId(), json.writeValueAsString(e)));
                        told.computeIfAbsent(a.runId(), id -> new ArrayList<>()).add(e);
                    }
            events.saveAllAndFlush(fresh);
            told.forEach((runId, added) -> {
                RunHead head = heads.findById(runId).orElseThrow(NotFound::new);
                if (head.finished() || added.stream().anyMatch(e -> e.kind() == RunEvent.Kind.FINISH))
                    record(head, sheet(runId));
            });
        });
        told.forEach((runId, added) -> {
            if (added.stream().anyMatch(RunService::changesWall)) learnWall(runId);
        });
        // Nobody hears of what might still be undone.
        told.forEach(streams::tell);
    }

    private static boolean changesWall(RunEvent e) {
        return e.kind() == RunEvent.Kind.SCORES_ON
                || e.kind() == RunEvent.Kind.SCORES_OFF
                || e.kind() == RunEvent.Kind.TAKE_BACK;
    }

    private void learnWall(UUID runId) {
        boolean shown = new RunLog(sheet(runId).script()).add(log(runId)).fold().scoresOnWall();
        if (shown) scoresOnWall.add(runId);
        else scoresOnWall.remove(runId);
    }

    /** Whether the wall of a run that was opened here may hear what is scored. */
    boolean scoresOnWall(UUID runId) {
        return scoresOnWall.contains(runId);
    }

    @PreDestroy
    void stop() {
        appends.close();
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
    @Transactional(readOnly = true)
    List<RoundAgainst> against(UUID runId, int round) {
        mayHear(runId);
        RunHead row = heads.findById(runId).orElseThrow(NotFound::new);
        Sheet sheet = sheet(runId);
        if (!sheet.script().isRound(round)) throw new NotFound();
        Segment asked = sheet.script().segment(round);
        RunScript.ScriptBlock block = sheet.script().blockOf(asked);
        List<RoundResult> results =
                new RunLog(sheet.script()).add(log(runId)).fold().results();
        List<Attempt> before = new ArrayList<>(records.besides(runId, row.classId(), block.ladderId()));
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

    /** @throws NotFound for a run of somebody else's class */
    @Transactional(readOnly = true)
    void mayHear(UUID runId) {
        access.see(heads.findById(runId).orElseThrow(NotFound::new).classId());
    }

    /** The code of a run's wall face; the same each time. */
    String wallCode(UUID runId) {
        RunRow row = runs.findById(runId).orElseThrow(NotFound::new);
        access.see(row.classId());
        if (row.wallCode() == null) row.wallCode(freshCode());
        return row.wallCode();
    }

    private static String freshCode() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < CODE_LENGTH; i++) code.append(CODE_LETTERS.charAt(RANDOM.nextInt(CODE_LETTERS.length())));
        return code.toString();
    }

    /** @throws NotFound for a code that no run has, or whose run is over */
    @Transactional(readOnly = true)
    Run onTheWall(String code) {
        Run run = run(runs.findByWallCodeAndFinishedFalse(code.toUpperCase(Locale.ROOT))
                .orElseThrow(NotFound::new));
        if (run.state().scoresOnWall()) scoresOnWall.add(run.id());
        return run;
    }

    private static void check(List<RunEvent> sent, RunScript script) {
        Checks checks = new Checks();
        for (int i = 0; i < sent.size(); i++) {
            try {
                sent.get(i).checkAgainst(script);
            } catch (Refused e) {
                checks.under("events[" + i + "]", e);
            }
        }
        checks.done();
    }

    private void record(RunHead row, Sheet sheet) {
        RunState state = new RunLog(sheet.script()).add(log(row.id())).fold();
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
        return new PupilRemark(
                r.pupilId(), row.onDay(), block.ladderId(), block.rungOf(r.pupilId()), r.kind(), r.note());
    }

    private Attempt attempt(RunHead row, Sheet sheet, RoundResult r) {
        Segment segment = sheet.script().segment(r.segment());
        RunScript.ScriptBlock block = sheet.script().blockOf(segment);
        String ball = ladders.catalogue()
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

    private Run run(RunRow row) {
        Sheet sheet = sheet(row.id());
        List<RunEvent> log = log(row.id());
        RunState state = new RunLog(sheet.script()).add(log).fold();
        return new Run(
                row.id(),
                row.lessonId(),
                row.classId(),
                row.onDay(),
                sheet,
                log,
                state,
                before(row, sheet.script()),
                clock.millis());
    }

    private List<Challenge> before(RunRow row, RunScript script) {
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

    @Transactional(readOnly = true)
    List<RunEvent> log(UUID runId) {
        return events.findByRunId(runId).stream()
                .map(e -> json.readValue(e.body(), RunEvent.class))
                .toList();
    }

    /** A sheet never changes once its run has begun, and is asked for with every tap. */
    private Sheet sheet(UUID runId) {
        synchronized (sheets) {
            Sheet known = sheets.get(runId);
            if (known != null) return known;
        }
        Sheet read =
                json.readValue(runs.findById(runId).orElseThrow(NotFound::new).sheet(), Sheet.class);
        synchronized (sheets) {
            sheets.put(runId, read);
        }
        return read;
    }
}
