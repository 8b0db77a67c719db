package org.unrulymarble.core.plan.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.unrulymarble.core.plan.World.lesson;
import static org.unrulymarble.core.plan.World.setting;
import static org.unrulymarble.core.plan.World.task;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.plan.edit.BlockEdit;

/** What could take a task's place: the likest that are sound here, each with what it changes. */
class AlternativeTest {

    private static final Lesson FED = lesson(40, task("glove-side", "on-the-glove-side"));
    private static final Setting STORE = setting(World.NET_STORE, 8).of(World.aged(12, 8));

    @Test
    void each_is_sound_here_and_says_what_the_lesson_would_come_to() {
        List<Alternative> all = Alternative.to("b1", FED, STORE, false);

        assertThat(all).hasSize(8);
        assertThat(ladder(all.get(0)).family()).isEqualTo(ladder("glove-side").family());
        assertThat(all).extracting(Alternative::ladderId).doesNotContain("glove-side");
        for (Alternative to : all) {
            Lesson then = new BlockEdit.ChooseTask("b1", to.ladderId(), to.rungId()).on(FED, STORE);
            assertThat(Findings.of(then, STORE).stops()).as(to.ladderId()).isEmpty();
            LessonPlan plan = LessonPlan.of(then, STORE);
            assertThat(to.totalSec()).isEqualTo(plan.totalSec());
            assertThat(to.movingShare()).isEqualTo(plan.movingShare());
            assertThat(to.alone()).isEqualTo(ladder(to).perSpot() == 1);
        }
        // Alone all eight work at the same time, or as many as there are spots for.
        assertThat(all).anyMatch(to -> to.alone() && to.atOnce() > 4);
    }

    @Test
    void without_a_feeder_there_are_only_tasks_that_each_does_alone() {
        List<Alternative> alone = Alternative.to("b1", FED, STORE, true);

        assertThat(alone).isNotEmpty().allMatch(Alternative::alone);
        assertThat(alone).allMatch(to -> ladder(to).roles().size() == 1);
        assertThatThrownBy(() -> Alternative.to("b9", FED, STORE, true)).isInstanceOf(Refused.class);
    }

    private static Ladder ladder(Alternative to) {
        return ladder(to.ladderId());
    }

    private static Ladder ladder(String id) {
        return World.CATALOGUE.ladder(id).orElseThrow();
    }
}
