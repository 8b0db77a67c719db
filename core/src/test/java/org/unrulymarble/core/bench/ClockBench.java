package org.unrulymarble.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.RestRule;
import org.unrulymarble.core.clock.Timing;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.ScriptWriter;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.plan.findings.Findings;
import org.unrulymarble.core.score.RunScript;

/** A lesson of twelve blocks in three waves. */
@State(Scope.Benchmark)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class ClockBench {

    private final LessonClock.ClockAsk ask;
    private final Lesson lesson;
    private final Setting setting = World.setting(World.LOFT, 32);

    public ClockBench() {
        List<Timing> timings = new ArrayList<>();
        List<Block> blocks = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            timings.add(new Timing(20, 30, 5, 3, Dose.byClock(40), 2, 5, 3, 10, 30, true));
            String id = "b" + i;
            blocks.add(World.task("wall-and-back", "same-hand", d -> {
                d.id = id;
                d.dose = BlockDose.byClock(40);
                d.sets = 3;
                d.meanwhile = new Block.Task("table-top-taps", "hand-to-hand");
            }));
        }
        ask = new LessonClock.ClockAsk(RestRule.BETWEEN_SETS, 30, timings);
        lesson = Lesson.of(120, Lesson.Audience.CLASS, blocks);
    }

    @Benchmark
    public LessonClock expandClock() {
        return LessonClock.of(ask);
    }

    @Benchmark
    public LessonPlan workOutPlan() {
        return LessonPlan.of(lesson, setting);
    }

    @Benchmark
    public RunScript writeScript() {
        return ScriptWriter.write(lesson, setting);
    }

    @Benchmark
    public Findings findings() {
        return Findings.of(lesson, setting);
    }
}
