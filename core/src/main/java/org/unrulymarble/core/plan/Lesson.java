package org.unrulymarble.core.plan;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.RestRule;

/**
 * What a teacher decides about a lesson's time and tasks.
 *
 * @param minutes until the bell, 1 to 240
 * @param audience the class together, or each pupil alone at home
 * @param transitionSec between two blocks
 */
public record Lesson(Integer minutes, Audience audience, RestRule restRule, Integer transitionSec, List<Block> blocks) {

    /** Whom a lesson is for. */
    public enum Audience {
        CLASS,
        EACH_AT_HOME
    }

    public Lesson {
        Checks checks = new Checks()
                .range("minutes", minutes, 1, 240)
                .required("audience", audience)
                .required("restRule", restRule)
                .seconds("transitionSec", transitionSec)
                .entries("blocks", blocks, 0, LessonClock.MAX_BLOCKS);
        checks.done();
        checks.distinct("blocks", blocks.stream().map(Block::id).toList()).done();
        blocks = List.copyOf(blocks);
    }
}
