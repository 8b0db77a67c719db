package org.unrulymarble.core.rehearse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.BlockPlan;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.plan.edit.CircuitEdit;
import org.unrulymarble.core.rehearse.Rehearsal.OfBlock;
import org.unrulymarble.core.rehearse.Rehearsal.RehearsalAsk;
import org.unrulymarble.core.rehearse.Rehearsal.Spread;

class RehearsalTest {

    private static final int PUPILS = 12;

    /** Nobody is away and everything takes as long as planned: only tries are chance. */
    private static Rehearsal triesOnly(Lesson lesson, Setting setting, int plays) {
        return Rehearsal.of(new RehearsalAsk(lesson, setting, plays, 7L, 0.0, 1.0, 0.0));
    }

    @Test
    void with_nothing_left_to_chance_it_ends_when_the_plan_says() {
        Setting setting = World.setting(World.LOFT, PUPILS);
        Lesson apart = World.lesson(
                40,
                World.task("wake-the-joints", "top-down"),
                World.task("wall-and-back", "two-hands-bounce"),
                World.task("round-the-middle", "waist"));
        for (Lesson lesson : List.of(apart, new CircuitEdit.PutTogether("c", List.of("b2", "b3")).on(apart, setting))) {
            LessonPlan plan = LessonPlan.of(lesson, setting);
            Rehearsal told = triesOnly(lesson, setting, 5);
            double total = plan.totalSec();
            assertThat(told.endSec()).isEqualTo(new Spread(total, total, total));
            assertThat(told.pastBellShare()).isZero();
            assertThat(told.here().low()).isEqualTo(PUPILS);
            for (int b = 0; b < plan.blocks().size(); b++)
                assertThat(told.blocks().get(b).endSec().likely())
                        .isLessThanOrEqualTo(plan.blocks().get(b).endSec());
        }
    }

    static Stream<Block> gates() {
        return World.CATALOGUE.all().stream()
                .filter(l -> l.counted())
                .map(l -> World.task(l.id(), l.rungs().get(0).id()));
    }

    /** The plan reckons the same number exactly. */
    @ParameterizedTest
    @MethodSource("gates")
    void as_many_meet_a_gate_as_the_reckonings_say(Block block) {
        Setting setting = World.setting(World.YARD, PUPILS);
        Lesson lesson = World.lesson(60, block);
        BlockPlan plan = LessonPlan.of(lesson, setting).blocks().get(0);
        OfBlock told = triesOnly(lesson, setting, 300).blocks().get(0);
        if (plan.pacing().reachGate() == null) {
            assertThat(told.expected()).isNull();
            return;
        }
        assertThat(told.expected()).isCloseTo(plan.pacing().reachGate(), within(0.06 * PUPILS));
        assertThat(told.pupils().stream().mapToDouble(p -> p.chance()).sum()).isCloseTo(told.expected(), within(1e-6));
    }

    @Test
    void one_round_more_brings_what_it_says() {
        Setting setting = World.setting(World.LOFT, PUPILS);
        Block once = World.task("wall-and-back", "two-hands-bounce", d -> d.sets = 1);
        OfBlock one = triesOnly(World.lesson(40, once), setting, 600).blocks().get(0);
        OfBlock two = triesOnly(World.lesson(40, once.with(d -> d.sets = 2)), setting, 600)
                .blocks()
                .get(0);
        assertThat(one.oneRoundMore()).isPositive();
        assertThat(one.expected() + one.oneRoundMore()).isCloseTo(two.expected(), within(0.4));
        assertThat(two.tries()).isCloseTo(2 * one.tries(), within(0.1 * one.tries()));
    }

    @Test
    void absences_and_slow_changes_widen_the_band_and_the_same_seed_plays_the_same() {
        Setting setting = World.setting(World.LOFT, 24);
        Lesson lesson = World.lesson(
                40, World.task("wall-and-back", "two-hands-bounce"), World.task("round-the-middle", "waist"));
        LessonPlan plan = LessonPlan.of(lesson, setting);
        Rehearsal told = Rehearsal.of(RehearsalAsk.usual(lesson, setting));
        assertThat(told.endSec().low()).isLessThan(told.endSec().high());
        assertThat(told.here().likely()).isBetween(22.0, 24.0);
        assertThat(told.here().low()).isLessThan(24);
        assertThat(told.endSec().high()).isGreaterThan(plan.totalSec());
        assertThat(Rehearsal.of(RehearsalAsk.usual(lesson, setting))).isEqualTo(told);
    }

    @Test
    void a_round_that_a_gate_ends_ends_when_the_last_one_is_through() {
        Setting setting = World.setting(World.LOFT, 2);
        Block byGate = World.task("wall-and-back", "two-hands-bounce", d -> d.dose = BlockDose.byGate(240));
        Rehearsal told = triesOnly(World.lesson(40, byGate), setting, 200);
        assertThat(told.endSec().likely())
                .isLessThan(LessonPlan.of(World.lesson(40, byGate), setting).totalSec());
    }
}
