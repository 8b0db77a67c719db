package org.unrulymarble.server.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.record.Advice;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.record.Questions;
import org.unrulymarble.core.record.SideAdvice;
import org.unrulymarble.core.record.TriedShare;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Pupil;
import org.unrulymarble.server.store.PupilDetails;
import org.unrulymarble.server.store.SchoolClass;

@RestController
@RequestMapping("/api")
@Transactional(readOnly = true)
class RecordController {

    private final RecordService records;
    private final AdviceService advice;
    private final ClassAccess access;
    private final LadderService ladders;

    RecordController(RecordService records, AdviceService advice, ClassAccess access, LadderService ladders) {
        this.records = records;
        this.advice = advice;
        this.access = access;
        this.ladders = ladders;
    }

    record Row(UUID pupilId, String name) {}

    /**
     * @param ladderIds ladders that anybody in the class has tried, in the catalogue's order
     * @param firstDay null before the first attempt
     */
    record ClassRecord(
            UUID classId,
            String className,
            List<Row> pupils,
            List<String> ladderIds,
            List<Challenge> challenges,
            List<Advice> advice,
            List<Questions.Found> found,
            List<DayTaught> taught,
            int rounds,
            int days,
            LocalDate firstDay,
            LocalDate lastDay) {}

    /** A class is shown verdicts; a pupil's page opens each to its tries. */
    private static Advice brief(Advice a) {
        return new Advice(
                a.pupilId(),
                a.ladderId(),
                a.rungId(),
                a.stands(),
                a.verdict(),
                a.bySchool(),
                a.sides().stream().map(SideAdvice::withoutEvidence).toList(),
                a.nextRungId(),
                a.rungBelowId(),
                a.evidenceWanted());
    }

    /**
     * @param metGate whether this one round met its rung's gate
     * @param struck that it never was, as somebody said
     */
    record Tried(Attempt attempt, boolean metGate, boolean struck, List<String> jointWithNames) {}

    record PupilRecord(
            UUID pupilId,
            String name,
            PupilDetails details,
            UUID classId,
            String className,
            List<Challenge> challenges,
            List<Advice> advice,
            List<Advice.Standing> standings,
            List<Tried> attempts,
            List<Correction> corrections,
            List<PupilRemark> remarks) {}

    @GetMapping("/classes/{id}/record")
    ClassRecord ofClass(@PathVariable UUID id) {
        SchoolClass c = access.see(id);
        List<Attempt> attempts = records.attemptsOfClass(id);
        List<Challenge> challenges = records.challengesOf(attempts);
        List<String> pupilIds = c.pupils().stream().map(p -> p.id().toString()).toList();
        List<Advice> advised = advice.advise(
                pupilIds,
                attempts,
                advice.saidInClass(id),
                records.remarksOfClass(id),
                advice.readiness(id).readiness());
        Optional<LocalDate> first = attempts.stream().map(Attempt::on).min(Comparator.naturalOrder());
        Optional<LocalDate> last = attempts.stream().map(Attempt::on).max(Comparator.naturalOrder());
        return new ClassRecord(
                c.id(),
                c.name(),
                c.pupils().stream().map(p -> new Row(p.id(), p.name())).toList(),
                ladders.catalogue().known().stream()
                        .map(l -> l.id())
                        .filter(l ->
                                challenges.stream().anyMatch(ch -> ch.ladderId().equals(l)))
                        .toList(),
                challenges,
                advised.stream().map(RecordController::brief).toList(),
                Questions.of(pupilIds, attempts, advised, ladders.catalogue(), advice.today()),
                DayTaught.of(attempts),
                attempts.size(),
                (int) attempts.stream().map(Attempt::on).distinct().count(),
                first.orElse(null),
                last.orElse(null));
    }

    /** How often each pupil's counted tries went in, rung by rung. */
    @GetMapping("/classes/{id}/shares")
    List<TriedShare> shares(@PathVariable UUID id) {
        return TriedShare.of(records.attemptsOfClass(access.see(id).id()));
    }

    @GetMapping("/pupils/{id}/record")
    PupilRecord ofPupil(@PathVariable UUID id) {
        Pupil pupil = access.pupil(id);
        List<AttemptRow> rows = records.rowsOfPupil(id);
        List<Attempt> attempts =
                rows.stream().filter(r -> !r.struck()).map(AttemptRow::attempt).toList();
        Catalogue catalogue = ladders.catalogue();
        List<Tried> tried = new ArrayList<>(
                rows.stream().map(r -> tried(r, catalogue, pupil.schoolClass())).toList());
        Collections.reverse(tried);
        List<Advice.Standing> said = advice.said(id);
        List<PupilRemark> remarks = records.remarksOfPupil(id);
        return new PupilRecord(
                pupil.id(),
                pupil.name(),
                pupil.details(),
                pupil.schoolClass().id(),
                pupil.schoolClass().name(),
                records.challengesOf(attempts),
                advice.advise(
                        List.of(id.toString()),
                        attempts,
                        said,
                        remarks,
                        advice.readiness(pupil.schoolClass().id()).readiness()),
                said,
                tried,
                records.correctionsOfPupil(id),
                remarks);
    }

    private static Tried tried(AttemptRow row, Catalogue catalogue, SchoolClass c) {
        Attempt a = row.attempt();
        return new Tried(
                a,
                !row.struck()
                        && catalogue
                                .rung(a.ladderId(), a.rungId())
                                .map(r -> Challenge.met(r, a))
                                .orElse(false),
                row.struck(),
                names(c, a.jointWith()));
    }

    private static List<String> names(SchoolClass c, List<String> pupilIds) {
        return c.pupils().stream()
                .filter(p -> pupilIds.contains(p.id().toString()))
                .map(Pupil::name)
                .toList();
    }
}
