package org.unrulymarble.server.record;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Pupil;

/** What is changed by hand: results typed in, corrected or confirmed, where a pupil stands, and how a class decides. Only by the class's teacher. */
@RestController
@RequestMapping("/api")
@Transactional
class RecordChanges {

    private final RecordService records;
    private final AdviceService advice;
    private final ClassAccess access;
    private final LadderService ladders;
    private final Clock clock;

    RecordChanges(RecordService records, AdviceService advice, ClassAccess access, LadderService ladders, Clock clock) {
        this.records = records;
        this.advice = advice;
        this.access = access;
        this.ladders = ladders;
        this.clock = clock;
    }

    /** A result from paper or from home. {@code seen}: somebody of the school saw it, so it counts in full. */
    record TypedIn(
            LocalDate on,
            String ladderId,
            String rungId,
            List<Modifier> modifiers,
            Side side,
            Integer score,
            Integer hits,
            Integer misses,
            Integer workSec,
            Integer timeMs,
            String ball,
            Double distanceM,
            String target,
            String with,
            Attempt.Where where,
            Boolean seen,
            Boolean trial) {}

    @PostMapping("/pupils/{id}/attempts")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void typeIn(@PathVariable UUID id, @RequestBody TypedIn typed) {
        Pupil pupil = taught(access.pupil(id));
        LocalDate today = LocalDate.now(clock);
        new Checks()
                .required("on", typed.on())
                .that(
                        typed.on() == null || !typed.on().isAfter(today),
                        "on",
                        Fault.Rule.RANGE,
                        today.minusYears(10),
                        today)
                .that(
                        ladders.catalogue()
                                .rung(String.valueOf(typed.ladderId()), String.valueOf(typed.rungId()))
                                .isPresent(),
                        "rungId",
                        Fault.Rule.UNKNOWN,
                        String.valueOf(typed.rungId()))
                .done();
        Integer tries =
                typed.hits() == null || typed.misses() == null ? null : (Integer) (typed.hits() + typed.misses());
        Detail detail = typed.timeMs() == null ? null : new Detail.Timed(typed.timeMs(), List.of());
        records.add(
                pupil.schoolClass().id(),
                List.of(new Attempt(
                        UUID.randomUUID().toString(),
                        id.toString(),
                        typed.on(),
                        new Attempt.Task(typed.ladderId(), typed.rungId(), typed.modifiers(), typed.side()),
                        1,
                        new Attempt.Counts(typed.score(), typed.hits(), typed.misses(), tries, null),
                        RoundTime.full(typed.workSec()),
                        new Attempt.Things(typed.ball(), typed.distanceM(), typed.target()),
                        new Attempt.Setting(typed.with(), null, typed.where()),
                        new Attempt.Worth(
                                RoundResult.Source.TYPED,
                                Boolean.TRUE.equals(typed.seen()),
                                false,
                                Boolean.TRUE.equals(typed.trial())),
                        detail,
                        List.of())));
    }

    @PostMapping("/attempts/{id}/corrections")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void correct(@PathVariable UUID id, @RequestBody Correction.Wanted wanted) {
        records.correct(taughtRow(id), wanted);
    }

    @PostMapping("/attempts/{id}/confirm")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void confirm(@PathVariable UUID id) {
        records.confirm(taughtRow(id));
    }

    /** @param reason why, in the teacher's words */
    record Said(String ladderId, String rungId, String reason) {}

    @PostMapping("/pupils/{id}/standings")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void say(@PathVariable UUID id, @RequestBody Said said) {
        records.say(taught(access.pupil(id)), said.ladderId(), said.rungId(), said.reason());
    }

    @GetMapping("/classes/{id}/readiness")
    AdviceService.ReadinessView readiness(@PathVariable UUID id) {
        return advice.readiness(access.teach(id).id());
    }

    @PutMapping("/classes/{id}/readiness")
    AdviceService.ReadinessView setReadiness(@PathVariable UUID id, @RequestBody AdviceService.ReadinessView wanted) {
        new Checks().required("readiness", wanted.readiness()).done();
        return records.decide(access.teach(id).id(), wanted);
    }

    private Pupil taught(Pupil pupil) {
        access.teach(pupil.schoolClass().id());
        return pupil;
    }

    private AttemptRow taughtRow(UUID attemptId) {
        AttemptRow row = records.row(attemptId);
        access.teach(row.classId());
        return row;
    }
}
