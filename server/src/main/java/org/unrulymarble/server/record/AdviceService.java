package org.unrulymarble.server.record;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.record.Advice;
import org.unrulymarble.core.record.Judge;
import org.unrulymarble.core.record.Readiness;
import org.unrulymarble.core.skill.Difficulties;
import org.unrulymarble.core.skill.GateStandard;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.Stale;
import org.unrulymarble.server.store.Pupil;

/** Who is ready for what, and whose word it is. */
@Service
@Transactional
class AdviceService {

    private final StandingRows standings;
    private final ReadinessRows readiness;
    private final LadderService ladders;
    private final SkillService skill;
    private final Clock clock;

    AdviceService(
            StandingRows standings, ReadinessRows readiness, LadderService ladders, SkillService skill, Clock clock) {
        this.standings = standings;
        this.readiness = readiness;
        this.ladders = ladders;
        this.skill = skill;
        this.clock = clock;
    }

    /** @param version 0 for a class that goes by the usual */
    record ReadinessView(long version, Readiness readiness) {}

    /** The share that holds a rung. @param gates the one at which its gate is met half of the time, or null where it gives none */
    record RungStandard(
            String rungId, double share, @Nullable Double gates) {}

    /** What holds each rung of a ladder in this class. */
    List<RungStandard> standards(UUID classId, Ladder ladder) {
        Difficulties here = judge(classId).difficulties(ladder);
        return ladder.rungs().stream()
                .map(r -> {
                    OptionalDouble gates = GateStandard.of(r);
                    return new RungStandard(
                            r.id(), here.standard(r.id()), gates.isPresent() ? (Double) gates.getAsDouble() : null);
                })
                .toList();
    }

    @Transactional(readOnly = true)
    ReadinessView readiness(UUID classId) {
        return readiness
                .findById(classId)
                .map(r -> new ReadinessView(r.version() + 1, r.readiness()))
                .orElse(new ReadinessView(0, Readiness.USUAL));
    }

    ReadinessView set(UUID classId, ReadinessView wanted) {
        Stale.unless(readiness(classId).version(), wanted.version());
        ReadinessRow row = readiness.findById(classId).orElse(null);
        if (row == null) row = new ReadinessRow(classId, wanted.readiness());
        else row.set(wanted.readiness());
        readiness.saveAndFlush(row);
        return readiness(classId);
    }

    /** Says where a pupil stands; kept beside whatever was said before. */
    void say(Pupil pupil, String ladderId, String rungId, String reason) {
        new Checks()
                .that(
                        ladders.catalogue().rung(ladderId, rungId).isPresent(),
                        "rungId",
                        Fault.Rule.UNKNOWN,
                        String.valueOf(rungId))
                .text("reason", reason, 200)
                .done();
        Advice.Standing said = new Advice.Standing(
                pupil.id().toString(),
                ladderId,
                rungId,
                LocalDate.now(clock),
                SignedIn.now().displayName(),
                reason);
        standings.save(new StandingRow(pupil.schoolClass().id(), pupil.id(), said, clock.instant()));
    }

    @Transactional(readOnly = true)
    List<Advice.Standing> said(UUID pupilId) {
        return standings.findByPupilIdOrderBySaidAtAsc(pupilId).stream()
                .map(StandingRow::standing)
                .toList();
    }

    @Transactional(readOnly = true)
    List<Advice.Standing> saidInClass(UUID classId) {
        return standings.findByClassIdOrderBySaidAtAsc(classId).stream()
                .map(StandingRow::standing)
                .toList();
    }

    /** By what the records of a class are concluded today. */
    @Transactional(readOnly = true)
    Judge judge(UUID classId) {
        return new Judge(readiness(classId).readiness(), skill.now().skill(), today());
    }

    LocalDate today() {
        return LocalDate.now(clock);
    }
}
