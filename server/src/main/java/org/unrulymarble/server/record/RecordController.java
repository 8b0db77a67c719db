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
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.PupilRemark;
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
    private final ClassAccess access;
    private final LadderService ladders;

    RecordController(RecordService records, ClassAccess access, LadderService ladders) {
        this.records = records;
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
            int rounds,
            int days,
            LocalDate firstDay,
            LocalDate lastDay) {}

    /** @param metGate whether this one round met its rung's gate */
    record Tried(Attempt attempt, boolean metGate, List<String> jointWithNames) {}

    record PupilRecord(
            UUID pupilId,
            String name,
            PupilDetails details,
            UUID classId,
            String className,
            List<Challenge> challenges,
            List<Tried> attempts,
            List<PupilRemark> remarks) {}

    @GetMapping("/classes/{id}/record")
    ClassRecord ofClass(@PathVariable UUID id) {
        SchoolClass c = access.see(id);
        List<Attempt> attempts = records.attemptsOfClass(id);
        List<Challenge> challenges = records.challengesOf(attempts);
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
        List<Attempt> attempts = records.attemptsOfPupil(id);
        Catalogue catalogue = ladders.catalogue();
        List<Tried> tried = new ArrayList<>(attempts.stream()
                .map(a -> new Tried(
                        a,
                        catalogue
                                .rung(a.ladderId(), a.rungId())
                                .map(r -> Challenge.met(r, a))
                                .orElse(false),
                        names(pupil.schoolClass(), a.jointWith())))
                .toList());
        Collections.reverse(tried);
        return new PupilRecord(
                pupil.id(),
                pupil.name(),
                pupil.details(),
                pupil.schoolClass().id(),
                pupil.schoolClass().name(),
                records.challengesOf(attempts),
                tried,
                records.remarksOfPupil(id));
    }

    private static List<String> names(SchoolClass c, List<String> pupilIds) {
        return c.pupils().stream()
                .filter(p -> pupilIds.contains(p.id().toString()))
                .map(Pupil::name)
                .toList();
    }
}
