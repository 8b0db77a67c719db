package org.unrulymarble.server.marks;

import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.place.Spots;

@RestController
@RequestMapping("/api/reckon")
class ReckonController {

    /** The clock's figures; its segments, which can be many thousands, belong to a run's script. */
    record ClockAnswer(
            long totalSec, long activeSecPerPupil, double activeShare, List<LessonClock.BlockClock> blocks) {}

    @PostMapping("/clock")
    ClockAnswer clock(@RequestBody LessonClock.ClockAsk ask) {
        LessonClock clock = LessonClock.of(ask);
        return new ClockAnswer(clock.totalSec(), clock.activeSecPerPupil(), clock.activeShare(), clock.blocks());
    }

    @PostMapping("/spots")
    Spots spots(@RequestBody Spots.SpotsAsk ask) {
        return Spots.of(ask);
    }
}
