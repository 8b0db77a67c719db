package org.unrulymarble.server.record;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.KeptGame;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Pupil;
import org.unrulymarble.server.store.SchoolClass;

/** What is changed by hand: results typed in, corrected or confirmed, where a pupil stands, and how a class decides. Only by the class's teacher. */
@Service
@Transactional
class ByHand {

    private final RecordService records;
    private final AdviceService advice;
    private final ClassAccess access;
    private final LadderService ladders;
    private final Clock clock;

    ByHand(RecordService records, AdviceService advice, ClassAccess access, LadderService ladders, Clock clock) {
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
            @Nullable List<Modifier> modifiers,
            Side side,
            Integer score,
            @Nullable Integer hits,
            @Nullable Integer misses,
            @Nullable Integer workSec,
            @Nullable Integer timeMs,
            @Nullable String ball,
            @Nullable Double distanceM,
            @Nullable String target,
            @Nullable String with,
            Attempt.@Nullable Where where,
            @Nullable Boolean seen,
            @Nullable Boolean trial) {}

    void typeIn(UUID id, TypedIn typed) {
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

    /** @param kept how many rounds are in the record now */
    record GameInRecord(int kept) {}

    /**
     * A game that was kept on a sheet, into the record of its class; all of it or nothing. Kept again after it was played on, it takes the place of what
     * it was.
     *
     * @throws Refused for pupils of another class, a rung that is not scored so, and a game without an end
     */
    GameInRecord keep(UUID classId, KeptGame game) {
        SchoolClass c = access.teach(classId);
        LocalDate today = LocalDate.now(clock);
        Set<String> there = c.pupils().stream().map(p -> p.id().toString()).collect(Collectors.toSet());
        Rung rung = ladders.catalogue().rung(game.ladderId(), game.rungId()).orElse(null);
        new Checks()
                .that(!game.on().isAfter(today), "on", Fault.Rule.RANGE, today.minusYears(10), today)
                .that(rung != null, "rungId", Fault.Rule.UNKNOWN, game.rungId())
                .that(
                        rung == null || game.scoredBy().isInstance(rung.measure()),
                        "rungId",
                        Fault.Rule.KIND,
                        "a rung that is scored so")
                .that(there.containsAll(game.pupilIds()), "pupilIds", Fault.Rule.KIND, "pupils of this class")
                .done();
        List<Attempt> rounds = game.attempts(rung);
        new Checks()
                .that(!rounds.isEmpty(), "sheet", Fault.Rule.KIND, "played to an end")
                .done();
        records.replace(classId, there.stream().map(game::roundId).collect(Collectors.toSet()), rounds);
        return new GameInRecord(rounds.size());
    }

    void correct(UUID id, Correction.Wanted wanted) {
        records.correct(taughtRow(id), wanted);
    }

    void confirm(UUID id) {
        records.confirm(taughtRow(id));
    }

    /** @param reason why, in the teacher's words */
    record Said(String ladderId, String rungId, @Nullable String reason) {}

    void say(UUID id, Said said) {
        records.say(taught(access.pupil(id)), said.ladderId(), said.rungId(), said.reason());
    }

    AdviceService.ReadinessView readiness(UUID id) {
        return advice.readiness(access.teach(id).id());
    }

    AdviceService.ReadinessView setReadiness(UUID id, AdviceService.ReadinessView wanted) {
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
