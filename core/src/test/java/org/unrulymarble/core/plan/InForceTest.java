package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.MadeFromSpots;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.run.RunScript;

/** What a block says instead of a rung's own figures is in its words, its pad, its gate and its record alike. */
class InForceTest {

    private static final Tap HIT = new Tap.Hit(null);
    private static final Tap MISS = new Tap.Miss(null);

    @Test
    void every_hit_is_a_step_and_a_miss_stays_whatever_the_dose_of_the_other_rungs() {
        RunScript.ScriptRung rung = run("shoe-by-shoe", "furthest-held", d -> d.dose = new BlockDose.ByClock(60));

        assertThat(rung.measure()
                        .score(List.of(HIT, HIT, HIT, MISS, MISS, HIT), true, 60_000)
                        .score())
                .isEqualTo(4);
        assertThat(rung.words().task())
                .isEqualTo(
                        "Begin 6 shoe lengths from the ring. Every one that counts takes you 1 shoe length back; after a miss "
                                + "try again from the same place. Go on until the stop (60 s). The furthest place from which you hit "
                                + "counts. Where you begin is place 1, 1 shoe length further back is place 2.");
    }

    @Test
    void shoe_by_shoe_may_begin_one_shoe_from_the_ring() {
        BlockPlan plan = plan("shoe-by-shoe", "furthest-held", d -> d.standM = 0.24);

        assertThat(plan.words().task()).startsWith("Begin 1 shoe length from the ring.");
        assertThat(plan.stairs()).isEqualTo(new Stairs(1, OnMiss.STAY, 0.24, 0.24, Stairs.Unit.SHOE));
        assertThat(plan("shoe-by-shoe", "furthest-held", d -> {}).stairs().startM())
                .isEqualTo(1.44);
    }

    @Test
    void spots_lie_where_the_lesson_says_and_follow_in_its_order_and_take_the_floor() {
        BlockPlan usual = plan("close-shot", "spots-in-a-minute", d -> {});
        BlockPlan other = plan(
                "close-shot",
                "spots-in-a-minute",
                d -> d.measure = new MadeFromSpots(3, MadeFromSpots.Order.UNTIL_MADE, 0.5));

        assertThat(usual.words().task())
                .startsWith("5 spots lie in a half circle")
                .contains("From the first to the last, and round again.");
        assertThat(other.words().task())
                .startsWith("3 spots lie one behind the other, the first 1.5 m away, each 50 cm further back. "
                        + "Stay at a spot until it is in, then on to the next, and round again.");
        // However a spot is turned in the room, one side of it is longer by the way back.
        assertThat(sidesM(other)).isCloseTo(sidesM(usual) + 1.0, within(1e-9));
    }

    private static double sidesM(BlockPlan plan) {
        var spot = plan.spots().placed().get(0);
        return spot.alongM() + spot.acrossM();
    }

    @Test
    void each_catch_is_a_step_and_a_miss_a_step_in() {
        RunScript.ScriptRung rung = run("wall-and-back", "step-back-a-catch", d -> d.dose = new BlockDose.ByClock(60));

        assertThat(rung.measure()
                        .score(List.of(HIT, HIT, MISS, HIT, HIT, HIT), true, 60_000)
                        .score())
                .isEqualTo(4);
        assertThat(rung.words().change())
                .isEqualTo("Every one that counts takes you 50 cm back; a miss takes you one step in.");
    }

    @Test
    void a_staircase_set_to_three_is_three_in_name_rule_and_pad() {
        RunScript.ScriptRung rung = run(
                "close-shot",
                "step-back-when-in",
                d -> d.dose = new BlockDose.ByStaircase(3, OnMiss.RESTART, 0.24, 90));

        assertThat(rung.stairs().makesToStep()).isEqualTo(3);
        assertThat(rung.measure()
                        .score(List.of(HIT, HIT, HIT, HIT), true, 90_000)
                        .score())
                .isEqualTo(1);
        assertThat(rung.words().name()).isEqualTo("A step back when they go in");
        assertThat(rung.words().task())
                .isEqualTo(
                        "Begin 4 shoe lengths from the basket. 3 in a row take you 1 shoe length back; a miss takes you back "
                                + "to the start. Go on until the stop (90 s). Remember the furthest place that you held. "
                                + "Where you begin is place 1, 1 shoe length further back is place 2.");
        assertThat(rung.words().counts()).contains("held with 3 in a row");
    }

    @Test
    void a_count_changes_the_words_and_the_gate_asks_for_the_same_share() {
        BlockPlan twenty = plan("shoe-by-shoe", "eight-shoes", d -> d.dose = new BlockDose.ByCount(20, 4.0));
        assertThat(twenty.words().task()).endsWith("20 goes.");
        assertThat(twenty.gate()).isEqualTo(new Gate.SoManyOf(12, 20));

        BlockPlan five = plan("shoe-by-shoe", "eight-shoes", d -> d.dose = new BlockDose.ByCount(5, 4.0));
        assertThat(five.words().task()).endsWith("5 goes.");
        assertThat(five.gate()).isEqualTo(new Gate.SoManyOf(3, 5));

        BlockPlan clock = plan("shoe-by-shoe", "eight-shoes", d -> d.dose = new BlockDose.ByClock(45));
        assertThat(clock.words().task()).endsWith("Go on until the stop (45 s).");
        assertThat(clock.gate()).isEqualTo(new Gate.SoManyOf(6, 10));
    }

    @Test
    void both_sides_in_turn_say_so() {
        BlockPlan each = plan("wall-and-back", "same-hand", d -> d.dose = new BlockDose.ByClock(60));
        assertThat(each.words().task()).contains("Go on until the stop (60 s), then the other side: 120 s in all.");

        BlockPlan one = plan("wall-and-back", "same-hand", d -> {
            d.dose = new BlockDose.ByClock(60);
            d.sides = Block.SideChoice.FIRST_ONLY;
        });
        assertThat(one.words().task()).contains("Go on until the stop (60 s).");
    }

    @Test
    void a_rung_gathers_what_it_is_played_with_and_not_what_only_its_neighbours_need() {
        assertThat(kinds("bowl-at-rings", "near-rings")).containsExactly("tennis-ball", "chalk");
        assertThat(kinds("bowl-at-rings", "through-the-hoop")).containsExactly("tennis-ball", "hoop");
        assertThat(kinds("lateral-pass", "shadow")).isEmpty();
        assertThat(kinds("swing-like-a-clock", "stance-and-swing")).containsExactly("chalk");
    }

    private static List<String> kinds(String ladderId, String rungId) {
        Lesson lesson = Lesson.of(40, Lesson.Audience.CLASS, List.of(World.task(ladderId, rungId, d -> {})));
        return KitNeed.of(Placed.all(lesson, World.setting(World.NET_STORE, 12)).get(0)).stream()
                .flatMap(need -> need.kinds().stream())
                .toList();
    }

    @Test
    void what_is_in_the_air_counts_nowhere_where_something_is_thrown_until_a_stop() {
        String air = "What is in the air at the stop does not count.";
        BlockPlan thrown = plan("shoe-by-shoe", "eight-shoes", d -> d.dose = new BlockDose.ByClock(45));
        assertThat(thrown.words().countsNot()).endsWith(air);
        BlockPlan count = plan("shoe-by-shoe", "eight-shoes", d -> d.dose = new BlockDose.ByCount(10, 4.0));
        assertThat(count.words().countsNot()).as("ten goes have no stop").doesNotContain(air);
        BlockPlan dribble = plan("low-and-loud-dribble", "knee-high", d -> d.dose = new BlockDose.ByClock(45));
        assertThat(dribble.words().countsNot()).as("a dribble is not thrown").doesNotContain(air);
    }

    /** 10 circles one way and 10 the other are 20 touches; by clock only what is made counts. */
    @Test
    void touches_follow_the_count_and_leave_misses_out() {
        BlockPlan count = plan("round-the-middle", "waist", d -> {
            d.dose = new BlockDose.ByCount(10, 2.0);
            d.sets = 1;
        });
        assertThat(count.touches()).isEqualTo(20);

        BlockPlan clock = plan("round-the-middle", "waist", d -> {
            d.dose = new BlockDose.ByClock(90);
            d.sets = 1;
        });
        // 180 s at 0.75 x 1.4 + 0.25 x 3 s a try are 100 tries, 75 of them made.
        assertThat(clock.touches()).isEqualTo(75);
    }

    /** 5 waves of 60 s: each waits for 4 others, with their count-in of 5 s and 10 s to change places. */
    @Test
    void as_many_as_you_like_of_some_is_said_with_all_of_them_and_timed_by_the_most() {
        Lesson lesson = World.lesson(
                40,
                World.task(
                        "finger-wake",
                        World.CATALOGUE
                                .ladder("finger-wake")
                                .orElseThrow()
                                .rungs()
                                .get(0)
                                .id(),
                        d -> {
                            d.dose = new BlockDose.ByCount(40, 1.0, List.of(30, 20, 40));
                            d.sets = 1;
                            d.optionalSets = 1;
                        }));
        BlockPlan plan =
                LessonPlan.of(lesson, World.setting(World.LOFT, 4)).blocks().get(0);

        assertThat(plan.words().task()).contains("20, 30 or 40 ").contains(", as you like");
        assertThat(plan.workSec()).isEqualTo(40);
        // A single round may be for those who want it: all of it can fall away.
        assertThat(plan.optionalSec()).isEqualTo(plan.endSec() - plan.startSec());
        // Fewer sets than were optional: all of them are.
        Block fewer = lesson.blocks().get(0).with(d -> d.optionalSets = 4);
        assertThat(fewer.optionalSets()).isEqualTo(1);
        assertThatThrownBy(() -> new BlockDose.ByCount(20, 1.0, List.of(30))).hasMessageContaining("orReps[0]");
    }

    @Test
    void who_waits_waits_through_count_in_and_changing_places_too() {
        Lesson lesson = World.lesson(40, World.task("shoe-by-shoe", "eight-shoes", d -> {
            d.dose = new BlockDose.ByClock(60);
            d.sets = 1;
            d.mostSpots = 2;
            d.countInSec = 5;
            d.turnSwapSec = 10;
            d.roleTurns = Block.RoleTurns.EVERYONE_WORKS;
        }));
        Placed placed = Placed.all(lesson, World.setting(World.LOFT, 20)).get(0);

        assertThat(placed.waves()).isEqualTo(5);
        assertThat(placed.waitingSec()).isEqualTo(2 * 4 * 75);
    }

    private static BlockPlan plan(String ladderId, String rungId, Consumer<BlockDraft> change) {
        Lesson lesson = World.lesson(40, World.task(ladderId, rungId, change));
        return LessonPlan.of(lesson, World.setting(World.LOFT, 24)).blocks().get(0);
    }

    private static RunScript.ScriptRung run(String ladderId, String rungId, Consumer<BlockDraft> change) {
        Lesson lesson = World.lesson(40, World.task(ladderId, rungId, change));
        return ScriptWriter.write(lesson, World.setting(World.LOFT, 24)).blocks().stream()
                .filter(b -> ladderId.equals(b.ladderId()))
                .findFirst()
                .orElseThrow()
                .rung(rungId);
    }
}
