package org.unrulymarble.server.lesson;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
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
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.server.account.SignedIn;

@RestController
@RequestMapping("/api/lessons")
class LessonController {

    private final LessonService lessons;

    LessonController(LessonService lessons) {
        this.lessons = lessons;
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
            Space space,
            String name,
            LocalDate onDay,
            boolean mayChange,
            Lesson lesson,
            LessonPlan plan) {}

    /** A lesson in a list. */
    record LessonLine(
            UUID id,
            UUID classId,
            String className,
            String spaceName,
            String name,
            LocalDate onDay,
            int minutes,
            int blocks) {}

    @GetMapping
    List<LessonLine> all(@RequestParam(required = false) UUID classId) {
        return lessons.all(classId).stream()
                .map(k -> new LessonLine(
                        k.id(),
                        k.roster().classId(),
                        k.roster().className(),
                        k.space().name(),
                        k.name(),
                        k.onDay(),
                        k.lesson().minutes(),
                        k.lesson().blocks().size()))
                .toList();
    }

    @GetMapping("/{id}")
    LessonView one(@PathVariable UUID id) {
        return view(lessons.see(id));
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

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        lessons.remove(id);
    }

    private LessonView view(LessonService.Known k) {
        return new LessonView(
                k.id(),
                k.version(),
                k.roster().classId(),
                k.roster().className(),
                k.roster().pupils().size(),
                k.space().id(),
                k.space().name(),
                k.space().size(),
                k.name(),
                k.onDay(),
                SignedIn.now().teaches(),
                k.lesson(),
                lessons.plan(k));
    }
}
