package org.unrulymarble.server.record;

import static java.time.temporal.ChronoUnit.DAYS;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.core.record.Watch;
import org.unrulymarble.core.run.What;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;
import org.unrulymarble.server.record.LadderRecordRow.Key;
import org.unrulymarble.server.store.Pupil;

@Service
@Transactional
public class RecordService {

    private final AttemptRows rows;
    private final RemarkRows remarks;
    private final CorrectionRows corrections;
    private final LadderRecords ladderRecords;
    private final AdviceService advice;
    private final Clock clock;
    private final LadderService ladders;

    RecordService(
            AttemptRows rows,
            RemarkRows remarks,
            CorrectionRows corrections,
            LadderRecords ladderRecords,
            AdviceService advice,
            LadderService ladders,
            Clock clock) {
        this.rows = rows;
        this.remarks = remarks;
        this.corrections = corrections;
        this.ladderRecords = ladderRecords;
        this.advice = advice;
        this.clock = clock;
        this.ladders = ladders;
    }

    /** Puts what a run recorded in the place of what was recorded of it before; all or nothing. */
    public void ofRun(UUID runId, UUID classId, List<Attempt> attempts, List<PupilRemark> said) {
        Set<Key> touched = new HashSet<>(rows.keysOfRun(runId));
        remarks.findByRunId(runId).forEach(r -> r.key().ifPresent(touched::add));
        rows.deleteOfRun(runId);
        remarks.deleteOfRun(runId);
        // Who was erased since the run has no page to record it on; who changed class since has it in the other one.
        Map<String, UUID> classOf = classesOf(Stream.concat(
                attempts.stream().map(Attempt::pupilId), said.stream().map(PupilRemark::pupilId)));
        List<RemarkRow> heard = said.stream()
                .filter(r -> classOf.containsKey(r.pupilId()))
                .map(r -> new RemarkRow(classOf.get(r.pupilId()), runId, r))
                .toList();
        remarks.saveAll(heard);
        heard.forEach(r -> r.key().ifPresent(touched::add));
        Instant now = clock.instant();
        List<AttemptRow> fresh = attempts.stream()
                .filter(a -> classOf.containsKey(a.pupilId()))
                .map(a -> new AttemptRow(classOf.get(a.pupilId()), runId, a, now))
                .toList();
        // What was corrected before stays corrected: the last correction of a round is the last word on it.
        Map<UUID, AttemptRow> byId = fresh.stream().collect(Collectors.toMap(AttemptRow::getId, r -> r));
        if (!byId.isEmpty())
            corrections
                    .findByAttemptIdInOrderByCorrectedAtAsc(byId.keySet())
                    .forEach(c -> c.applyTo(byId.get(c.attemptId())));
        rows.saveAll(fresh);
        touched.addAll(keys(fresh));
        rows.flush();
        Map<String, UUID> nowIn =
                classesOf(touched.stream().map(key -> key.pupilId().toString()));
        touched.stream()
                .collect(Collectors.groupingBy(
                        key -> nowIn.getOrDefault(key.pupilId().toString(), classId), Collectors.toSet()))
                .forEach(ladderRecords::changed);
    }

    /** In which class each of them is; those who were erased are absent. */
    private Map<String, UUID> classesOf(Stream<String> pupilIds) {
        Set<UUID> ids = pupilIds.map(UUID::fromString).collect(Collectors.toSet());
        return ids.isEmpty()
                ? Map.of()
                : rows.classesOf(ids).stream()
                        .collect(Collectors.toMap(p -> p.getPupilId().toString(), AttemptRows.InClass::getClassId));
    }

    private static Set<Key> keys(List<AttemptRow> attempts) {
        return attempts.stream().map(a -> new Key(a.pupilId(), a.ladderId())).collect(Collectors.toSet());
    }

    /** Puts a tally right and keeps what it was, by whom it was changed and why. */
    void correct(AttemptRow row, Correction.Wanted wanted) {
        Stale.unless(row.score(), wanted.seenScore() == null ? null : (long) wanted.seenScore());
        corrections.save(
                new CorrectionRow(row, wanted, clock.instant(), SignedIn.now().displayName()));
        row.correct(wanted.score(), wanted.hits(), wanted.misses(), wanted.strikes());
        ladderRecords.changed(row.classId(), keys(List.of(row)));
    }

    /** Says where a pupil stands; kept beside whatever was said before. */
    void say(Pupil pupil, String ladderId, String rungId, String reason) {
        advice.say(pupil, ladderId, rungId, reason);
        ladderRecords.changed(pupil.schoolClass().id(), Set.of(new Key(pupil.id(), ladderId)));
    }

    /** How a class decides who goes up. */
    AdviceService.ReadinessView decide(UUID classId, AdviceService.ReadinessView wanted) {
        AdviceService.ReadinessView set = advice.set(classId, wanted);
        ladderRecords.changed(classId);
        return set;
    }

    /** Somebody of the school saw it: it counts in full. */
    void confirm(AttemptRow row) {
        row.confirm();
        ladderRecords.changed(row.classId(), keys(List.of(row)));
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

    /** Adds attempts that belong to no run, in the place of those of these ids. */
    void replace(UUID classId, Set<UUID> before, List<Attempt> attempts) {
        Set<Key> touched = keys(rows.findAllById(before));
        rows.deleteThese(before);
        add(classId, attempts);
        ladderRecords.changed(classId, touched);
    }

    /** Adds attempts that belong to no run kept here. */
    public void add(UUID classId, List<Attempt> attempts) {
        add(classId, attempts, far -> {});
    }

    /** @param far told how many are in, again and again */
    void add(UUID classId, List<Attempt> attempts, IntConsumer far) {
        Instant now = clock.instant();
        List<AttemptRow> fresh = attempts.stream()
                .map(a -> new AttemptRow(classId, null, a, now))
                .toList();
        for (int from = 0; from < fresh.size(); from += ResultsOut.HELD) {
            int to = Math.min(fresh.size(), from + ResultsOut.HELD);
            rows.saveAllAndFlush(fresh.subList(from, to));
            far.accept(to);
        }
        ladderRecords.changed(classId, keys(fresh));
    }

    /** Those of some days on which a class has results. */
    @Transactional(readOnly = true)
    public Set<LocalDate> daysWithResults(UUID classId, Collection<LocalDate> days) {
        return rows.daysWithResults(classId, days);
    }

    /** On which days a class worked on which ladder, by how many pupils, and how much of what was counted went in. */
    @Transactional(readOnly = true)
    public List<NextLesson.Practised> practised(UUID classId) {
        return practised(rows.daysOfLadders(classId));
    }

    /** Days on which one pupil worked on each ladder. */
    @Transactional(readOnly = true)
    public List<NextLesson.Practised> practisedBy(UUID pupilId) {
        return practised(rows.daysOfOneOnLadders(pupilId));
    }

    private List<NextLesson.Practised> practised(List<AttemptRows.DayOfLadder> days) {
        LocalDate today = LocalDate.now(clock);
        return days.stream()
                .filter(d -> !d.getOnDay().isAfter(today))
                .map(d -> new NextLesson.Practised(
                        d.getLadderId(), (int) DAYS.between(d.getOnDay(), today), (int) d.getPupils(), share(d)))
                .toList();
    }

    private static Double share(AttemptRows.DayOfLadder day) {
        if (day.getHits() == null || day.getMisses() == null || day.getHits() + day.getMisses() == 0) return null;
        return (double) day.getHits() / (day.getHits() + day.getMisses());
    }

    /** Where a class stands on some ladders and what its pupils can do there, as a plan needs it. */
    @Transactional(readOnly = true)
    public Standings standings(UUID classId, Collection<String> ladderIds) {
        if (ladderIds.isEmpty()) return Standings.NONE;
        return new Standings(
                advice.judge(classId),
                ladderRecords.standing(classId, ladderIds).stream()
                        .map(Standings.Able::of)
                        .toList(),
                remarks
                        .findByClassIdAndLadderIdInAndKindOrderByOnDayAscIdAsc(
                                classId, ladderIds, What.Remarked.Kind.CHOSE)
                        .stream()
                        .map(RemarkRow::remark)
                        .toList());
    }

    /**
     * Whom to watch in a block.
     *
     * @param rungOf which rung each pupil works on
     * @param roundSec seconds of all the rounds of one side
     */
    @Transactional(readOnly = true)
    public List<Watch> watch(UUID classId, Ladder ladder, Map<String, String> rungOf, int roundSec) {
        return Watch.of(
                ladder, rungOf, ladderRecords.standing(classId, List.of(ladder.id())), roundSec, advice.judge(classId));
    }

    /** What a class did on a ladder, without what a run has recorded. */
    @Transactional(readOnly = true)
    public List<Attempt> besides(UUID runId, UUID classId, String ladderId) {
        return rows.findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAscIdAsc(classId, List.of(ladderId)).stream()
                .filter(row -> !row.struck() && !runId.equals(row.runId()))
                .map(AttemptRow::attempt)
                .toList();
    }

    /** Where a class stands on some ladders, without what a run has recorded. */
    @Transactional(readOnly = true)
    public List<Challenge> challengesBesides(UUID runId, UUID classId, Collection<String> ladderIds) {
        return ladderIds.isEmpty()
                ? List.of()
                : Challenge.of(
                        rows.findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAscIdAsc(classId, ladderIds).stream()
                                .filter(row -> !row.struck() && !runId.equals(row.runId()))
                                .map(AttemptRow::attempt)
                                .toList(),
                        ladders.catalogue());
    }

    @Transactional(readOnly = true)
    List<PupilRemark> remarksOfClass(UUID classId, String ladderId) {
        return remarks.findByClassIdAndLadderIdOrderByOnDayAscIdAsc(classId, ladderId).stream()
                .map(RemarkRow::remark)
                .toList();
    }

    @Transactional(readOnly = true)
    List<PupilRemark> remarksOfPupil(UUID pupilId) {
        return remarks.findByPupilIdOrderByOnDayAsc(pupilId).stream()
                .map(RemarkRow::remark)
                // A cue called to all is no remark on this one.
                .filter(r -> r.kind() != What.Remarked.Kind.CALLED)
                .toList();
    }
}
