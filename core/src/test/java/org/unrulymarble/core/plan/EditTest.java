package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.edit.LessonEdit;

/** What follows from a change by a rule of the house. */
class EditTest {

    private static final Setting LOFT = World.setting(World.LOFT, 12);

    private static Lesson after(Edit... edits) {
        return Edit.all(List.of(edits), Lesson.of(40, Lesson.Audience.CLASS, List.of()), LOFT);
    }

    private static Block only(Edit... edits) {
        Lesson lesson = after(edits);
        assertThat(lesson.blocks()).hasSize(1);
        return lesson.blocks().get(0);
    }

    private static LessonEdit.Add add(String ladderId, String rungId) {
        return new LessonEdit.Add("b1", null, ladderId, rungId);
    }

    @Test
    void free_time_takes_a_word_before_it_and_talk_and_water_take_none() {
        Lesson lesson = after(
                new LessonEdit.AddTime("f", null, Block.Kind.FREE, null),
                new LessonEdit.AddTime("w", 0, Block.Kind.WATER, null),
                new LessonEdit.AddTime("t", 99, Block.Kind.TALK, 90));

        assertThat(lesson.blocks())
                .extracting(Block::id, Block::explainSec, b -> b.dose().seconds())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("w", 0, 60),
                        org.assertj.core.groups.Tuple.tuple("f", 15, 180),
                        org.assertj.core.groups.Tuple.tuple("t", 0, 90));
    }

    @Test
    void bowls_for_points_are_counted_and_not_timed() {
        assertThat(only(add("bowl-at-rings", "with-points")).dose()).isInstanceOf(BlockDose.ByCount.class);
    }

    @Test
    void where_the_partner_feeds_waiting_is_no_rest() {
        assertThat(only(add("wall-and-back", "two-hands-bounce")).waitIsRest()).isTrue();
        String fed = World.CATALOGUE.all().stream()
                .filter(l -> l.roles().stream().anyMatch(r -> r.name().equals("feeder")))
                .findFirst()
                .orElseThrow()
                .id();
        String first = World.CATALOGUE.ladder(fed).orElseThrow().rungs().get(0).id();
        assertThat(only(add(fed, first)).waitIsRest()).isFalse();
    }

    @Test
    void a_task_from_elsewhere_comes_before_the_cool_down_and_a_cool_down_after_it() {
        String coolDown = World.CATALOGUE.all().stream()
                .filter(l -> l.part() == Part.COOL_DOWN)
                .findFirst()
                .orElseThrow()
                .id();
        String hold =
                World.CATALOGUE.ladder(coolDown).orElseThrow().rungs().get(0).id();
        assertThat(after(
                                new LessonEdit.Add("a", null, "wall-and-back", "two-hands-bounce"),
                                new LessonEdit.Add("z", null, coolDown, hold),
                                new LessonEdit.Add("b", null, "wall-and-back", "two-hands-bounce"),
                                new LessonEdit.Add("y", null, coolDown, hold))
                        .blocks())
                .extracting(Block::id)
                .containsExactly("a", "b", "z", "y");
    }

    @Test
    void the_whole_warm_up_comes_backwards_at_the_end_and_takes_the_cool_downs_place() {
        String warm = World.CATALOGUE.all().stream()
                .filter(l -> l.part() == Part.WARM_UP)
                .findFirst()
                .orElseThrow()
                .id();
        List<Rung> rungs = World.CATALOGUE.ladder(warm).orElseThrow().rungs();
        Lesson lesson = after(
                new LessonEdit.Add("w1", null, warm, rungs.get(0).id()),
                new LessonEdit.Add("w2", null, warm, rungs.get(1).id()),
                new LessonEdit.Add("main", null, "wall-and-back", "two-hands-bounce"),
                new LessonEdit.Add("old", null, warm, rungs.get(0).id()),
                new BlockEdit.ChoosePart("old", Part.COOL_DOWN),
                new LessonEdit.EndWithWarmUpBackwards("cool"));

        assertThat(lesson.blocks())
                .extracting(Block::id, Block::reverses)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("w1", null),
                        org.assertj.core.groups.Tuple.tuple("w2", null),
                        org.assertj.core.groups.Tuple.tuple("main", null),
                        org.assertj.core.groups.Tuple.tuple("cool", "w2"),
                        org.assertj.core.groups.Tuple.tuple("cool-2", "w1"));
    }

    @Test
    void another_rung_brings_its_pace_and_leaves_the_count_that_the_teacher_chose() {
        Block block = only(
                add("wall-and-back", "two-hands-bounce"),
                new BlockEdit.SetDose("b1", BlockDose.byCount(12, 9.9)),
                new BlockEdit.SetGate("b1", new Gate.InARow(3)),
                new BlockEdit.ChooseRung("b1", "step-back-a-catch"));

        BlockDose.ByCount usual = (BlockDose.ByCount) BlockDraft.doseOf(
                BlockDose.Type.COUNT,
                World.CATALOGUE.rung("wall-and-back", "step-back-a-catch").orElseThrow());
        assertThat(block.dose()).isEqualTo(BlockDose.byCount(12, usual.secPerRep()));
        assertThat(usual.secPerRep()).isNotEqualTo(9.9);
        assertThat(block.gate()).as("a gate belongs to its rung").isNull();
    }

    @Test
    void a_cue_after_a_try_needs_the_round_twice() {
        Block block = only(
                add("wall-and-back", "two-hands-bounce"),
                new BlockEdit.SetSets("b1", 1),
                new BlockEdit.GiveCue("b1", Block.Cue.AFTER_A_TRY));
        assertThat(block.sets()).isEqualTo(2);
    }

    @Test
    void saying_the_change_takes_its_seconds_and_gives_them_back() {
        Edit[] said = {add("wall-and-back", "two-hands-bounce"), new BlockEdit.SayChange("b1", true)};
        int with = only(said).explainSec();
        Block without = only(said[0], said[1], new BlockEdit.SayChange("b1", false));
        assertThat(with - without.explainSec()).isEqualTo(BlockEdit.SayChange.SEC);
        assertThat(without).isEqualTo(only(said[0]));
    }

    @Test
    void the_cool_down_goes_backwards_and_stands_alone_when_its_warm_up_is_gone() {
        Lesson lesson = after(
                new LessonEdit.Add("warm", null, "wake-the-joints", "top-down"),
                new LessonEdit.AddBackwards("cool", "warm"));
        assertThat(lesson.blocks().get(1).reverses()).isEqualTo("warm");
        assertThat(lesson.blocks().get(1).part()).isEqualTo(Part.COOL_DOWN);

        Lesson gone = new LessonEdit.Remove("warm").on(lesson, LOFT);
        assertThat(gone.blocks())
                .singleElement()
                .satisfies(b -> assertThat(b.reverses()).isNull());
        Block marked = Edit.all(
                        List.of(
                                new LessonEdit.Add("wall", 0, "wall-serve-stepping-back", "near-line"),
                                new BlockEdit.MarkBand("wall"),
                                new BlockEdit.GoBackwards("wall", "warm")),
                        lesson,
                        LOFT)
                .blocks()
                .get(0);
        assertThat(marked.ladderId()).isEqualTo("wake-the-joints");
        assertThat(marked.mark()).as("a band belongs to its wall").isNull();
        Lesson main = new BlockEdit.ChoosePart("cool", Part.MAIN).on(lesson, LOFT);
        assertThat(main.blocks().get(1).reverses())
                .as("only a cool-down goes backwards")
                .isNull();
    }

    @Test
    void a_task_with_a_swing_is_no_quiet_task_at_the_tables() {
        assertThat(World.CATALOGUE.all().stream()
                        .filter(l -> l.goesMeanwhile())
                        .filter(l -> l.swingM() != null || l.footprint().needsWall() || l.perSpot() > 1))
                .isEmpty();
        String swing = World.CATALOGUE.all().stream()
                .filter(l -> l.swingM() != null)
                .findFirst()
                .orElseThrow()
                .id();
        Block.Task task = new Block.Task(
                swing,
                World.CATALOGUE.ladder(swing).orElseThrow().rungs().get(0).id());
        assertThatThrownBy(() -> only(add("wall-and-back", "two-hands-bounce"), new BlockEdit.SetMeanwhile("b1", task)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("task");
    }

    @Test
    void split_for_some_leaves_nobody_out_and_nobody_twice() {
        List<String> all = LOFT.pupils().stream().map(PlanPupil::id).toList();
        List<String> some = all.subList(0, 5);
        Lesson lesson = after(add("wall-and-back", "two-hands-bounce"), new LessonEdit.SplitFor("b1", "b2", some));
        assertThat(lesson.blocks().get(0).onlyPupilIds()).isEqualTo(some);
        assertThat(lesson.blocks().get(1).onlyPupilIds()).isEqualTo(all.subList(5, 12));
        assertThatThrownBy(() -> new LessonEdit.SplitFor("b1", "b3", all).on(lesson, LOFT))
                .isInstanceOf(Refused.class);
    }

    @Test
    void blocks_are_copied_moved_and_swapped() {
        Lesson three = Edit.all(
                IntStream.range(0, 3)
                        .<Edit>mapToObj(i -> new LessonEdit.Add("b" + i, null, "wall-and-back", "two-hands-bounce"))
                        .toList(),
                Lesson.of(40, Lesson.Audience.CLASS, List.of()),
                LOFT);
        assertThat(ids(new LessonEdit.Move("b0", 9).on(three, LOFT))).containsExactly("b1", "b2", "b0");
        assertThat(ids(new LessonEdit.Swap("b0", "b2").on(three, LOFT))).containsExactly("b2", "b1", "b0");
        assertThat(ids(new LessonEdit.Copy("b1", "again").on(three, LOFT))).containsExactly("b0", "b1", "again", "b2");
        assertThatThrownBy(() -> new LessonEdit.Move("nobody", 0).on(three, LOFT))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("blockId");
    }

    @Test
    void the_best_kind_of_kit_is_no_choice_and_a_modifier_comes_once() {
        String ball = World.CATALOGUE
                .ladder("wall-and-back")
                .orElseThrow()
                .ballRole()
                .orElseThrow()
                .kind();
        String role = World.CATALOGUE
                .ladder("wall-and-back")
                .orElseThrow()
                .ballRole()
                .orElseThrow()
                .role();
        Modifier m = World.CATALOGUE
                .rung("wall-and-back", "two-hands-bounce")
                .orElseThrow()
                .modifiers()
                .get(0);
        Block block = only(
                add("wall-and-back", "two-hands-bounce"),
                new BlockEdit.PlayWith("b1", role, List.of("balled-socks")),
                new BlockEdit.PlayWith("b1", role, List.of(ball)),
                new BlockEdit.SetModifier("b1", m, true),
                new BlockEdit.SetModifier("b1", m, true));
        assertThat(block.kit()).isEmpty();
        assertThat(block.modifiers()).containsExactly(m);
    }

    private static List<String> ids(Lesson lesson) {
        return lesson.blocks().stream().map(Block::id).toList();
    }
}
