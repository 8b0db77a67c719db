package org.unrulymarble.server.record;

import java.time.Clock;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.record.Advice;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;

@Service
@Transactional
public class RecordService {

    private final AttemptRows rows;
    private final RemarkRows remarks;
    private final CorrectionRows corrections;
    private final AdviceService advice;
    private final Clock clock;
    private final LadderService ladders;

    RecordService(
            AttemptRows rows,
            RemarkRows remarks,
            CorrectionRows corrections,
            AdviceService advice,
            LadderService ladders,
            Clock clock) {
        this.rows = rows;
        this.remarks = remarks;
        this.corrections = corrections;
        this.advice = advice;
        this.clock = clock;
        this.ladders = ladders;
    }

    /** Puts what a run recorded in the place of what was recorded of it before; all or nothing. */
    public void ofRun(UUID runId, UUID classId, List<Attempt> attempts, List<PupilRemark> said) {
        rows.deleteOfRun(runId);
        remarks.deleteOfRun(runId);
        remarks.saveAll(said.stream().map(r -> new RemarkRow(classId, runId, r)).toList());
        List<AttemptRow> fresh =
                attempts.stream().map(a -> new AttemptRow(classId, runId, a)).toList();
        // What was corrected before stays corrected: the last correction of a round is the last word on it.
        Map<UUID, AttemptRow> byId = fresh.stream().collect(Collectors.toMap(AttemptRow::getId, r -> r));
        if (!byId.isEmpty())
            corrections
                    .findByAttemptIdInOrderByCorrectedAtAsc(byId.keySet())
                    .forEach(c -> c.applyTo(byId.get(c.attemptId())));
        rows.saveAll(fresh);
    }

    /** Puts a tally right and keeps what it was, by whom it was changed and why. */
    void correct(AttemptRow row, Correction.Wanted wanted) {
        Stale.unless(row.score(), wanted.seenScore() == null ? null : (long) wanted.seenScore());
        corrections.save(
                new CorrectionRow(row, wanted, clock.instant(), SignedIn.now().displayName()));
        row.correct(wanted.score(), wanted.hits(), wanted.misses(), wanted.strikes());
    }

    /** @throws NotFound for none such */
    AttemptRow row(UUID attemptId) {
        return rows.findById(attemptId).orElseThrow(NotFound::new);
    }

    @Transactional(readOnly = true)
    List<Correction> correctionsOfPupil(UUID pupilId) {
        return corrections.findByPupilIdOrderByCorrectedAtAsc(pupilId).stream()
                .map(CorrectionRow::told)
                .toList();
    }

    /** Adds attempts that belong to no run kept here. */
    public void add(UUID classId, List<Attempt> attempts) {
        rows.saveAll(
                attempts.stream().map(a -> new AttemptRow(classId, null, a)).toList());
    }

    /** Where a class stands on some ladders, as a plan needs it. */
    @Transactional(readOnly = true)
    public Standings standings(UUID classId, Collection<String> ladderIds, boolean ownRungs) {
        if (ladderIds.isEmpty()) return Standings.NONE;
        List<Standings.Tries> tries = rows.tries(classId, ladderIds).stream()
                .map(t -> new Standings.Tries(
                        t.getPupilId().toString(), t.getLadderId(), t.getRungId(), (int) t.getHits(), (int)
                                t.getMisses()))
                .toList();
        if (!ownRungs) return new Standings(tries, List.of());
        List<Attempt> attempts = rows.findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAsc(classId, ladderIds).stream()
                .filter(row -> !row.struck())
                .map(AttemptRow::attempt)
                .toList();
        Set<String> pupilIds = new LinkedHashSet<>();
        attempts.forEach(a -> pupilIds.add(a.pupilId()));
        List<Advice.Standing> said = advice.saidInClass(classId);
        said.forEach(w -> pupilIds.add(w.pupilId()));
        List<Standings.Own> own =
                advice
                        .advise(
                                pupilIds,
                                attempts,
                                said,
                                List.of(),
                                advice.readiness(classId).readiness())
                        .stream()
                        .map(a -> new Standings.Own(a.pupilId(), a.ladderId(), a.rungId()))
                        .toList();
        return new Standings(tries, own, List.of());
    }

    /** What a class did on a ladder, without what a run has recorded. */
    @Transactional(readOnly = true)
    public List<Attempt> besides(UUID runId, UUID classId, String ladderId) {
        return rows.findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAsc(classId, List.of(ladderId)).stream()
                .filter(row -> !row.struck() && !runId.equals(row.runId()))
                .map(AttemptRow::attempt)
                .toList();
    }

    /** Where a class stands on some ladders, without what a run has recorded. */
    @Transactional(readOnly = true)
    public List<Challenge> challengesBesides(UUID runId, UUID classId, Collection<String> ladderIds) {
        return ladderIds.isEmpty()
                ? List.of()
                : challengesOf(rows.findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAsc(classId, ladderIds).stream()
                        .filter(row -> !row.struck() && !runId.equals(row.runId()))
                        .map(AttemptRow::attempt)
                        .toList());
    }

    @Transactional(readOnly = true)
    List<Attempt> attemptsOfClass(UUID classId) {
        return rows.findByClassIdOrderByOnDayAscSetNumberAsc(classId).stream()
                .filter(row -> !row.struck())
                .map(AttemptRow::attempt)
                .toList();
    }

    /** Also what was struck out: it is shown, and counts for nothing. */
    @Transactional(readOnly = true)
    List<AttemptRow> rowsOfPupil(UUID pupilId) {
        return rows.findByPupilIdOrderByOnDayAscSetNumberAsc(pupilId);
    }

    @Transactional(readOnly = true)
    List<PupilRemark> remarksOfClass(UUID classId) {
        return remarks.findByClassIdOrderByOnDayAsc(classId).stream()
                .map(RemarkRow::remark)
                .toList();
    }

    @Transactional(readOnly = true)
    List<PupilRemark> remarksOfPupil(UUID pupilId) {
        return remarks.findByPupilIdOrderByOnDayAsc(pupilId).stream()
                .map(RemarkRow::remark)
                .toList();
    }

    List<Challenge> challengesOf(List<Attempt> attempts) {
        return Challenge.of(attempts, ladders.catalogue());
    }
}
