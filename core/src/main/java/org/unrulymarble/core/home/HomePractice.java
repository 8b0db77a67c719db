package org.unrulymarble.core.home;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.Caution;
import org.unrulymarble.core.ladder.RungWords;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Scored;
import org.unrulymarble.core.plan.Gather;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;

/**
 * One practice at home for one pupil, as a family reads it.
 *
 * @param totalSec with everything around the work
 * @param gather what to have at hand
 * @param boxes what is counted, in the order in which it is done; at most {@link ReturnCode#MOST_BOXES}
 * @param segments what a clock plays, one after the other
 * @param cautions those of its tasks, each once
 */
public record HomePractice(
        int totalSec,
        List<Gather.GatherItem> gather,
        List<HomeTask> tasks,
        List<HomeBox> boxes,
        List<Segment> segments,
        List<Caution> cautions) {

    /**
     * One task.
     *
     * @param step the pupil's step on its ladder, from 1, of {@code steps}
     * @param otherwise how this pupil does it (sitting, with one hand, seeing little), or null
     * @param with what it is played with, in words, or null
     * @param instead what this home takes for another thing of the task; none on cards of before
     * @param workSec of one round of one side; where {@code byGoes} no more than a limit
     * @param tries of one round, or null where the clock ends it
     * @param standM from where, or null where that makes no difference; {@code standShoes} in this pupil's shoe lengths
     * @param lengthShoes the floor that it takes, in shoe lengths, or null where the shoe is not known
     */
    public record HomeTask(
            String ladderId,
            String rungId,
            String name,
            int step,
            int steps,
            RungWords words,
            String otherwise,
            List<String> cues,
            String eyes,
            String with,
            List<Instead> instead,
            int rounds,
            int workSec,
            boolean byGoes,
            Integer tries,
            int restSec,
            List<Side> sides,
            boolean counted,
            Measure measure,
            Double standM,
            Integer standShoes,
            double lengthM,
            double widthM,
            Integer lengthShoes,
            Integer widthShoes,
            boolean wall,
            Double heightM) {
        public HomeTask {
            instead = instead == null ? List.of() : List.copyOf(instead);
        }
    }

    /** @param what as the task calls it, "two cups" @param called what there is, "2 plastic bowls" */
    public record Instead(String what, String called) {}

    /**
     * One number to come back.
     *
     * @param task of the practice, from 0
     * @param round from 1
     * @param most that it can be
     */
    public record HomeBox(int task, int round, Side side, int most) {}

    /**
     * What came back, for the record: from home, counted by the pupil, confirmed by nobody yet.
     *
     * @param numbers one for each box, null where nothing was filled in
     * @param ids a new one for each
     */
    public List<Attempt> attempts(String pupilId, LocalDate on, List<Integer> numbers, Supplier<String> ids) {
        List<Attempt> out = new ArrayList<>();
        for (int i = 0; i < boxes.size(); i++) {
            if (numbers.get(i) == null) continue;
            HomeBox box = boxes.get(i);
            HomeTask task = tasks.get(box.task());
            Scored told = task.measure().told(numbers.get(i), null);
            out.add(new Attempt(
                    ids.get(),
                    pupilId,
                    on,
                    new Attempt.Task(task.ladderId(), task.rungId(), List.of(), box.side()),
                    box.round(),
                    new Attempt.Counts(told.score(), told.hits(), told.misses(), told.tries(), told.inARow()),
                    task.byGoes() ? null : RoundTime.full(task.workSec()),
                    new Attempt.Things(task.with(), null, null),
                    new Attempt.Setting(null, null, Attempt.Where.HOME),
                    new Attempt.Worth(RoundResult.Source.SELF, false, false, false),
                    told.detail(),
                    List.of()));
        }
        return out;
    }

    public List<Integer> most() {
        return boxes.stream().map(HomeBox::most).toList();
    }
}
