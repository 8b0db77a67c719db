package org.unrulymarble.core.plan.findings;

import static org.unrulymarble.core.plan.World.lesson;
import static org.unrulymarble.core.plan.World.setting;
import static org.unrulymarble.core.plan.World.task;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.place.Feature;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Surface;
import org.unrulymarble.core.place.Wall;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.BlockDraft;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;

/** Lessons that provoke a finding, each beside one as near to it as can be without. */
final class Provoked {

    private Provoked() {}

    /** A lesson in a setting. */
    record Plan(Lesson lesson, Setting setting) {
        Findings findings() {
            return Findings.of(lesson, setting);
        }
    }

    /** What provokes a finding, and what is as near to it as can be without. */
    record Pair(Plan with, Plan without) {}

    static Pair pair(Finding.Code code) {
        Block taps = task("table-top-taps", "hand-to-hand");
        Block wall = task("wall-and-back", "two-hands-bounce");
        Block dribble = task("low-and-loud-dribble", "knee-high");
        return switch (code) {
            case NO_WALL -> in(wall, World.CORRIDOR, World.LOFT);
            case WALL_TOO_SHORT -> in(wall, wallOf(1.5, 6.0), wallOf(3.0, 6.0));
            case WALL_TOO_LOW -> {
                Block high = wall.with(d -> d.mark = new Block.Band(1.2, 1.6));
                yield in(high, lowWall(1.5), lowWall(1.7));
            }
            case TOO_LITTLE_DEPTH -> in(wall, wallOf(6.0, 2.0), wallOf(6.0, 3.0));
            case FLOOR_TOO_SMALL -> in(task("draw-to-the-jack", "three-metres"), World.HOME, World.NET_STORE);
            case CEILING_TOO_LOW ->
                in(
                        task("clap-and-collect", "both-hands"),
                        World.place(6, 6, 2.2, null, Surface.WOOD),
                        World.place(6, 6, 2.3, null, Surface.WOOD));
            case SPOT_TOO_SMALL ->
                new Pair(
                        plan(
                                World.LOFT,
                                wall.with(d -> d.spot = new Footprint(1.5, 1.0, 0.3, 0.3, true, true, null)),
                                4),
                        plan(World.LOFT, wall, 4));
            case STAIRCASE_TOO_LONG -> {
                Block back = wall.with(d -> d.dose = new BlockDose.ByStaircase(3, OnMiss.STEP_IN, 2.0, 120));
                yield in(back, wallOf(6.0, 3.5), wallOf(6.0, 6.8));
            }
            case NOTHING_LEFT_FREE ->
                in(
                        taps,
                        with(World.place(1.2, 1.2, 2.4, null, Surface.WOOD), Feature.Kind.WAY_OUT),
                        World.place(1.2, 1.2, 2.4, null, Surface.WOOD));
            case NO_ROOM_BESIDE ->
                new Pair(
                        new Plan(
                                circuit(2, dribble, dribble),
                                setting(World.place(2.2, 2.2, 2.4, null, Surface.WOOD), 4)),
                        new Plan(circuit(2, dribble, dribble), setting(World.LOFT, 4)));
            case STATION_TURNS ->
                new Pair(
                        new Plan(circuit(1, wall, dribble), setting(World.LOFT, 12)),
                        new Plan(circuit(2, wall, dribble), setting(World.LOFT, 12)));
            case LOUD_BESIDE_QUIET ->
                new Pair(
                        new Plan(circuit(1, dribble, taps), setting(World.place(4.0, 2.4, 2.6, null, Surface.WOOD), 4)),
                        new Plan(circuit(1, dribble, taps), setting(World.LOFT, 4)));
            case STATION_OUT_OF_SIGHT ->
                new Pair(
                        new Plan(circuit(1, taps, taps), setting(screened(5.0), 24)),
                        new Plan(circuit(1, taps, taps), setting(screened(1.0), 24)));
            case WAVES_MANY ->
                new Pair(plan(World.place(3.0, 3.0, 2.4, null, Surface.WOOD), taps, 80), plan(World.LOFT, taps, 24));
            case SURFACE -> in(dribble, World.CLASSROOM, World.LOFT);
            case WET -> in(task("line-to-line", "side-steps"), wet(Place.Wet.NOW), wet(Place.Wet.NEVER));
            case PLACE_REFUSED -> in(dribble, World.LOFT.withNeighboursBelow(), World.LOFT);
            case NOISE -> in(wall, World.LOFT.withNeighboursBelow(), World.LOFT);
            case BREAKABLES -> in(wall, World.LOFT.withBreakables(), World.LOFT);
            case ROLLS_AWAY -> in(wall, byCars(World.LOFT), World.LOFT);
            case CLAPS_TOO_MANY ->
                in(
                        task("claps-and-turns", "three-claps"),
                        World.place(6, 6, 2.4, null, Surface.WOOD),
                        World.place(6, 6, 3.2, null, Surface.WOOD));
            case KIT_SHORT -> kit(wall, Map.of("tennis-ball", 3, "chalk", -1), Map.of("tennis-ball", 12, "chalk", -1));
            case KIT_MISSING -> kit(wall, Map.of("foam-ball", 12, "chalk", -1), Map.of("tennis-ball", 12, "chalk", -1));
            case KIT_AT_HOME -> {
                Lesson home = Lesson.of(12, Lesson.Audience.EACH_AT_HOME, List.of(dribble));
                Setting without = setting(World.LOFT, 3);
                yield new Pair(
                        new Plan(home, without),
                        new Plan(
                                home,
                                without.of(without.pupils().stream()
                                        .map(p -> new PlanPupil(p.id(), p.name(), 10, Set.of(), Map.of("netball", 1)))
                                        .toList())));
            }
            case KIT_MISFIT -> {
                Block cup = task("cup-and-sock", "hand-to-cup");
                yield new Pair(
                        plan(World.LOFT, cup.with(d -> d.play("ball", List.of("foam-ball"))), 8),
                        plan(World.LOFT, cup, 8));
            }
            case KIT_UNSUITED ->
                new Pair(
                        plan(World.LOFT, wall.with(d -> d.play("ball", List.of("bean-bag"))), 4),
                        plan(World.LOFT, wall.with(d -> d.play("ball", List.of("foam-ball"))), 4));
            case GEAR_MISSING -> {
                Block drag = task("v-drag", "short-v");
                Setting bare = setting(World.NET_STORE, 6)
                        .with(World.kit(Map.of("indoor-hockey-stick", 6, "hockey-ball", 6, "tennis-ball", 6)));
                yield new Pair(
                        new Plan(lesson(20, drag.with(d -> d.play("ball", List.of("hockey-ball")))), bare),
                        new Plan(lesson(20, drag), bare));
            }
            case TOO_FAST_TO_REACT -> new Pair(aged(6, wall), aged(10, wall));
            case SWING_TOO_NEAR -> {
                Block tight = task("blade-taps", "no-floor")
                        .with(d -> d.spot = new Footprint(1.0, 0.8, 0.1, 0.3, false, false, null));
                yield new Pair(plan(World.LOFT, tight, 12), plan(World.LOFT, task("blade-taps", "no-floor"), 12));
            }
            case PARTNER_IN_SWING -> {
                Block tap = task("off-a-bat", "to-the-chest");
                yield new Pair(plan(World.LOFT, tap.with(d -> d.standM = 1.2), 8), plan(World.LOFT, tap, 8));
            }
            case THROW_LINES -> {
                Block grid = task("sock-bullseye", "big-ring")
                        .with(d -> d.spot = new Footprint(3.0, 1.0, 0.4, 0.3, false, false, null));
                yield new Pair(plan(World.YARD, grid, 24), plan(World.YARD, task("sock-bullseye", "big-ring"), 24));
            }
            case MARK_NOT_NET_HEIGHT -> {
                Block serve = task("wall-serve-stepping-back", "three-metres");
                yield new Pair(
                        plan(World.NET_STORE, serve, 6),
                        plan(World.NET_STORE, serve.with(d -> d.mark = new Block.Band(2.9, 3.3)), 6));
            }
            case MARK_TOO_LOW -> {
                Block serve = task("wall-serve-stepping-back", "three-metres");
                yield new Pair(
                        plan(World.NET_STORE, serve.with(d -> d.mark = new Block.Band(1.2, 1.6)), 6),
                        plan(World.NET_STORE, serve.with(d -> d.mark = new Block.Band(2.9, 3.3)), 6));
            }
            case PAST_BELL ->
                new Pair(
                        plan(
                                World.LOFT,
                                taps.with(d -> {
                                    d.sets = 40;
                                    d.dose = BlockDose.byClock(60);
                                }),
                                12),
                        plan(World.LOFT, taps.with(d -> d.sets = 3), 12));
            case WATER_MISSING ->
                new Pair(
                        minutes(
                                90,
                                taps.with(d -> d.dose = BlockDose.byClock(400)),
                                wall.with(d -> d.dose = BlockDose.byClock(300))),
                        minutes(
                                90,
                                taps.with(d -> d.dose = BlockDose.byClock(400)),
                                BlockDraft.timeFor("w", Block.Kind.WATER, 60).block(),
                                wall.with(d -> d.dose = BlockDose.byClock(300))));
            case MOVING_LITTLE -> {
                Lesson serveAndTaps = lesson(40, task("wall-serve-stepping-back", "near-line"), taps);
                yield new Pair(
                        new Plan(serveAndTaps, setting(World.LOFT, 24)),
                        new Plan(serveAndTaps, setting(World.LOFT, 6)));
            }
            case WAVE_IDLE -> {
                Block waits = wall.with(d -> d.dose = BlockDose.byClock(60));
                yield new Pair(
                        plan(World.LOFT, waits, 40),
                        plan(
                                World.LOFT,
                                waits.with(d -> d.meanwhile = new Block.Task("table-top-taps", "hand-to-hand")),
                                40));
            }
            case QUIET_TASK_AGAIN -> {
                Block quiet = wall.with(d -> d.meanwhile = new Block.Task("table-top-taps", "hand-to-hand"));
                yield new Pair(of40(quiet, quiet, quiet), of40(quiet, quiet));
            }
            case THROWS_MANY -> {
                Block serves = task("wall-serve-stepping-back", "near-line").with(d -> d.dose = BlockDose.byClock(60));
                yield new Pair(minutes(90, serves.with(d -> d.sets = 12)), minutes(90, serves.with(d -> d.sets = 2)));
            }
            case SIDE_LEFT_OUT ->
                new Pair(
                        plan(World.LOFT, dribble.with(d -> d.sides = Block.SideChoice.FIRST_ONLY), 12),
                        plan(World.LOFT, dribble, 12));
            case WARM_UP_MISSING ->
                new Pair(shaped(Lesson.Shape.MOBILITY_FIRST, taps), shaped(Lesson.Shape.BALL_FIRST, taps));
            case COOL_DOWN_MISSING ->
                new Pair(
                        shaped(Lesson.Shape.MOBILITY_FIRST, task("wake-the-joints", "top-down"), taps),
                        shaped(
                                Lesson.Shape.MOBILITY_FIRST,
                                task("wake-the-joints", "top-down"),
                                taps,
                                task("wind-down", "standing-holds")));
            case COOL_DOWN_NOT_REVERSED -> {
                Block warm = task("wake-the-joints", "top-down");
                yield new Pair(
                        shaped(Lesson.Shape.MIRRORED, warm, taps, task("wind-down", "standing-holds")),
                        shaped(Lesson.Shape.MIRRORED, warm, taps, warm.with(d -> {
                            d.reverses = "b1";
                            d.part = Part.COOL_DOWN;
                        })));
            }
            case BALL_NOT_FIRST ->
                new Pair(
                        shaped(Lesson.Shape.BALL_FIRST, task("line-to-line", "side-steps"), taps),
                        shaped(Lesson.Shape.BALL_FIRST, taps, task("line-to-line", "side-steps")));
            case SKILLS_MIXED ->
                new Pair(
                        shaped(Lesson.Shape.ONE_SKILL, taps, wall),
                        shaped(Lesson.Shape.ONE_SKILL, taps, task("round-the-middle", "waist")));
            case EFFORT_LEAP ->
                new Pair(
                        shaped(
                                Lesson.Shape.MOBILITY_FIRST,
                                task("table-top-taps", "hand-to-hand"),
                                task("bound-and-freeze", "small-bound")),
                        shaped(
                                Lesson.Shape.MOBILITY_FIRST,
                                task("table-top-taps", "hand-to-hand"),
                                BlockDraft.timeFor("w", Block.Kind.WATER, 60).block(),
                                task("bound-and-freeze", "small-bound")));
            case CUES_CLASH -> {
                Block follow = task("foot-follow", "drop-and-tap");
                yield new Pair(
                        shaped(Lesson.Shape.FREE, dribble, follow),
                        shaped(Lesson.Shape.FREE, dribble, follow.with(d -> d.sayChange = true)));
            }
            case GATE_CANNOT_BE_MET -> {
                Block five = task("bowl-at-rings", "near-rings").with(d -> d.dose = BlockDose.byCount(5, 5.0));
                yield new Pair(
                        plan(World.NET_STORE, five.with(d -> d.gate = new Gate.SoManyOf(5, 10)), 12),
                        plan(World.NET_STORE, five.with(d -> d.gate = new Gate.SoManyOf(5, 5)), 12));
            }
            case GATE_OUT_OF_REACH -> {
                Block run = task("there-and-back", "without-a-drop").with(d -> d.dose = BlockDose.byGate(90));
                yield new Pair(
                        plan(World.LOFT, run.with(d -> d.gate = new Gate.Reach(40)), 12),
                        plan(World.LOFT, run.with(d -> d.gate = new Gate.Reach(4)), 12));
            }
            case COUNT_TAKES_LONGER ->
                new Pair(
                        plan(World.LOFT, wall.with(d -> d.dose = BlockDose.byCount(20, 1.0)), 12),
                        plan(World.LOFT, wall.with(d -> d.dose = BlockDose.byCount(20, 4.0)), 12));
            case AGE_UNSUITED -> {
                Plan rally = plan(World.LOFT, task("wall-rally", "bounce-between"), 8);
                yield new Pair(
                        new Plan(rally.lesson(), rally.setting().of(World.aged(7, 8))),
                        new Plan(rally.lesson(), rally.setting().of(World.aged(9, 8))));
            }
            case SEES_LITTLE_BALL -> {
                Plan tapped = plan(World.LOFT, task("off-a-bat", "to-the-chest"), 4);
                yield new Pair(new Plan(tapped.lesson(), adapted(tapped.setting(), Adaptation.SEES_LITTLE)), tapped);
            }
            case ADAPTATION -> {
                Plan plain = plan(World.LOFT, taps, 4);
                yield new Pair(new Plan(plain.lesson(), adapted(plain.setting(), Adaptation.SEATED)), plain);
            }
            case ADAPTATION_NO_VARIANT -> {
                Plan plain = plan(World.LOFT, task("soft-dodge", "rolled-at-feet"), 4);
                yield new Pair(new Plan(plain.lesson(), adapted(plain.setting(), Adaptation.SEES_LITTLE)), plain);
            }
        };
    }

    static Pair in(Block block, Place with, Place without) {
        return new Pair(plan(with, block, 8), plan(without, block, 8));
    }

    static Pair kit(Block block, Map<String, Integer> with, Map<String, Integer> without) {
        Plan plain = plan(World.LOFT, block, 10);
        Kit few = World.kit(with);
        Kit enough = World.kit(without);
        return new Pair(
                new Plan(plain.lesson(), plain.setting().with(few)),
                new Plan(plain.lesson(), plain.setting().with(enough)));
    }

    static Plan plan(Place place, Block block, int pupils) {
        return new Plan(lesson(40, block).withShape(Lesson.Shape.FREE), setting(place, pupils));
    }

    static Plan minutes(int minutes, Block... blocks) {
        return new Plan(lesson(minutes, blocks).withShape(Lesson.Shape.FREE), setting(World.LOFT, 12));
    }

    static Plan of40(Block... blocks) {
        return new Plan(lesson(90, blocks).withShape(Lesson.Shape.FREE), setting(World.LOFT, 40));
    }

    static Plan shaped(Lesson.Shape shape, Block... blocks) {
        return new Plan(lesson(60, blocks).withShape(shape), setting(World.LOFT, 8));
    }

    static Plan aged(int age, Block block) {
        Plan plain = plan(World.LOFT, block, 8);
        return new Plan(plain.lesson(), plain.setting().of(World.aged(age, 8)));
    }

    static Setting adapted(Setting setting, Adaptation adaptation) {
        return setting.of(setting.pupils().stream()
                .map(p -> p.id().equals("p2")
                        ? new PlanPupil(p.id(), p.name(), p.age(), Set.of(adaptation), Map.of())
                        : p)
                .toList());
    }

    static Place wallOf(double runM, double depthM) {
        return World.place(6.0, 6.0, 2.7, new Wall(runM, depthM), Surface.WOOD);
    }

    private static Place lowWall(double heightM) {
        return World.place(6.0, 6.0, 2.7, new Wall(6.0, 3.0, heightM, null), Surface.WOOD);
    }

    static Place with(Place place, Feature.Kind kind) {
        return Place.of(place.size(), place.surface(), null, new Feature(kind, Feature.Edge.BOTTOM, 0.0, 1.2, 0.0));
    }

    static Place wet(Place.Wet wet) {
        return Place.of(new Space(9.0, 6.0, null, null), Surface.TARMAC, wet);
    }

    private static Place byCars(Place p) {
        return new Place(p.size(), p.surface(), null, null, null, null, true, null, null, List.of());
    }

    /** Something stands out from the long wall in the middle. */
    static Place screened(double deepM) {
        Place bare = World.place(6, 5.2, 2.6, null, Surface.WOOD);
        return Place.of(
                bare.size(),
                bare.surface(),
                null,
                new Feature(Feature.Kind.OBSTACLE, Feature.Edge.TOP, 2.85, 0.3, deepM));
    }

    static Lesson circuit(int rounds, Block... stations) {
        Lesson apart = lesson(40, stations);
        List<String> ids = apart.blocks().stream().map(Block::id).toList();
        return apart.withCircuits(List.of(Circuit.of("c", ids, rounds, 45, 15, 30)));
    }
}
