package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.ladder.Routine;
import org.unrulymarble.core.ladder.Routine.Move;
import org.unrulymarble.core.plan.edit.LessonEdit;
import org.unrulymarble.core.run.RunScript;

class RoutineTest {

    /** 10 + 10 circles, 15 taps, a hold, 20 + 20 dribbles: 75 in 12 + 12 + 15 + 20 + 18 + 18 seconds. */
    private static final Routine ROUTINE = new Routine(
            "Morning round",
            List.of(
                    new Move("Round the waist", 10, 12, true),
                    new Move("Toe taps", 15, 15, false),
                    new Move("Ball held high", null, 20, false),
                    new Move("Low dribble", 20, 18, true)));

    private static final Setting SETTING = World.setting(World.LOFT, 6);

    @Test
    void its_count_touches_and_time_are_exact() {
        assertThat(ROUTINE.count()).isEqualTo(75);
        assertThat(ROUTINE.sec()).isEqualTo(95);
        BlockPlan plan = LessonPlan.of(twice(), SETTING).blocks().get(0);

        assertThat(plan.workSec()).isEqualTo(95);
        assertThat(plan.touches()).isEqualTo(150);
        assertThat(plan.movingSecPerPupil()).isEqualTo(190);
        assertThat(LessonPlan.of(twice(), SETTING).touches()).isEqualTo(150);
    }

    @Test
    void each_move_is_called_at_its_second_and_sides_one_after_the_other() {
        RunScript.Called calls =
                ScriptWriter.write(twice(), SETTING).blocks().get(0).calls();

        assertThat(calls.words())
                .containsExactly(
                        "Round the waist, 10, one side",
                        "Round the waist, 10, other side",
                        "Toe taps, 15",
                        "Ball held high",
                        "Low dribble, 20, one side",
                        "Low dribble, 20, other side");
        assertThat(calls.atSec()).containsExactly(0, 12, 24, 39, 59, 77);
    }

    @Test
    void it_lasts_as_long_as_its_moves_whatever_was_said_of_its_time() {
        Block longer = twice().blocks().get(0).with(d -> d.dose = BlockDose.byClock(600));
        assertThat(longer.dose()).isEqualTo(BlockDose.byClock(95));
        assertThatThrownBy(() -> twice().blocks().get(0).with(d -> d.routine = null))
                .hasMessageContaining("routine");
        assertThatThrownBy(() -> new Routine("x", List.of())).hasMessageContaining("moves");
        assertThatThrownBy(() -> new Move("Round", 0, 5, false)).hasMessageContaining("count");
    }

    @Test
    void the_plan_does_not_shorten_it_to_fit_the_bell() {
        Lesson lesson = World.lesson(3, twice().blocks().get(0));
        assertThat(LessonPlan.of(lesson, SETTING).pastBellSec()).isPositive();
    }

    private static Lesson twice() {
        Lesson empty = World.lesson(20);
        return new LessonEdit.AddTime("r", null, Block.Kind.ROUTINE, null)
                .on(empty, SETTING)
                .change("r", d -> {
                    d.routine = ROUTINE;
                    d.sets = 2;
                });
    }
}
