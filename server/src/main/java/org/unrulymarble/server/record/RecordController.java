package org.unrulymarble.server.record;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.record.CueHelp;
import org.unrulymarble.core.record.Ranked;
import org.unrulymarble.core.record.TriedShare;
import org.unrulymarble.core.skill.LearntSkill;
import org.unrulymarble.core.skill.SkillFigures;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.store.ClassAccess;

/** What the record says. Each look first brings up to date what has changed since the last one. */
@RestController
@RequestMapping("/api")
class RecordController {

    private static final int MOST_AT_ONCE = 500;
    private static final int MOST_AGAIN = 3;

    private final RecordViews views;
    private final LadderRecords kept;
    private final SkillService skill;
    private final ClassAccess access;
    private final Audit audit;

    RecordController(RecordViews views, LadderRecords kept, SkillService skill, ClassAccess access, Audit audit) {
        this.audit = audit;
        this.views = views;
        this.kept = kept;
        this.skill = skill;
        this.access = access;
    }

    @GetMapping("/classes/{id}/record")
    RecordViews.ClassRecord ofClass(@PathVariable UUID id) {
        upToDate(id);
        return views.ofClass(id);
    }

    /** Firsts, bests and lasts of a whole class on one ladder. */
    @GetMapping("/classes/{id}/ladders/{ladderId}/record")
    List<Challenge> ofLadder(@PathVariable UUID id, @PathVariable String ladderId) {
        upToDate(id);
        return views.ofLadder(id, ladderId);
    }

    /** What share of tries holds each rung of a ladder in this class. */
    @GetMapping("/classes/{id}/ladders/{ladderId}/standards")
    List<AdviceService.RungStandard> standards(@PathVariable UUID id, @PathVariable String ladderId) {
        return views.standards(id, ladderId);
    }

    /** How it went before and after each cue of a ladder that was called in this class. */
    @GetMapping("/classes/{id}/ladders/{ladderId}/cues")
    List<CueHelp> cues(@PathVariable UUID id, @PathVariable String ladderId) {
        return views.cues(id, ladderId);
    }

    /** The class in order; nothing else shows one. */
    @GetMapping("/classes/{id}/ranking")
    List<Ranked> ranking(@PathVariable UUID id, @RequestParam(defaultValue = "GAIN") Ranked.By by) {
        upToDate(id);
        return views.ranked(id, by);
    }

    /** What was taught when, both days included. */
    @GetMapping("/classes/{id}/taught")
    List<DayTaught> taught(@PathVariable UUID id, @RequestParam LocalDate from, @RequestParam LocalDate to) {
        new Checks()
                .that(!to.isBefore(from), "to", Fault.Rule.RANGE, from, "later")
                .done();
        access.teach(id);
        return views.taught(id, from, to);
    }

    /**
     * By what abilities are read.
     *
     * @param afterALesson what a lesson of practice makes of a share of a half; {@code onAGoodDay} what a good day does
     * @param rungs those that were found furthest from what the house thinks
     * @param learntMs when it was learnt, or null while the house's own figures hold
     */
    record SkillView(
            int version,
            SkillFigures figures,
            double afterALesson,
            double onAGoodDay,
            long tries,
            int pupils,
            @Nullable Long learntMs,
            List<LearntRung> rungs) {
        static SkillView of(SkillService.Learnt l) {
            return new SkillView(
                    l.skill().version(),
                    l.skill().figures(),
                    l.skill().figures().afterALesson(),
                    l.skill().figures().onAGoodDay(),
                    l.skill().tries(),
                    l.skill().pupils(),
                    l.at() == null ? null : (Long) l.at().toEpochMilli(),
                    LearntRung.most(l.skill()));
        }
    }

    /** @param harder by how much it is harder than the house thinks, logits; below 0 easier */
    record LearntRung(String ladderId, String rungId, double harder) {

        private static final int SHOWN = 10;

        static List<LearntRung> most(LearntSkill skill) {
            return skill.harder().entrySet().stream()
                    .sorted(Comparator.comparingDouble((Map.Entry<String, Double> e) -> -Math.abs(e.getValue()))
                            .thenComparing(Map.Entry::getKey))
                    .limit(SHOWN)
                    .map(e -> {
                        String[] key = e.getKey().split("/", 2);
                        return new LearntRung(key[0], key[1], e.getValue());
                    })
                    .toList();
        }
    }

    @GetMapping("/skill")
    SkillView skill() {
        return SkillView.of(skill.now());
    }

    /** Learns from all records now; else it is done by night. */
    @PostMapping("/skill/learn")
    SkillView learn() {
        SignedIn.onlyAdministrators();
        return SkillView.of(skill.learn());
    }

    /** How often each pupil's tries go in today, rung by rung of those that were tried. */
    @GetMapping("/classes/{id}/shares")
    List<TriedShare> shares(@PathVariable UUID id) {
        upToDate(id);
        return views.shares(id);
    }

    @GetMapping("/pupils/{id}/record")
    RecordViews.PupilRecord ofPupil(@PathVariable UUID id) {
        upToDate(looked(id));
        return views.ofPupil(id);
    }

    /** Newest first, from the {@code from}-th on. */
    @GetMapping("/pupils/{id}/attempts")
    List<RecordViews.Tried> attempts(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(defaultValue = "100") int most) {
        new Checks()
                .range("from", from, 0, 1_000_000)
                .range("most", most, 1, MOST_AT_ONCE)
                .done();
        access.teach(looked(id));
        return views.attempts(id, from, most);
    }

    /** One ladder of a pupil, down to the single tries. */
    @GetMapping("/pupils/{id}/ladders/{ladderId}/record")
    RecordViews.PupilOnLadder ofPupilOnLadder(@PathVariable UUID id, @PathVariable String ladderId) {
        access.teach(looked(id));
        return views.ofPupilOnLadder(id, ladderId);
    }

    /** The class of a pupil who is looked at, which is told in the audit. */
    private UUID looked(UUID pupilId) {
        UUID classId = access.classOf(pupilId);
        access.teach(classId);
        audit.look(SignedIn.now().accountId(), Audit.Kind.PUPIL_LOOKED_AT, pupilId);
        return classId;
    }

    /** In a transaction of its own, and only for those who teach the class: a helper sees no record. */
    private void upToDate(UUID classId) {
        access.teach(classId);
        for (int again = 0; ; again++)
            try {
                kept.bringUpToDate(classId);
                return;
            } catch (ConcurrencyFailureException e) {
                // A lesson was being recorded at the same moment; its results are to be in the answer.
                if (again == MOST_AGAIN) throw e;
            }
    }
}
