package org.unrulymarble.server.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.record.Advice;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.CueHelp;
import org.unrulymarble.core.record.LadderRecord;
import org.unrulymarble.core.record.OnLadder;
import org.unrulymarble.core.record.OverTime;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.record.Questions;
import org.unrulymarble.core.record.Ranked;
import org.unrulymarble.core.record.TriedShare;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Pupil;
import org.unrulymarble.server.store.PupilDetails;
import org.unrulymarble.server.store.SchoolClass;

/** The record as it is looked at: a class, a ladder of a class, a pupil, a pupil on a ladder. */
@Service
@Transactional(readOnly = true)
class RecordViews {

    private static final int SHOWN_FIRST = 20;

    private final LadderRecords kept;
    private final AttemptRows rows;
    private final RecordService records;
    private final AdviceService advice;
    private final ClassAccess access;
    private final LadderService ladders;

    RecordViews(
            LadderRecords kept,
            AttemptRows rows,
            RecordService records,
            AdviceService advice,
            ClassAccess access,
            LadderService ladders) {
        this.kept = kept;
        this.rows = rows;
        this.records = records;
        this.advice = advice;
        this.access = access;
        this.ladders = ladders;
    }

    record Row(UUID pupilId, String name) {}

    /**
     * @param ladderIds ladders that anybody in the class has tried, in the catalogue's order
     * @param onLadders each pupil on each ladder that they tried or were put on
     * @param firstDay null before the first attempt
     * @param lastAtSchool the last day with results that were not from home, or null
     */
    record ClassRecord(
            UUID classId,
            String className,
            List<Row> pupils,
            List<String> ladderIds,
            List<OnLadder> onLadders,
            List<Questions.Found> found,
            int rounds,
            @Nullable LocalDate firstDay,
            @Nullable LocalDate lastDay,
            @Nullable LocalDate lastAtSchool) {}

    /**
     * @param metGate whether this one round met its rung's gate
     * @param struck that it never was, as somebody said
     */
    record Tried(
            Attempt attempt, boolean metGate, boolean struck, List<String> jointWithNames, List<String> againstNames) {}

    /**
     * @param ladders each ladder that was tried or that the pupil was put on, in the catalogue's order
     * @param attempts the newest; {@code rounds} are all
     * @param days with a round; {@code completedRun} of the latest ones that each completed a challenge, without a gap
     */
    record PupilRecord(
            UUID pupilId,
            String name,
            PupilDetails details,
            UUID classId,
            String className,
            List<LadderRecord> ladders,
            List<Advice.Standing> standings,
            List<Tried> attempts,
            int rounds,
            int days,
            int completedRun,
            List<Correction> corrections,
            List<PupilRemark> remarks) {}

    /** One pupil on one ladder down to the single tries, oldest first. {@code overTime} of each rung that was tried. */
    record PupilOnLadder(Advice advice, List<OverTime> overTime, List<Tried> attempts) {}

    ClassRecord ofClass(UUID id) {
        SchoolClass c = access.see(id);
        List<OnLadder> all = kept.ofClass(id);
        List<String> pupilIds = pupilIds(c);
        Set<String> tried =
                all.stream().filter(r -> r.rounds() > 0).map(OnLadder::ladderId).collect(Collectors.toSet());
        List<String> ladderIds = inOrder(tried);
        return new ClassRecord(
                c.id(),
                c.name(),
                c.pupils().stream().map(p -> new Row(p.id(), p.name())).toList(),
                ladderIds,
                all.stream().map(OnLadder::withoutFound).toList(),
                Questions.of(pupilIds, ladderIds, all, advice.today()),
                all.stream().mapToInt(OnLadder::rounds).sum(),
                day(all, OnLadder::firstOn, Comparator.reverseOrder()),
                day(all, OnLadder::lastOn, Comparator.naturalOrder()),
                rows.lastAtSchool(id));
    }

    private static LocalDate day(
            List<OnLadder> all, java.util.function.Function<OnLadder, LocalDate> which, Comparator<LocalDate> most) {
        return all.stream().map(which).filter(Objects::nonNull).max(most).orElse(null);
    }

    private static List<String> pupilIds(SchoolClass c) {
        return c.pupils().stream().map(p -> p.id().toString()).toList();
    }

    private List<String> inOrder(Set<String> ladderIds) {
        return ladders.catalogue().known().stream()
                .map(Ladder::id)
                .filter(ladderIds::contains)
                .toList();
    }

    List<Ranked> ranked(UUID id, Ranked.By by) {
        return Ranked.of(pupilIds(access.see(id)), kept.ofClass(id), by);
    }

    /** Firsts, bests and lasts of every pupil of a class on one ladder. */
    List<Challenge> ofLadder(UUID classId, String ladderId) {
        access.see(classId);
        return kept.onLadder(classId, ladderId).stream()
                .flatMap(r -> r.challenges().stream())
                .toList();
    }

    /** What holds each rung of a ladder in this class. */
    List<AdviceService.RungStandard> standards(UUID classId, String ladderId) {
        access.see(classId);
        return advice.standards(classId, ladders.catalogue().ladder(ladderId).orElseThrow(NotFound::new));
    }

    /** How it went before and after each cue of a ladder that was called in this class. */
    List<CueHelp> cues(UUID classId, String ladderId) {
        access.see(classId);
        Ladder ladder = ladders.catalogue().ladder(ladderId).orElseThrow(NotFound::new);
        return CueHelp.of(
                rows
                        .findByClassIdAndLadderIdInAndStruckFalseOrderByOnDayAscSetNumberAscIdAsc(
                                classId, List.of(ladderId))
                        .stream()
                        .map(AttemptRow::attempt)
                        .toList(),
                records.remarksOfClass(classId, ladderId),
                ladder);
    }

    List<DayTaught> taught(UUID classId, LocalDate from, LocalDate to) {
        access.see(classId);
        return DayTaught.of(rows.findByClassIdAndStruckFalseAndOnDayBetween(classId, from, to).stream()
                .map(AttemptRow::attempt)
                .toList());
    }

    List<TriedShare> shares(UUID classId) {
        access.see(classId);
        return TriedShare.of(
                rows.triesOfClass(classId).stream()
                        .map(t -> new TriedShare.Sum(
                                t.getPupilId().toString(), t.getLadderId(), t.getRungId(), (int) t.getHits(), (int)
                                        t.getMisses()))
                        .toList(),
                kept.ofClass(classId),
                ladders.catalogue(),
                advice.judge(classId));
    }

    PupilRecord ofPupil(UUID id) {
        Pupil pupil = access.pupil(id);
        List<LadderRecord> all = kept.ofPupil(id);
        List<LocalDate> days = rows.daysOfPupil(id);
        Set<LocalDate> completedOn = all.stream()
                .flatMap(r -> r.challenges().stream())
                .map(Challenge::completedOn)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        List<String> order = inOrder(all.stream().map(LadderRecord::ladderId).collect(Collectors.toSet()));
        return new PupilRecord(
                pupil.id(),
                pupil.name(),
                pupil.details(),
                pupil.schoolClass().id(),
                pupil.schoolClass().name(),
                all.stream()
                        .sorted(Comparator.comparingInt(r -> order.indexOf(r.ladderId())))
                        .toList(),
                advice.said(id),
                tried(rows.page(id, 0, SHOWN_FIRST), pupil.schoolClass()),
                all.stream().mapToInt(LadderRecord::rounds).sum(),
                days.size(),
                Challenge.completedRun(days, completedOn),
                records.correctionsOfPupil(id),
                records.remarksOfPupil(id));
    }

    List<Tried> attempts(UUID pupilId, int from, int most) {
        Pupil pupil = access.pupil(pupilId);
        return tried(rows.page(pupilId, from, most), pupil.schoolClass());
    }

    PupilOnLadder ofPupilOnLadder(UUID pupilId, String ladderId) {
        Pupil pupil = access.pupil(pupilId);
        Ladder ladder = ladders.catalogue().ladder(ladderId).orElseThrow(NotFound::new);
        List<AttemptRow> mine = rows.findByPupilIdAndLadderIdOrderByOnDayAscSetNumberAscIdAsc(pupilId, ladderId);
        List<Attempt> counted =
                mine.stream().filter(r -> !r.struck()).map(AttemptRow::attempt).toList();
        Advice advised = Advice.of(
                pupilId.toString(),
                ladder,
                counted,
                advice.said(pupilId).stream()
                        .filter(s -> s.ladderId().equals(ladderId))
                        .toList(),
                records.remarksOfPupil(pupilId).stream()
                        .filter(r -> ladderId.equals(r.ladderId()))
                        .toList(),
                advice.judge(pupil.schoolClass().id()));
        return new PupilOnLadder(
                advised,
                ladder.rungs().stream()
                        .filter(r -> counted.stream().anyMatch(a -> a.rungId().equals(r.id())))
                        .map(r -> OverTime.of(r, counted))
                        .toList(),
                tried(mine, pupil.schoolClass()));
    }

    private List<Tried> tried(List<AttemptRow> mine, SchoolClass c) {
        Catalogue catalogue = ladders.catalogue();
        List<Tried> out = new ArrayList<>();
        for (AttemptRow row : mine) {
            Attempt a = row.attempt();
            boolean met = !row.struck()
                    && catalogue
                            .rung(a.ladderId(), a.rungId())
                            .map(r -> Challenge.met(r, a))
                            .orElse(false);
            List<String> against = a.detail() instanceof Detail.Played match ? match.against() : List.of();
            out.add(new Tried(a, met, row.struck(), names(c, a.jointWith()), names(c, against)));
        }
        return out;
    }

    private static List<String> names(SchoolClass c, List<String> pupilIds) {
        if (pupilIds.isEmpty()) return List.of();
        return c.everybody().stream()
                .filter(p -> pupilIds.contains(p.id().toString()))
                .map(Pupil::name)
                .toList();
    }
}
