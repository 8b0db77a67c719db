package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.LessonClock;
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
        List<BlockPlan> blocks) {

    /**
     * Works a lesson out; a lesson for home for one pupil.
     *
     * @throws Refused naming the block and field, for a ladder or rung that is not known
     */
    public static LessonPlan of(Lesson lesson, Setting setting) {
        return of(lesson, setting, Placed.all(lesson, setting));
    }

    public static LessonPlan of(Lesson lesson, Setting setting, List<Placed> placed) {
        LessonClock clock = Timeline.clock(lesson.restRule(), lesson.transitionSec(), placed);
        List<Segment> segments = Timeline.segments(clock, placed);
        List<BlockPlan> blocks = new ArrayList<>();
        double right = 0;
        double left = 0;
        for (int i = 0; i < placed.size(); i++) {
            Placed p = placed.get(i);
            blocks.add(BlockPlan.of(
                    p, clock.blocks().get(i), stretches(segments, i, p.block().sets()), setting));
            double[] hands = BlockPlan.rightAndLeft(p);
            right += hands[0];
            left += hands[1];
        }
        long bell = 60L * lesson.minutes();
        return new LessonPlan(
                bell,
                clock.totalSec(),
                clock.totalSec() - bell,
                blocks.stream().mapToLong(BlockPlan::optionalSec).sum(),
                clock.activeSecPerPupil(),
                clock.activeShare(),
                blocks.stream().mapToLong(BlockPlan::quietSecPerPupil).sum(),
                blocks.stream().mapToLong(BlockPlan::idleSecPerPupil).sum(),
                Math.round(right),
                Math.round(left),
                blocks.stream().mapToLong(BlockPlan::touches).sum(),
                List.copyOf(blocks));
    }

    private static List<BlockPlan.Stretch> stretches(List<Segment> segments, int block, int sets) {
        long[] start = new long[sets];
        long[] end = new long[sets];
        Arrays.fill(start, -1);
        for (Segment s : segments) {
            if (s.block() != block || (s.kind() != Segment.Kind.COUNT_IN && s.kind() != Segment.Kind.WORK)) continue;
            if (start[s.set()] < 0) start[s.set()] = s.startSec();
            end[s.set()] = s.endSec();
        }
        List<BlockPlan.Stretch> stretches = new ArrayList<>(sets);
        for (int set = 0; set < sets; set++)
            if (start[set] >= 0) stretches.add(new BlockPlan.Stretch(start[set], end[set]));
        return stretches;
    }
}
