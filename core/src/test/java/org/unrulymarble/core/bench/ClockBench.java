package org.unrulymarble.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.RestRule;
import org.unrulymarble.core.clock.Timing;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Wall;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.ScriptWriter;
import org.unrulymarble.core.score.RunScript;

/** A lesson of twelve blocks in three waves. */
@State(Scope.Benchmark)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class ClockBench {

    private final LessonClock.ClockAsk ask;
    private final Lesson lesson;
    private final Catalogue catalogue = Catalogue.shipped();
    private final Space space = new Space(9.2, 6.4, 2.7, new Wall(9.2, 6.4));
    private final List<String> pupils =
            IntStream.range(0, 32).mapToObj(i -> "pupil-" + i).toList();

    public ClockBench() {
        List<Timing> timings = new ArrayList<>();
        List<Block> blocks = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            timings.add(new Timing(20, 30, 5, 3, Dose.byClock(40), 2, 5, 3, 10, 30, true));
            blocks.add(new Block(
                    "b" + i,
                    "wall-and-back",
                    "same-hand",
                    List.of(),
                    Dose.byClock(40),
                    3,
                    Block.SideChoice.EACH,
                    20,
                    30,
                    5,
                    5,
                    10,
                    30,
                    true,
                    true,
                    new Block.Task("table-top-taps", "hand-to-hand")));
        }
        ask = new LessonClock.ClockAsk(RestRule.BETWEEN_SETS, 30, timings);
        lesson = new Lesson(120, Lesson.Audience.CLASS, RestRule.BETWEEN_SETS, 30, blocks);
    }

    @Benchmark
    public LessonClock expandClock() {
        return LessonClock.of(ask);
    }

    @Benchmark
    public LessonPlan workOutPlan() {
        return LessonPlan.of(lesson, space, pupils.size(), catalogue);
    }

    @Benchmark
    public RunScript writeScript() {
        return ScriptWriter.write(lesson, space, pupils, catalogue);
    }
}
