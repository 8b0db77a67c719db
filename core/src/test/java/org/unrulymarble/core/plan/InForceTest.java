package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.OnMiss;
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
                                + "counts, in steps beyond the first.");
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
                                + "to the start. Go on until the stop (90 s). Remember the furthest place that you held.");
        assertThat(rung.words().counts()).contains("held with 3 in a row");
    }

    @Test
    void a_count_changes_the_words_and_the_gate_asks_for_the_same_share() {
        BlockPlan twenty = plan("shoe-by-shoe", "eight-shoes", d -> d.dose = new BlockDose.ByCount(20, 4.0));
        assertThat(twenty.words().task()).endsWith("20 goes.");
        assertThat(twenty.gate()).isEqualTo(new Gate.SoManyOf(14, 20));

        BlockPlan five = plan("shoe-by-shoe", "eight-shoes", d -> d.dose = new BlockDose.ByCount(5, 4.0));
        assertThat(five.words().task()).endsWith("5 goes.");
        assertThat(five.gate()).isEqualTo(new Gate.SoManyOf(4, 5));

        BlockPlan clock = plan("shoe-by-shoe", "eight-shoes", d -> d.dose = new BlockDose.ByClock(45));
        assertThat(clock.words().task()).endsWith("Go on until the stop (45 s).");
        assertThat(clock.gate()).isEqualTo(new Gate.SoManyOf(7, 10));
    }

    @Test
    void both_sides_in_turn_say_so() {
        BlockPlan each = plan("wall-and-back", "same-hand", d -> d.dose = new BlockDose.ByClock(60));
        assertThat(each.words().task()).contains("Go on until the stop (60 s), then the other side.");

        BlockPlan one = plan("wall-and-back", "same-hand", d -> {
            d.dose = new BlockDose.ByClock(60);
            d.sides = Block.SideChoice.FIRST_ONLY;
        });
        assertThat(one.words().task()).contains("Go on until the stop (60 s).");
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
