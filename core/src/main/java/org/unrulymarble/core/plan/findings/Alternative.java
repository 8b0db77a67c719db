package org.unrulymarble.core.plan.findings;

import java.util.List;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonTimes;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.Setting;

/**
 * A task that could take another's place in a lesson, and what that would change.
 *
 * @param alone whether one pupil does it without a partner: nobody feeds, nobody counts
 * @param atOnce how many work at the same time
 * @param turns rounds until everybody has worked once
 * @param totalSec the lesson's length with it
 * @param movingShare of the lesson that each pupil would move, 0 to 1
 */
public record Alternative(
        String ladderId, String rungId, boolean alone, int atOnce, int turns, long totalSec, double movingShare) {

    /** So many are read without scrolling for long. */
    private static final int MOST = 8;

    /**
     * The likest first, each sound in this room with this class and kit.
     *
     * @param alone whether only such are wanted that are done alone
     * @throws Refused naming {@code blockId} where it is no task of the lesson
     */
    public static List<Alternative> to(String blockId, Lesson lesson, Setting setting, boolean alone) {
        View view = View.of(lesson, setting);
        Placed now = view.tasks().stream()
                .filter(p -> p.block().id().equals(blockId))
                .findFirst()
                .orElseThrow(() -> new Refused("blockId", Fault.Rule.UNKNOWN, blockId));
        return view.kin(now).stream()
                .filter(kin -> !alone || kin.ladder().perSpot() == 1)
                .filter(kin -> view.soundOnce(now, kin, () -> kin.sound(view, now)))
                .limit(MOST)
                .map(kin -> of(kin, kin.into(blockId).on(lesson, setting), blockId, setting))
                .toList();
    }

    private static Alternative of(Kin kin, Lesson then, String blockId, Setting setting) {
        LessonTimes times = LessonTimes.of(then, setting);
        Placed p = Placed.all(then, setting).get(then.indexOf(blockId));
        return new Alternative(
                kin.ladder().id(),
                kin.rung().id(),
                kin.ladder().perSpot() == 1,
                Math.min(p.pupils(), p.crewsAtOnce() * p.ladder().workingAtOnce()),
                p.turns(),
                times.totalSec(),
                times.movingShare());
    }
}
