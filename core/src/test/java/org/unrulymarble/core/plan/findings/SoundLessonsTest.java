package org.unrulymarble.core.plan.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.unrulymarble.core.plan.World.CLASSROOM;
import static org.unrulymarble.core.plan.World.CORRIDOR;
import static org.unrulymarble.core.plan.World.HOME;
import static org.unrulymarble.core.plan.World.LOFT;
import static org.unrulymarble.core.plan.World.NET_STORE;
import static org.unrulymarble.core.plan.World.YARD;
import static org.unrulymarble.core.plan.World.lesson;
import static org.unrulymarble.core.plan.World.setting;
import static org.unrulymarble.core.plan.World.task;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.unrulymarble.core.ladder.Manner;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.BlockDraft;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.ScriptWriter;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;

/** One sound lesson of each kind of work: planned by its own school, it raises no finding, fits its bell and can be run. */
class SoundLessonsTest {

    private static final Consumer<BlockDraft> WARM = d -> {
        d.sets = 1;
        d.dose = BlockDose.byClock(120);
    };

    /** Whoever waits for a spot has something to do. */
    private static final Consumer<BlockDraft> AT_THE_TABLES =
            d -> d.meanwhile = new Block.Task("table-top-taps", "hand-to-hand");

    /** The pieces of work, in the order of the list that they come from. */
    enum Work {
        HANDLING_WITHOUT_A_COURT,
        STICK_AND_BALL_KEPT_UP,
        WALL_WORK_FOR_A_NET,
        CLAPS_AND_WALL_CATCHES,
        TIMED_IN_A_SMALL_SQUARE,
        TWO_BALLS_FIRST,
        ROUNDS_CHALLENGE,
        MARKERS_AND_SHOOTING,
        COUNTED_SERIES,
        ROUTINE_BOTH_WAYS,
        REACTION,
        CATCHING,
        SLAP_HITTER,
        FURTHEST_IN_SHOES,
        DRIBBLE_AND_TOSS,
        OVAL_BALL,
        GLOVE,
        NETBALL_SKILLS,
        RINGS_AND_BOWLING,
        CRADLE_AND_WALL,
        BOULES
    }

    @ParameterizedTest
    @EnumSource(Work.class)
    void a_sound_lesson_raises_nothing(Work work) {
        Lesson lesson = lessonOf(work);
        Setting setting = settingOf(work);

        // That a sound lesson moves everybody little is a remark of its own.
        assertThat(Findings.of(lesson, setting).findings())
                .filteredOn(f -> f.code() != Finding.Code.MOVING_LITTLE)
                .isEmpty();
        assertThat(LessonPlan.of(lesson, setting).pastBellSec()).isLessThanOrEqualTo(0);
        if (lesson.audience() == Lesson.Audience.CLASS)
            assertThat(ScriptWriter.write(lesson, setting).segments()).isNotEmpty();
    }

    static Setting settingOf(Work work) {
        return switch (work) {
            case HANDLING_WITHOUT_A_COURT, COUNTED_SERIES, ROUTINE_BOTH_WAYS, TWO_BALLS_FIRST, DRIBBLE_AND_TOSS ->
                in(LOFT, 12);
            case STICK_AND_BALL_KEPT_UP, CATCHING -> in(LOFT, 10);
            case WALL_WORK_FOR_A_NET, NETBALL_SKILLS -> in(NET_STORE, 8);
            case CLAPS_AND_WALL_CATCHES, REACTION -> in(NET_STORE, 10);
            case TIMED_IN_A_SMALL_SQUARE -> in(HOME, 1);
            case ROUNDS_CHALLENGE -> in(CLASSROOM, 8);
            case MARKERS_AND_SHOOTING, SLAP_HITTER, CRADLE_AND_WALL, RINGS_AND_BOWLING -> in(YARD, 8);
            case FURTHEST_IN_SHOES, GLOVE, OVAL_BALL, BOULES -> in(NET_STORE, 8);
        };
    }

    private static Setting in(Place place, int pupils) {
        return setting(place, pupils).of(World.aged(12, pupils));
    }

    static Lesson lessonOf(Work work) {
        return switch (work) {
            // Ball coordination at once, both ways round, overload, and a free block at the end; no cool-down.
            case HANDLING_WITHOUT_A_COURT ->
                lesson(
                                40,
                                task("finger-wake", "pads"),
                                task("round-a-leg", "both-legs-in-turn"),
                                task("covered-ball", "gloves-on"),
                                BlockDraft.timeFor("free", Block.Kind.FREE, 240).block())
                        .withShape(Lesson.Shape.BALL_FIRST);
            // One skill from start to end, large ball to small.
            case STICK_AND_BALL_KEPT_UP ->
                lesson(
                                40,
                                task("onto-the-blade", "roll-on"),
                                task("blade-taps", "with-a-floor-bounce", d -> d.play("ball", List.of("foam-ball"))),
                                task("blade-taps", "both-faces"),
                                task("taps-on-the-way", "face-at-the-line", d -> d.sayChange = true))
                        .withShape(Lesson.Shape.ONE_SKILL);
            // The band instead of net height, erring high; strong side only.
            case WALL_WORK_FOR_A_NET ->
                lesson(
                        40,
                        task("wake-the-joints", "top-down", WARM),
                        task("wall-serve-stepping-back", "near-line", d -> d.mark = new Block.Band(2.5, 2.67)),
                        task("wall-serve-stepping-back", "two-and-a-step", d -> {
                            d.mark = new Block.Band(2.5, 2.67);
                            d.dose = BlockDose.byStaircase(2, OnMiss.STEP_IN, 0.5, 150);
                            d.sets = 1;
                        }),
                        task("four-corners", "own-choice"),
                        task("wind-down", "standing-holds", WARM));
            case CLAPS_AND_WALL_CATCHES ->
                lesson(
                        40,
                        task("wake-the-joints", "top-down", WARM),
                        task("claps-and-turns", "two-claps"),
                        task("claps-and-turns", "record-of-claps"),
                        task("wall-and-back", "same-hand", AT_THE_TABLES),
                        task("wall-and-back", "step-back-a-catch", AT_THE_TABLES),
                        task("wind-down", "standing-holds", WARM));
            // Several short practices a week, at home.
            case TIMED_IN_A_SMALL_SQUARE ->
                atHome(
                        15,
                        task("wake-the-joints", "top-down", WARM),
                        task("table-top-taps", "hand-to-hand"),
                        task("cup-and-sock", "hand-to-cup", d -> d.play("cup", List.of("plastic-bowl"))),
                        task("wind-down", "standing-holds", WARM));
            // Round length by how new it is; feet added last; pupils choose their level.
            case TWO_BALLS_FIRST ->
                lesson(
                                40,
                                task("two-ball-drum", "together", d -> d.dose = BlockDose.byClock(45)),
                                task("two-ball-drum", "apart", d -> d.rungBy = Block.RungBy.CHOOSE),
                                task("two-ball-drum", "feet-too"),
                                task("wall-and-back", "two-hands-full"))
                        .withShape(Lesson.Shape.BALL_FIRST);
            case ROUNDS_CHALLENGE ->
                lesson(
                                30,
                                task("cup-and-sock", "hand-to-cup", d -> {
                                    d.sets = 3;
                                    d.optionalSets = 1;
                                }),
                                BlockDraft.timeFor("talk", Block.Kind.TALK, 60).block(),
                                task("sock-bullseye", "big-ring", AT_THE_TABLES))
                        .withShape(Lesson.Shape.FREE);
            case MARKERS_AND_SHOOTING ->
                lesson(
                                60,
                                task("wake-the-joints", "walk-to-jog", WARM),
                                task("weave-and-back", "on-the-clock", d -> {
                                    d.dose = BlockDose.byClock(30);
                                    d.sets = 2;
                                }),
                                BlockDraft.timeFor("water", Block.Kind.WATER, 60)
                                        .block(),
                                task("close-shot", "step-back-when-in", d -> {
                                    d.dose = BlockDose.byStaircase(2, OnMiss.STEP_IN, 0.3, 150);
                                    d.sets = 1;
                                }),
                                task("close-shot", "spots-in-a-minute", d -> d.sets = 1),
                                task("wind-down", "standing-holds", WARM))
                        .withStart(14 * 60);
            // Doses by count with the time that they take; early finishers take the harder line.
            case COUNTED_SERIES ->
                lesson(
                        45,
                        task("wake-the-joints", "with-the-ball", WARM),
                        counted("round-the-middle", "waist", 20),
                        counted("heights-and-pick-up", "three-storeys", 30),
                        BlockDraft.timeFor("water", Block.Kind.WATER, 60).block(),
                        task("stop-and-pivot", "two-feet", d -> d.dose = BlockDose.byCount(10, 4.4)),
                        counted("dribble-and-toss", "after-a-bounce", 10).with(d -> d.sayChange = true),
                        task("wind-down", "standing-holds", WARM));
            case ROUTINE_BOTH_WAYS ->
                lesson(20, task("round-a-leg", "waist-and-knees", d -> {
                            d.dose = BlockDose.byCount(6, 4.2);
                            d.sideOrder = Block.SideOrder.ONE_THEN_OTHER;
                        }))
                        .withShape(Lesson.Shape.ONE_SKILL);
            case REACTION ->
                lesson(
                                40,
                                task("drop-reaction", "hands-lower"),
                                task("drop-reaction", "one-of-two"),
                                task(
                                        "two-off-the-wall",
                                        "after-a-bounce",
                                        AT_THE_TABLES.andThen(d -> d.sayChange = true)),
                                task("two-off-the-wall", "one-and-other", AT_THE_TABLES))
                        .withShape(Lesson.Shape.FREE);
            // A set number of goes with the roles swapped, stand-ins in order.
            case CATCHING ->
                lesson(
                        45,
                        task("wake-the-joints", "top-down", WARM),
                        task("up-and-across", "same-hand-up"),
                        task("there-and-back", "one-hand-catch"),
                        task("number-keep", "six-with-repeats", d -> {
                            d.roleTurns = Block.RoleTurns.EVERY_ROLE;
                            d.dose = BlockDose.byClock(90);
                            d.sets = 1;
                        }),
                        task("wind-down", "standing-holds", WARM));
            case SLAP_HITTER ->
                lesson(
                                45,
                                task("wake-the-joints", "walk-to-jog", WARM),
                                task("step-through-swing", "measure-the-space"),
                                task("elbow-led", "into-the-floor"),
                                task("hip-catch", "walk-through", AT_THE_TABLES),
                                task("wind-down", "standing-holds", WARM))
                        .withStart(13 * 60);
            case FURTHEST_IN_SHOES ->
                lesson(30, task("shoe-by-shoe", "eight-shoes"), task("shoe-by-shoe", "furthest-on-the-clock", d -> {
                            d.dose = BlockDose.byStaircase(1, OnMiss.STAY, 0.23, 90);
                            d.sets = 2;
                            d.attitude = Manner.Attitude.PUSH;
                        }))
                        .withShape(Lesson.Shape.ONE_SKILL);
            case DRIBBLE_AND_TOSS ->
                lesson(
                                40,
                                task("heights-and-pick-up", "three-storeys"),
                                counted("dribble-and-toss", "after-a-bounce", 12),
                                counted("dribble-and-toss", "on-the-full", 12),
                                task("dribble-and-toss", "walking-toss"))
                        .withShape(Lesson.Shape.ONE_SKILL);
            // Gates each hand, ball order small to large.
            case OVAL_BALL ->
                lesson(
                                45,
                                task("oval-carry", "small-in-one", d -> d.dose = BlockDose.byGate(120)),
                                task("oval-carry", "full-size-in-one"),
                                task("oval-spin", "off-the-fingers"),
                                task("lateral-pass", "small-ball"),
                                task("lateral-pass", "early-school"))
                        .withShape(Lesson.Shape.BALL_FIRST);
            case GLOVE ->
                lesson(
                                45,
                                task("glove-side", "bare-hand"),
                                task("glove-side", "on-the-glove-side"),
                                task("glove-side", "across-the-body"),
                                task("glove-side", "quick-exchange", d -> {
                                    d.dose = BlockDose.byClock(100);
                                    d.sets = 1;
                                }))
                        .withShape(Lesson.Shape.ONE_SKILL);
            case NETBALL_SKILLS ->
                lesson(
                        50,
                        task("wake-the-joints", "with-the-ball", WARM),
                        task("low-and-loud-dribble", "knee-high"),
                        task("chest-pass-to-the-chalk", "feet-still"),
                        task("along-the-wall", "small-angle", AT_THE_TABLES.andThen(d -> d.sayChange = true)),
                        task("wind-down", "standing-holds", WARM));
            case RINGS_AND_BOWLING ->
                lesson(
                                50,
                                task("bowl-at-rings", "near-rings"),
                                task("bowl-at-rings", "with-points"),
                                task("bowl-at-rings", "past-a-batter"))
                        .withShape(Lesson.Shape.ONE_SKILL)
                        .withStart(15 * 60);
            case CRADLE_AND_WALL ->
                lesson(
                                60,
                                task("cradle", "upright"),
                                task("cradle", "change-over"),
                                task("dodge-the-post", "change-hands"),
                                BlockDraft.timeFor("water", Block.Kind.WATER, 60)
                                        .block(),
                                task("stick-wall-ball", "bounce-and-cradle"),
                                task("stick-wall-ball", "longest-run"))
                        .withShape(Lesson.Shape.FREE)
                        .withStart(15 * 60);
            // Cool-down as the warm-up backwards.
            case BOULES -> {
                Block warm = task("wake-the-joints", "top-down", WARM);
                yield lesson(
                                60,
                                warm,
                                task("roll-to-length", "one-length"),
                                task("draw-to-the-jack", "three-metres"),
                                task("nearest-the-jack", "to-seven"),
                                warm.with(d -> {
                                    d.reverses = "b1";
                                    d.part = Part.COOL_DOWN;
                                }))
                        .withShape(Lesson.Shape.MIRRORED);
            }
        };
    }

    private static Block counted(String ladder, String rung, int reps) {
        return task(ladder, rung, d -> {
            var pace = World.CATALOGUE.rung(ladder, rung).orElseThrow().pace();
            // Hits are counted, so the misses between them take their time too.
            double sec = pace.hitSec() + pace.missSec() * (1 - pace.share()) / pace.share();
            d.dose = BlockDose.byCount(reps, Math.ceil(sec * 10) / 10);
        });
    }

    private static Lesson atHome(int minutes, Block... blocks) {
        List<Block> all = new ArrayList<>();
        for (Block b : blocks) {
            String id = "b" + (all.size() + 1);
            all.add(b.with(d -> d.id = id));
        }
        return Lesson.of(minutes, Lesson.Audience.EACH_AT_HOME, all);
    }

    /** Wherever a lesson is moved, pressing the mends alone makes it fit to run, in a few presses. */
    @ParameterizedTest
    @EnumSource(Work.class)
    void moved_anywhere_the_mends_alone_make_it_fit_to_run(Work work) {
        Place wetCorridor = CORRIDOR;
        for (Place place : List.of(wetCorridor, CLASSROOM, LOFT, YARD, NET_STORE))
            for (var kit : List.of(World.KIT, World.FULL)) {
                Setting setting =
                        settingOf(work).in(place).of(World.aged(9, 24)).with(kit);
                Lesson lesson = lessonOf(work);
                if (lesson.audience() == Lesson.Audience.EACH_AT_HOME) continue;
                int pressed = 0;
                while (true) {
                    List<Finding> stops = Findings.of(lesson, setting).stops();
                    if (stops.isEmpty()) break;
                    Finding next = stops.stream()
                            .filter(f -> f.mend() != null)
                            .findFirst()
                            .orElseThrow(() -> new AssertionError("no mend for " + stops));
                    assertThat(++pressed)
                            .as("presses in %s, now %s", place.size(), next)
                            .isLessThan(40);
                    lesson = Findings.mended(lesson, setting, next.id());
                }
            }
    }

    /** One counted task in a corridor with room for one: no second task to give up, so it is done by fewer waves or by less of it. */
    @Test
    void a_single_long_task_comes_to_its_bell_too() {
        Lesson lesson = lesson(45, task("wake-the-joints", "with-the-ball"), task("sock-bullseye", "plate-ring"));
        Setting setting = setting(CORRIDOR, 27).with(World.KIT);
        for (int pressed = 0; ; pressed++) {
            List<Finding> stops = Findings.of(lesson, setting).stops();
            if (stops.isEmpty()) break;
            assertThat(pressed).as("%s", stops).isLessThan(10);
            lesson = Findings.mended(lesson, setting, stops.get(0).id());
        }
        assertThat(LessonPlan.of(lesson, setting).pastBellSec()).isLessThanOrEqualTo(0);
    }

    @Test
    void a_lesson_of_two_classes_of_kit_gathers_what_the_fullest_block_needs() {
        Lesson lesson = lesson(
                40,
                task("wall-and-back", "two-hands-bounce", d -> d.play("ball", List.of("tennis-ball", "foam-ball"))),
                task("sock-bullseye", "big-ring"));
        Setting setting = setting(NET_STORE, 8).with(World.kit(Map.of("tennis-ball", 3, "foam-ball", 9, "chalk", -1)));

        var gather = org.unrulymarble.core.plan.Gather.of(lesson, setting);

        assertThat(gather.items())
                .filteredOn(i -> i.kind().endsWith("ball") && !i.kind().equals("sock-ball"))
                .extracting(i -> i.kind() + " " + i.count() + "+" + i.spare())
                .containsExactlyInAnyOrder("tennis-ball 3+0", "foam-ball 1+1");
        assertThat(gather.items())
                .filteredOn(i -> i.kind().equals("sock-ball"))
                .singleElement()
                .satisfies(i -> assertThat(i.make()).isNotBlank());
        assertThat(gather.drinks()).isEqualTo(8);
    }
}
