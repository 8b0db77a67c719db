package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.Segment;

/**
 * A lesson worked out for a class in a space.
 *
 * @param pastBellSec seconds by which it runs past the bell; negative when it ends before
 * @param optionalSec of all of that, what is for those who want it
 * @param movingSecPerPupil at the task itself; {@code quietSecPerPupil} at the quiet task while waiting comes on top
 * @param idleSecPerPupil waiting for a spot with nothing to do
 * @param rightSec right-hand work of one pupil, {@code leftSec} the left; one-sided and both-handed work is in neither
 * @param touches estimate for one pupil: pace times work seconds
 * @param circuits what is done at the same time in different places
 */
public record LessonPlan(
        long bellSec,
        long totalSec,
        long pastBellSec,
        long optionalSec,
        long movingSecPerPupil,
        double movingShare,
        long quietSecPerPupil,
        long idleSecPerPupil,
        long rightSec,
        long leftSec,
        long touches,
        List<BlockPlan> blocks,
        List<CircuitPlan> circuits) {

    /**
     * Works a lesson out; a lesson for home for one pupil.
     *
     * @throws Refused naming the block and field, for a ladder or rung that is not known
     */
    public static LessonPlan of(Lesson lesson, Setting setting) {
        return of(lesson, setting, Placed.all(lesson, setting));
    }

    public static LessonPlan of(Lesson lesson, Setting setting, List<Placed> placed) {
        Timeline time = Timeline.of(lesson.restRule(), lesson.transitionSec(), placed);
        List<BlockPlan> blocks = new ArrayList<>();
        double right = 0;
        double left = 0;
        for (int i = 0; i < placed.size(); i++) {
            Placed p = placed.get(i);
            blocks.add(BlockPlan.of(p, time.clockOf(i), stretches(time.segments(), i, p), setting));
            double[] hands = BlockPlan.rightAndLeft(p);
            right += hands[0];
            left += hands[1];
        }
        LessonTimes times = LessonTimes.of(lesson, placed, time);
        return new LessonPlan(
                times.bellSec(),
                times.totalSec(),
                times.pastBellSec(),
                blocks.stream().mapToLong(BlockPlan::optionalSec).sum(),
                times.movingSecPerPupil(),
                times.movingShare(),
                times.quietSecPerPupil(),
                times.idleSecPerPupil(),
                Math.round(right),
                Math.round(left),
                blocks.stream().mapToLong(BlockPlan::touches).sum(),
                List.copyOf(blocks),
                CircuitPlan.all(time, setting));
    }

    /** Of each set; at a station, of each visit of a group. */
    private static List<BlockPlan.Stretch> stretches(List<Segment> segments, int block, Placed p) {
        int many =
                p.station() == null ? p.block().sets() : p.station().circuit().stations();
        long[] start = new long[many];
        long[] end = new long[many];
        Arrays.fill(start, -1);
        for (Segment s : segments) {
            if (s.block() != block || (s.kind() != Segment.Kind.COUNT_IN && s.kind() != Segment.Kind.WORK)) continue;
            int at = p.station() == null ? s.set() : s.turn() / p.turns();
            if (start[at] < 0) start[at] = s.startSec();
            end[at] = s.endSec();
        }
        List<BlockPlan.Stretch> stretches = new ArrayList<>(many);
        for (int at = 0; at < many; at++) if (start[at] >= 0) stretches.add(new BlockPlan.Stretch(start[at], end[at]));
        return stretches;
    }
}
