package org.unrulymarble.core.plan;

import java.util.List;

/**
 * How long a lesson takes and how long each pupil moves in it, without what else a plan says: many lessons are weighed by these alone.
 *
 * @param bellSec length of the lesson's slot
 * @param movingSecPerPupil of the planned work, at a station on average
 * @param quietSecPerPupil waiting with a quiet task, {@code idleSecPerPupil} without
 */
public record LessonTimes(
        long bellSec, long totalSec, long movingSecPerPupil, long quietSecPerPupil, long idleSecPerPupil) {

    /** @throws org.unrulymarble.core.check.Refused naming the block and field, for a ladder or rung that is not known */
    public static LessonTimes of(Lesson lesson, Setting setting) {
        List<Placed> placed = Placed.all(lesson, setting);
        return of(lesson, placed, Timeline.of(lesson.restRule(), lesson.transitionSec(), placed));
    }

    static LessonTimes of(Lesson lesson, List<Placed> placed, Timeline time) {
        long moving = 0;
        long quiet = 0;
        long idle = 0;
        for (int i = 0; i < placed.size(); i++) {
            Placed p = placed.get(i);
            moving += movingSec(p, time.clockOf(i).activeSecPerPupil());
            if (p.quiet() == null) idle += waitingSec(p);
            else quiet += waitingSec(p);
        }
        return new LessonTimes(60L * lesson.minutes(), time.clock().totalSec(), moving, quiet, idle);
    }

    public long pastBellSec() {
        return totalSec - bellSec;
    }

    /** Of the whole lesson, 0 to 1. */
    public double movingShare() {
        return totalSec == 0 ? 0 : (double) movingSecPerPupil / totalSec;
    }

    /** @param clockSec as the clock has it for the block */
    static long movingSec(Placed p, long clockSec) {
        return p.station() == null ? clockSec : p.workedSec();
    }

    /** Whoever waits for a spot waits through the work of every other wave. */
    static long waitingSec(Placed p) {
        return p.isTask() ? p.waitingSecOnAverage() : 0;
    }
}
