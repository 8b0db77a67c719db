package org.unrulymarble.server.lesson;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.plan.Gather;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.StationLayout;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.findings.Alternative;
import org.unrulymarble.core.plan.findings.Finding;
import org.unrulymarble.core.plan.findings.Findings;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.core.rehearse.Rehearsal;

@RestController
@RequestMapping("/api/lessons")
class LessonController {

    private final LessonService lessons;
    private final LessonProposals proposals;

    LessonController(LessonService lessons, LessonProposals proposals) {
        this.lessons = lessons;
        this.proposals = proposals;
    }

    /** A lesson and all that the core worked out for it. */
    record LessonView(
            UUID id,
            long version,
            UUID classId,
            String className,
            int pupils,
            UUID spaceId,
            String spaceName,
            Place place,
            List<PlanWho> who,
            String name,
            LocalDate onDay,
            boolean mayChange,
            Lesson lesson,
            LessonPlan plan,
            List<Finding> findings,
            Gather gather) {}

    /** A pupil as the plan names one. */
    record PlanWho(UUID id, String name) {}

    /** @param finding id of the finding whose mend was pressed */
    record MendPressed(Long version, String finding) {
        MendPressed {
            new Checks()
                    .required("version", version)
                    .text("finding", finding, 160)
                    .done();
        }
    }

    /**
     * @param lesson as it stands on the page, saved or not
     * @param edits one after the other, 1 to 50
     */
    record Edited(Lesson lesson, List<Edit> edits) {
        Edited {
            new Checks()
                    .required("lesson", lesson)
                    .entries("edits", edits, 1, 50)
                    .done();
        }
    }

    /**
     * A lesson in a list.
     *
     * @param startMin minutes after midnight when it begins, or null
     * @param taughtOn the last day on which it was run and recorded, or null
     * @param afterNote what to remember of it, or null
     */
    record LessonLine(
            UUID id,
            UUID classId,
            String className,
            String spaceName,
            String name,
            LocalDate onDay,
            @Nullable Integer startMin,
            int minutes,
            int blocks,
            Lesson.Audience audience,
            @Nullable LocalDate taughtOn,
            @Nullable String afterNote) {}

    @GetMapping
    List<LessonLine> all(@RequestParam(required = false) UUID classId) {
        return lines(lessons.all(classId));
    }

    /** Those that others handed to the asker for today. */
    @GetMapping("/handed")
    List<LessonLine> handed() {
        return lines(lessons.handed());
    }

    private List<LessonLine> lines(List<LessonService.Listed> all) {
        Map<UUID, LocalDate> taughtOn = lessons.taughtOn(all);
        return all.stream()
                .map(k -> new LessonLine(
                        k.id(),
                        k.roster().classId(),
                        k.roster().className(),
                        k.space().name(),
                        k.name(),
                        k.onDay(),
                        k.head().startMin(),
                        k.head().minutes(),
                        k.head().tasks(),
                        k.head().audience(),
                        taughtOn.get(k.id()),
                        k.head().afterNote()))
                .toList();
    }

    @GetMapping("/{id}")
    LessonView one(@PathVariable UUID id) {
        return view(lessons.ready(id));
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    LessonView create(@RequestBody LessonDoc doc) {
        return view(lessons.create(doc));
    }

    @PutMapping("/{id}")
    LessonView change(@PathVariable UUID id, @RequestBody LessonDoc doc) {
        return view(lessons.change(id, doc));
    }

    /** The lesson after one press; the page saves it like any other change, so that one undo takes it back. */
    @PostMapping("/{id}/mended")
    Lesson mended(@PathVariable UUID id, @RequestBody MendPressed pressed) {
        return lessons.mended(id, pressed.version(), pressed.finding());
    }

    /** The lesson as it would be after some edits; the page saves it like any other change. */
    @PostMapping("/{id}/edited")
    Lesson edited(@PathVariable UUID id, @RequestBody Edited asked) {
        return lessons.edited(id, asked.lesson(), asked.edits());
    }

    /**
     * @param lesson as it stands on the page, saved or not: its blocks are not looked at
     * @param soon true for a good one at once, without proof of how good it is
     */
    record Proposed(
            Lesson lesson,
            NextLesson.Wishes wanted,
            @Nullable Boolean soon) {
        Proposed {
            soon = soon != null && soon;
            new Checks().required("lesson", lesson).required("wanted", wanted).done();
        }
    }

    /** A lesson for this class, room and time, with its reasons; nothing is saved. */
    @PostMapping("/{id}/proposed")
    NextLesson proposed(@PathVariable UUID id, @RequestBody Proposed asked) {
        return proposals.propose(id, asked.lesson(), asked.wanted(), asked.soon());
    }

    /**
     * @param lesson as it stands on the page, saved or not
     * @param blockId the task that may go
     * @param alone true for only what one pupil does without a partner
     */
    record InsteadAsked(
            Lesson lesson, String blockId, @Nullable Boolean alone) {
        InsteadAsked {
            new Checks().required("lesson", lesson).text("blockId", blockId, 60).done();
        }
    }

    /** What could take a task's place, each with what that would change; nothing is saved. */
    @PostMapping("/{id}/instead")
    List<Alternative> instead(@PathVariable UUID id, @RequestBody InsteadAsked asked) {
        return Alternative.to(
                asked.blockId(),
                asked.lesson(),
                lessons.forProposal(id, asked.lesson()).setting(),
                asked.alone() != null && asked.alone());
    }

    /** @param lesson as it stands on the page, saved or not */
    record Rehearsed(Lesson lesson) {
        Rehearsed {
            new Checks().required("lesson", lesson).done();
        }
    }

    /** The lesson played a thousand times with this class: what is likely to come of it; nothing is kept. */
    @PostMapping("/{id}/rehearsed")
    Rehearsal rehearsed(@PathVariable UUID id, @RequestBody Rehearsed asked) {
        return proposals.rehearse(id, asked.lesson());
    }

    /** @param lesson as it stands on the page, saved or not */
    record LaidAsked(Lesson lesson, String circuitId) {
        LaidAsked {
            new Checks()
                    .required("lesson", lesson)
                    .text("circuitId", circuitId, 60)
                    .done();
        }
    }

    /** A circuit's stations where they lie best, or the proof that they do already; nothing is saved. */
    @PostMapping("/{id}/laid")
    StationLayout laid(@PathVariable UUID id, @RequestBody LaidAsked asked) {
        return proposals.lay(id, asked.lesson(), asked.circuitId());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        lessons.remove(id);
    }

    /** Takes a deletion back, for 30 days. */
    @PostMapping("/{id}/back")
    LessonLine back(@PathVariable UUID id) {
        return lines(List.of(lessons.bringBack(id))).get(0);
    }

    @PostMapping("/{id}/copies")
    @ResponseStatus(HttpStatus.CREATED)
    List<LessonLine> copy(@PathVariable UUID id, @RequestBody LessonService.Copies wanted) {
        return lines(lessons.copy(id, wanted));
    }

    @PostMapping("/{id}/shifted")
    List<LessonLine> shift(@PathVariable UUID id, @RequestBody LessonService.Shift wanted) {
        return lines(lessons.shift(id, wanted));
    }

    private static LessonView view(LessonService.Ready ready) {
        LessonService.Known k = ready.known();
        Setting setting = ready.setting();
        Findings checked = Findings.of(k.lesson(), setting, ready.placed());
        return new LessonView(
                k.id(),
                k.version(),
                k.roster().classId(),
                k.roster().className(),
                k.roster().pupils().size(),
                k.space().id(),
                k.space().name(),
                k.space().place(),
                k.roster().pupils().stream()
                        .map(p -> new PlanWho(p.pupilId(), p.name()))
                        .toList(),
                k.name(),
                k.onDay(),
                k.mayChange(),
                k.lesson(),
                checked.plan(),
                checked.findings(),
                Gather.of(ready.placed(), setting));
    }
}
