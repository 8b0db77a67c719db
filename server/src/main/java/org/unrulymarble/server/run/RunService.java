package org.unrulymarble.server.run;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.Watch;
import org.unrulymarble.core.run.RunEvent;
import org.unrulymarble.core.run.RunLog;
import org.unrulymarble.core.run.RunScript;
import org.unrulymarble.core.run.RunState;
import org.unrulymarble.core.run.What;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.lesson.LessonAccess;
import org.unrulymarble.server.lesson.LessonService;
import org.unrulymarble.server.platform.GroupCommit;
import org.unrulymarble.server.platform.LessonsGoing;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.run.RunSheets.Sheet;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.SchoolClass;
import tools.jackson.databind.json.JsonMapper;

@Service
@Transactional
public class RunService {

    /** Runs whose wall shows what was scored, as far as a wall is open. */
    private final Set<UUID> scoresOnWall = ConcurrentHashMap.newKeySet();

    private final RunAccessCache mayFeed;
    private final GroupCommit<Append> appends = new GroupCommit<>("run-appends", this::write);
    private final RunRows runs;
    private final RunHeads heads;
    private final RunStreams streams;
    private final RunEventRows events;
    private final LessonService lessons;
    private final RunSheets sheets;
    private final RunRecording recording;
    private final ClassAccess access;
    private final LessonAccess gate;
    private final LessonsGoing going;
    private final JsonMapper json;
    private final Clock clock;
    private final TransactionTemplate transactions;

    RunService(
            TransactionTemplate transactions,
            RunAccessCache mayFeed,
            RunRows runs,
            RunHeads heads,
            RunStreams streams,
            RunEventRows events,
            LessonService lessons,
            RunSheets sheets,
            RunRecording recording,
            ClassAccess access,
            LessonAccess gate,
            LessonsGoing going,
            JsonMapper json,
            Clock clock) {
        this.transactions = transactions;
        this.mayFeed = mayFeed;
        this.runs = runs;
        this.heads = heads;
        this.streams = streams;
        this.events = events;
        this.lessons = lessons;
        this.sheets = sheets;
        this.recording = recording;
        this.access = access;
        this.gate = gate;
        this.going = going;
        this.json = json;
        this.clock = clock;
    }

    /**
     * @param before what the pupils had done before on the challenges of this run: the bests to beat
     * @param completed what was completed for the first time in this run; empty while it goes on
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
            List<RunRecording.Completed> completed,
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
                        json.writeValueAsString(sheets.make(lesson)))));
        return run(row);
    }

    /** @throws NotFound also for a run of somebody else's class */
    @Transactional(readOnly = true)
    Run see(UUID runId) {
        RunRow row = runs.findById(runId).orElseThrow(NotFound::new);
        gate.see(row.lessonId(), row.classId());
        return run(row);
    }

    @Transactional(readOnly = true)
    List<Run> open() {
        List<UUID> mine = access.mine().stream().map(SchoolClass::id).toList();
        Stream<RunRow> handed =
                gate.handedToday().stream().flatMap(id -> runs.findFirstByLessonIdAndFinishedFalse(id).stream());
        return Stream.concat(runs.findByClassIdInAndFinishedFalse(mine).stream(), handed)
                .distinct()
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
    List<UUID> append(UUID runId, List<SentEvent> sentHere) {
        // Every tap asks; what an account may do does not change from one to the next.
        mayFeed.check(SignedIn.now().accountId(), runId, () -> mayHear(runId));
        check(sentHere, sheets.of(runId).script());
        List<RunEvent> sent = sentHere.stream().map(SentEvent::event).toList();
        going.tapped();
        appends.keep(new Append(runId, SignedIn.now().accountId(), sent));
        return sent.stream().map(RunEvent::id).toList();
    }

    /** What a device heard, for the account that paired it. */
    @Transactional(propagation = Propagation.SUPPORTS)
    void feed(UUID runId, UUID accountId, List<RunEvent> heard) {
        heard.forEach(e -> e.checkAgainst(sheets.of(runId).script()));
        going.tapped();
        appends.keep(new Append(runId, accountId, heard));
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
            Map<UUID, RunHead> of = new HashMap<>();
            heads.findAllById(told.keySet()).forEach(head -> of.put(head.id(), head));
            told.forEach((runId, added) -> {
                RunHead head = of.get(runId);
                if (head == null) throw new NotFound();
                if (head.finished() || added.stream().anyMatch(e -> e.what() instanceof What.Finish))
                    recording.record(head, sheets.of(runId), state(runId));
            });
        });
        told.forEach((runId, added) -> {
            if (added.stream().anyMatch(RunService::changesWall)) learnWall(runId);
        });
        // Nobody hears of what might still be undone.
        told.forEach(streams::tell);
        told.forEach((runId, added) -> {
            if (added.stream().anyMatch(e -> e.what() instanceof What.Finish)) streams.closeWalls(runId);
        });
    }

    private static boolean changesWall(RunEvent e) {
        return e.what() instanceof What.ScoresOnWall || e.what() instanceof What.TakeBack;
    }

    private void learnWall(UUID runId) {
        if (state(runId).scoresOnWall()) scoresOnWall.add(runId);
        else scoresOnWall.remove(runId);
    }

    /** Whether the wall of a run that was opened here may hear what is scored. Asked for each tap and wall, so it opens no transaction. */
    @Transactional(propagation = Propagation.SUPPORTS)
    boolean scoresOnWall(UUID runId) {
        return scoresOnWall.contains(runId);
    }

    @PreDestroy
    void stop() {
        appends.close();
    }

    /** The results of one round and its other side, each against that pupil's own best and last. */
    @Transactional(readOnly = true)
    List<RunRecording.RoundAgainst> against(UUID runId, int round) {
        mayHear(runId);
        RunHead row = heads.findById(runId).orElseThrow(NotFound::new);
        return recording.against(row, sheets.of(runId), state(runId).results(), round);
    }

    /** Whom to watch in a block; for the class's teachers, since it tells of records. */
    @Transactional(readOnly = true)
    List<Watch> watch(UUID runId, int block) {
        RunHead row = heads.findById(runId).orElseThrow(NotFound::new);
        if (!access.teaches(gate.see(row.lessonId(), row.classId())))
            throw new AccessDeniedException("whom to watch tells of records");
        return recording.watch(row, sheets.of(runId), block);
    }

    private RunState state(UUID runId) {
        return new RunLog(sheets.of(runId).script()).add(log(runId)).fold(clock.millis());
    }

    /** @throws NotFound for a run of somebody else's class */
    @Transactional(readOnly = true)
    void mayHear(UUID runId) {
        RunHead head = heads.findById(runId).orElseThrow(NotFound::new);
        gate.see(head.lessonId(), head.classId());
    }

    /** A run as its wall sees it. */
    @Transactional(readOnly = true)
    Run onTheWall(RunRow row) {
        Run run = run(row);
        if (run.state().scoresOnWall()) scoresOnWall.add(run.id());
        return run;
    }

    private static void check(List<SentEvent> sent, RunScript script) {
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

    private Run run(RunRow row) {
        Sheet sheet = sheets.of(row.id());
        List<RunEvent> log = log(row.id());
        RunState state = new RunLog(sheet.script()).add(log).fold(clock.millis());
        return new Run(
                row.id(),
                row.lessonId(),
                row.classId(),
                row.onDay(),
                sheet,
                log,
                state,
                recording.before(row, sheet.script()),
                recording.completed(row, sheet, state),
                clock.millis());
    }

    @Transactional(readOnly = true)
    List<RunEvent> log(UUID runId) {
        return events.findByRunId(runId).stream()
                .map(e -> SentEvent.read(json, e.body()).event())
                .toList();
    }
}
