package org.unrulymarble.core.plan;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.RestRule;

/**
 * What a teacher decides about a lesson's time and tasks.
 *
 * @param minutes until the bell, 1 to 240
 * @param transitionSec between two blocks
 */
public record Lesson(Integer minutes, RestRule restRule, Integer transitionSec, List<Block> blocks) {
    public Lesson {
        Checks checks = new Checks()
                .range("minutes", minutes, 1, 240)
                .required("restRule", restRule)
                .seconds("transitionSec", transitionSec)
                .entries("blocks", blocks, 0, LessonClock.MAX_BLOCKS);
        checks.done();
        checks.distinct("blocks", blocks.stream().map(Block::id).toList()).done();
        blocks = List.copyOf(blocks);
    }
}
