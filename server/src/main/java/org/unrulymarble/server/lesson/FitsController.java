package org.unrulymarble.server.lesson;

import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.plan.BlockPlan;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.findings.Fits;
import org.unrulymarble.server.platform.NotFound;

/** What fits here and now: a class in a space, with the store's kit. */
@RestController
@RequestMapping("/api/fits")
class FitsController {

    private final LessonService lessons;

    FitsController(LessonService lessons) {
        this.lessons = lessons;
    }

    /**
     * A ladder in a list.
     *
     * @param best the easiest of the rungs that fit best, with what stands against it
     * @param fitting rungs that can be done by everybody, as they are or with a change
     */
    record FitLine(String ladderId, Fits.RungFit best, int fitting) {}

    /** @param startMin minute of the day, or none where it is open */
    @GetMapping
    List<FitLine> all(
            @RequestParam UUID classId,
            @RequestParam UUID spaceId,
            @RequestParam(defaultValue = "CLASS") Lesson.Audience audience,
            @RequestParam(required = false) Integer startMin) {
        Setting here = lessons.here(classId, spaceId);
        Fits.When when = new Fits.When(audience, startMin);
        return here.catalogue().all().stream()
                .map(ladder -> Fits.of(ladder, here, when))
                .map(f -> new FitLine(f.ladderId(), f.best(), f.fitting()))
                .toList();
    }

    /**
     * A ladder here.
     *
     * @param plans one for each rung, with what would be changed: its spots and who is at them
     */
    record LadderHere(Place place, List<Fits.RungFit> rungs, List<BlockPlan> plans) {}

    @GetMapping("/{ladderId}")
    LadderHere one(
            @PathVariable String ladderId,
            @RequestParam UUID classId,
            @RequestParam UUID spaceId,
            @RequestParam(defaultValue = "CLASS") Lesson.Audience audience,
            @RequestParam(required = false) Integer startMin) {
        Setting here = lessons.here(classId, spaceId);
        Ladder ladder = here.catalogue().ladder(ladderId).orElseThrow(NotFound::new);
        Fits fits = Fits.of(ladder, here, new Fits.When(audience, startMin));
        return new LadderHere(
                here.place(),
                fits.rungs(),
                fits.lessons().stream()
                        .map(l -> LessonPlan.of(l, here).blocks().get(0))
                        .toList());
    }
}
