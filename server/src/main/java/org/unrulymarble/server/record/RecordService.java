package org.unrulymarble.server.record;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.server.ladder.LadderService;

@Service
@Transactional
public class RecordService {

    private final AttemptRows rows;
    private final RemarkRows remarks;
    private final LadderService ladders;

    RecordService(AttemptRows rows, RemarkRows remarks, LadderService ladders) {
        this.rows = rows;
        this.remarks = remarks;
        this.ladders = ladders;
    }

    /** Puts what a run recorded in the place of what was recorded of it before; all or nothing. */
    public void ofRun(UUID runId, UUID classId, List<Attempt> attempts, List<PupilRemark> said) {
        rows.deleteOfRun(runId);
        remarks.deleteOfRun(runId);
        remarks.saveAll(said.stream().map(r -> new RemarkRow(classId, runId, r)).toList());
        rows.saveAll(
                attempts.stream().map(a -> new AttemptRow(classId, runId, a)).toList());
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
        List<Standings.Completed> completed = !ownRungs
                ? List.of()
                : challengesOf(rows.findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAsc(classId, ladderIds).stream()
                                .map(AttemptRow::attempt)
                                .toList())
                        .stream()
                        .filter(c -> c.completed() && c.modifiers().isEmpty())
                        .map(c -> new Standings.Completed(c.pupilId(), c.ladderId(), c.rungId()))
                        .toList();
        return new Standings(tries, completed);
    }

    /** What a class did on a ladder, without what a run has recorded. */
    @Transactional(readOnly = true)
    public List<Attempt> besides(UUID runId, UUID classId, String ladderId) {
        return rows.findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAsc(classId, List.of(ladderId)).stream()
                .filter(row -> !runId.equals(row.runId()))
                .map(AttemptRow::attempt)
                .toList();
    }

    /** Where a class stands on some ladders, without what a run has recorded. */
    @Transactional(readOnly = true)
    public List<Challenge> challengesBesides(UUID runId, UUID classId, Collection<String> ladderIds) {
        return ladderIds.isEmpty()
                ? List.of()
                : challengesOf(rows.findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAsc(classId, ladderIds).stream()
                        .filter(row -> !runId.equals(row.runId()))
                        .map(AttemptRow::attempt)
                        .toList());
    }

    @Transactional(readOnly = true)
    List<Attempt> attemptsOfClass(UUID classId) {
        return rows.findByClassIdOrderByOnDayAscSetNumberAsc(classId).stream()
                .map(AttemptRow::attempt)
                .toList();
    }

    @Transactional(readOnly = true)
    List<Attempt> attemptsOfPupil(UUID pupilId) {
        return rows.findByPupilIdOrderByOnDayAscSetNumberAsc(pupilId).stream()
                .map(AttemptRow::attempt)
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
