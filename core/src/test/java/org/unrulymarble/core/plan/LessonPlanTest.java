package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.place.Surface;
import org.unrulymarble.core.run.RunScript;

class LessonPlanTest {

    @Test
    void waves_and_parts_make_the_turns_and_the_clock_knows_them() {
        LessonPlan plan = LessonPlan.of(lesson(wall()), World.setting(World.LOFT, 24));

        BlockPlan block = plan.blocks().get(0);
        // Six spots of a pair each: twelve at the wall, twelve who wait; each pair changes parts once.
        assertThat(block.spots().spots()).isEqualTo(6);
        assertThat(List.of(block.waves(), block.partsToRotate(), block.turns())).containsExactly(2, 2, 4);
        assertThat(List.of(block.workingAtOnce(), block.helping(), block.waiting()))
                .containsExactly(6, 6, 12);
        // 30 + 40, then 2 sets of 4 turns of (5 + 40) and 3 changes of 10, one change between the sets.
        assertThat(plan.totalSec()).isEqualTo(70 + 2 * (4 * 45 + 3 * 10) + 10);
        assertThat(plan.movingSecPerPupil()).isEqualTo(80);
        assertThat(plan.pastBellSec()).isEqualTo(plan.totalSec() - 600);
    }

    @Test
    void who_waits_is_idle_unless_there_is_a_quiet_task() {
        LessonPlan idle = LessonPlan.of(lesson(wall()), World.setting(World.LOFT, 24));
        LessonPlan busy = LessonPlan.of(
                lesson(wall(new Block.Task("table-top-taps", "hand-to-hand"))), World.setting(World.LOFT, 24));

        // The other wave works 2 parts of 40 s in each of 2 sets, with a count-in of 5 s and 10 s to change places.
        assertThat(List.of(idle.idleSecPerPupil(), idle.quietSecPerPupil())).containsExactly(220L, 0L);
        assertThat(List.of(busy.idleSecPerPupil(), busy.quietSecPerPupil())).containsExactly(0L, 220L);
        // 80 s of serves, 3 in 4.375 s x 4; 220 s of taps, 3 in 0.8 s x 4.
        assertThat(busy.touches()).isEqualTo(14 + 206);
    }

    @Test
    void a_block_for_some_has_spots_for_them_and_the_quiet_task_for_the_others() {
        Setting setting = World.setting(World.LOFT, 24);
        List<String> some =
                setting.pupils().subList(3, 7).stream().map(PlanPupil::id).toList();
        Block group = wall(new Block.Task("table-top-taps", "hand-to-hand")).with(d -> d.onlyPupilIds = some);
        LessonPlan plan = LessonPlan.of(lesson(group), setting);

        // Two pairs at once at the wall; the other twenty wait through 2 sets of 2 parts of 40 s.
        BlockPlan block = plan.blocks().get(0);
        assertThat(List.of(block.waves(), block.workingAtOnce(), block.helping(), block.waiting()))
                .containsExactly(1, 2, 2, 20);
        assertThat(plan.quietSecPerPupil()).isEqualTo(20 * 160 / 24);
        RunScript script = ScriptWriter.write(lesson(group), setting);
        assertThat(script.blocks().get(0).turns()).hasSize(2).allSatisfy(turn -> {
            Set<String> atWork = new HashSet<>();
            turn.crews().forEach(c -> {
                atWork.addAll(c.workers());
                atWork.addAll(c.helpers());
            });
            assertThat(atWork).containsExactlyInAnyOrderElementsOf(some);
            assertThat(turn.waiting()).hasSize(20).doesNotContainAnyElementsOf(some);
        });
        // Once none of them is in the class any more, it is for everyone.
        Block ofNobody = group.with(d -> d.onlyPupilIds = List.of("gone"));
        assertThat(LessonPlan.of(lesson(ofNobody), setting).blocks().get(0).waiting())
                .isEqualTo(12);
    }

    @Test
    void a_run_knows_with_what_ball_it_is_played() {
        Setting setting = World.setting(World.LOFT, 24);
        String role = World.CATALOGUE
                .ladder("wall-serve-stepping-back")
                .flatMap(l -> l.ballRole())
                .orElseThrow()
                .role();
        Block own = wall();
        Block other = own.with(d -> d.kit = List.of(new Block.KitChoice(role, List.of("foam-ball", "sock-ball"))));

        assertThat(ScriptWriter.write(lesson(own), setting).blocks().get(0).ball())
                .startsWith("a light volleyball");
        assertThat(ScriptWriter.write(lesson(other), setting).blocks().get(0).ball())
                .isEqualTo("foam ball or pair of rolled socks");
    }

    @Test
    void a_room_that_holds_nothing_says_why_and_still_has_a_clock() {
        LessonPlan plan = LessonPlan.of(lesson(wall()), World.setting(World.CORRIDOR, 24));

        assertThat(plan.blocks().get(0).spots().reason().name()).isIn("NO_WALL", "CEILING_TOO_LOW");
        assertThat(plan.blocks().get(0).waves()).isEqualTo(1);
        assertThat(plan.totalSec()).isPositive();
    }

    @ParameterizedTest
    @CsvSource({"EACH,60,60", "FIRST_ONLY,60,0", "SECOND_ONLY,0,60"})
    void right_and_left_get_what_was_chosen(Block.SideChoice sides, long right, long left) {
        Block block = block("clap-and-collect", "one-hand-in", BlockDose.byClock(30), 2, sides, null);

        LessonPlan plan = LessonPlan.of(lesson(block), World.setting(World.LOFT, 24));

        assertThat(List.of(plan.rightSec(), plan.leftSec())).containsExactly(right, left);
    }

    @Test
    void at_home_one_pupil_has_nobody_to_change_parts_with() {
        Block block = block("clap-and-collect", "both-hands", BlockDose.byClock(30), 1, Block.SideChoice.EACH, null);
        Lesson home = Lesson.of(10, Lesson.Audience.EACH_AT_HOME, List.of(block));

        LessonPlan plan = LessonPlan.of(home, World.setting(World.place(2.4, 2.4, 2.4, null, Surface.ANY), 18));

        assertThat(plan.blocks().get(0).turns()).isEqualTo(1);
    }

    @Test
    void unknown_ladders_and_rungs_are_named_with_their_block() {
        Block strange = block("no-such-ladder", "x", BlockDose.byClock(30), 1, Block.SideChoice.EACH, null);
        Block strangeQuiet = wall(new Block.Task("table-top-taps", "no-such-rung"));

        assertThatThrownBy(() -> LessonPlan.of(lesson(wall(), strange, strangeQuiet), World.setting(World.LOFT, 24)))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults())
                                .extracting("field")
                                .containsExactly("blocks[1].ladderId", "blocks[2].meanwhile.rungId"));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 7, 12, 23, 24, 27})
    void in_the_script_everyone_works_and_nobody_is_in_two_places(int pupils) {
        List<String> ids = IntStream.range(0, pupils).mapToObj(i -> "p" + i).toList();

        RunScript script = ScriptWriter.write(
                lesson(wall()),
                World.setting(World.LOFT, pupils)
                        .of(ids.stream()
                                .map(id -> new PlanPupil(id, id, 10, Set.of(), Map.of()))
                                .toList()));

        RunScript.ScriptBlock block = script.blocks().get(0);
        Map<String, Integer> worked = new HashMap<>();
        for (RunScript.ScriptTurn turn : block.turns()) {
            List<String> there = new ArrayList<>(turn.waiting());
            Set<Integer> spots = new HashSet<>();
            for (RunScript.Crew crew : turn.crews()) {
                there.addAll(crew.workers());
                there.addAll(crew.helpers());
                assertThat(crew.spot()).isLessThan(6);
                assertThat(spots.add(crew.spot())).isTrue();
                crew.workers().forEach(w -> worked.merge(w, 1, Integer::sum));
            }
            assertThat(there).containsExactlyInAnyOrderElementsOf(ids);
        }
        assertThat(worked.keySet()).containsExactlyInAnyOrderElementsOf(ids);
        // With an odd number three share a spot, and work no less and no more than the others.
        assertThat(worked.values()).containsOnly(1);
        long turnsPlayed = script.segments().stream()
                .filter(s -> s.kind() == Segment.Kind.WORK && s.set() == 0)
                .count();
        assertThat(turnsPlayed).isEqualTo(block.turns().size());
    }

    @Test
    void taught_again_to_others_it_keeps_what_was_said_of_those_who_are_there() {
        Block block = wall().with(d -> {
            d.onlyPupilIds = List.of("ada", "ben");
            d.variants = List.of(
                    new Block.Variant("ada", Adaptation.SEATED, null),
                    new Block.Variant("cleo", Adaptation.ONE_HAND, null));
        });
        Lesson again = lesson(block).again(Set.of("ben", "cleo"));

        assertThat(again.blocks().get(0).onlyPupilIds()).containsExactly("ben");
        assertThat(again.blocks().get(0).variants())
                .extracting(Block.Variant::pupilId)
                .containsExactly("cleo");
    }

    private static Block wall() {
        return wall(null);
    }

    private static Block wall(Block.Task meanwhile) {
        return block(
                "wall-serve-stepping-back", "near-line", BlockDose.byClock(40), 2, Block.SideChoice.EACH, meanwhile);
    }

    private static Lesson lesson(Block... blocks) {
        return World.lesson(10, blocks);
    }

    private static Block block(
            String ladder, String rung, BlockDose dose, int sets, Block.SideChoice sides, Block.Task meanwhile) {
        BlockDraft d = BlockDraft.timeFor("b", Block.Kind.TASK, 1);
        d.ladderId = ladder;
        d.rungId = rung;
        d.dose = dose;
        d.sets = sets;
        d.sides = sides;
        d.setupSec = 30;
        d.explainSec = 40;
        d.countInSec = 5;
        d.sideSwapSec = 5;
        d.turnSwapSec = 10;
        d.restSec = 20;
        d.waitIsRest = true;
        d.counted = true;
        d.meanwhile = meanwhile;
        return d.block();
    }
}
