package org.unrulymarble.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.RestRule;
import org.unrulymarble.core.clock.Timing;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.place.Feature;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.ScriptWriter;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.plan.findings.Findings;
import org.unrulymarble.core.plan.findings.Fits;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.core.run.RunScript;

/** A lesson of twelve blocks in three waves; its findings are asked of twelve by gate, for thirty-two pupils in the corridor. */
@State(Scope.Benchmark)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class ClockBench {

    private static final String[][] BY_GATE = {
        {"wake-the-joints", "top-down"},
        {"wall-and-back", "same-hand"},
        {"two-ball-drum", "together"},
        {"low-and-loud-dribble", "knee-high"},
        {"wall-serve-stepping-back", "near-line"},
        {"v-drag", "short-v"},
        {"stick-wall-ball", "on-the-full"},
        {"claps-and-turns", "three-claps"},
        {"sock-bullseye", "big-ring"},
        {"roll-to-length", "one-length"},
        {"lateral-pass", "small-ball"},
        {"wind-down", "standing-holds"}
    };

    private final LessonClock.ClockAsk ask;
    private final Lesson lesson;
    private final Setting setting = World.setting(World.LOFT, 32);
    private final Lesson byGate;
    private final Setting corridor = new Setting(
            new Place(
                    World.CORRIDOR.size(),
                    World.CORRIDOR.surface(),
                    Place.Wet.NEVER,
                    false,
                    false,
                    false,
                    false,
                    false,
                    true,
                    List.of(
                            new Feature(Feature.Kind.WAY_OUT, Feature.Edge.LEFT, 0.3, 1.3, 0.0),
                            new Feature(Feature.Kind.DOOR, Feature.Edge.RIGHT, 0.4, 0.9, 0.0))),
            seated(World.aged(11, 32)),
            World.KIT,
            World.CATALOGUE,
            World.PLANNING,
            Standings.NONE);

    public ClockBench() {
        List<Timing> timings = new ArrayList<>();
        List<Block> blocks = new ArrayList<>();
        List<Block> gates = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            timings.add(new Timing(20, 30, 5, 3, Dose.byClock(40), 2, 5, 3, 10, 30, true));
            String id = "b" + i;
            blocks.add(World.task("wall-and-back", "same-hand", d -> {
                d.id = id;
                d.dose = BlockDose.byClock(40);
                d.sets = 3;
                d.meanwhile = new Block.Task("table-top-taps", "hand-to-hand");
            }));
            gates.add(World.task(BY_GATE[i][0], BY_GATE[i][1], d -> {
                d.id = id;
                d.dose = BlockDose.byGate(60);
                d.sets = 2;
            }));
        }
        ask = new LessonClock.ClockAsk(RestRule.BETWEEN_SETS, 30, timings);
        lesson = Lesson.of(120, Lesson.Audience.CLASS, blocks);
        byGate = Lesson.of(60, Lesson.Audience.CLASS, gates);
    }

    /** Every eighth sits. */
    private static List<PlanPupil> seated(List<PlanPupil> pupils) {
        List<PlanPupil> out = new ArrayList<>(pupils);
        for (int i = 0; i < out.size(); i += 8) {
            PlanPupil p = out.get(i);
            out.set(i, new PlanPupil(p.id(), p.name(), p.age(), Set.of(Adaptation.SEATED), Map.of()));
        }
        return out;
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
        return Findings.of(byGate, corridor);
    }

    @Benchmark
    public List<Fits> whatFitsHere() {
        Fits.When now = new Fits.When(Lesson.Audience.CLASS, 600);
        return World.CATALOGUE.all().stream()
                .map(ladder -> Fits.of(ladder, corridor, now))
                .toList();
    }

    @Benchmark
    public Catalogue readCatalogue() {
        return Catalogue.shipped();
    }
}
