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
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.clock.RestRule;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Wall;
import org.unrulymarble.core.score.RunScript;

class LessonPlanTest {

    private static final Catalogue CATALOGUE = Catalogue.shipped();
    private static final Space LOFT = new Space(9.2, 6.4, 2.7, new Wall(9.2, 6.4));
    private static final Space CORRIDOR = new Space(14.0, 1.9, 2.4, null);

    @Test
    void waves_and_parts_make_the_turns_and_the_clock_knows_them() {
        LessonPlan plan = LessonPlan.of(lesson(wall()), LOFT, 24, CATALOGUE);

        LessonPlan.BlockPlan block = plan.blocks().get(0);
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
        LessonPlan idle = LessonPlan.of(lesson(wall()), LOFT, 24, CATALOGUE);
        LessonPlan busy =
                LessonPlan.of(lesson(wall(new Block.Task("table-top-taps", "hand-to-hand"))), LOFT, 24, CATALOGUE);

        // The other wave works 2 parts of 40 s in each of 2 sets.
        assertThat(List.of(idle.idleSecPerPupil(), idle.quietSecPerPupil())).containsExactly(160L, 0L);
        assertThat(List.of(busy.idleSecPerPupil(), busy.quietSecPerPupil())).containsExactly(0L, 160L);
        // 80 s of serves at 4 s each; 160 s of taps at 0.4 s each.
        assertThat(busy.touches()).isEqualTo(20 + 400);
    }

    @Test
    void a_room_that_holds_nothing_says_why_and_still_has_a_clock() {
        LessonPlan plan = LessonPlan.of(lesson(wall()), CORRIDOR, 24, CATALOGUE);

        assertThat(plan.blocks().get(0).spots().reason().name()).isIn("NO_WALL", "CEILING_TOO_LOW");
        assertThat(plan.blocks().get(0).waves()).isEqualTo(1);
        assertThat(plan.totalSec()).isPositive();
    }

    @ParameterizedTest
    @CsvSource({"EACH,60,60", "FIRST_ONLY,60,0", "SECOND_ONLY,0,60"})
    void right_and_left_get_what_was_chosen(Block.SideChoice sides, long right, long left) {
        Block block = block("clap-and-collect", "one-hand-in", Dose.byClock(30), 2, sides, null);

        LessonPlan plan = LessonPlan.of(lesson(block), LOFT, 24, CATALOGUE);

        assertThat(List.of(plan.rightSec(), plan.leftSec())).containsExactly(right, left);
    }

    @Test
    void at_home_one_pupil_has_nobody_to_change_parts_with() {
        Block block = block("clap-and-collect", "both-hands", Dose.byClock(30), 1, Block.SideChoice.EACH, null);
        Lesson home = new Lesson(10, Lesson.Audience.EACH_AT_HOME, RestRule.BETWEEN_SETS, 0, List.of(block));

        LessonPlan plan = LessonPlan.of(home, new Space(2.4, 2.4, 2.4, null), 18, CATALOGUE);

        assertThat(plan.blocks().get(0).turns()).isEqualTo(1);
    }

    @Test
    void unknown_ladders_and_rungs_are_named_with_their_block() {
        Block strange = block("no-such-ladder", "x", Dose.byClock(30), 1, Block.SideChoice.EACH, null);
        Block strangeQuiet = wall(new Block.Task("table-top-taps", "no-such-rung"));

        assertThatThrownBy(() -> LessonPlan.of(lesson(wall(), strange, strangeQuiet), LOFT, 24, CATALOGUE))
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

        RunScript script = ScriptWriter.write(lesson(wall()), LOFT, ids, CATALOGUE);

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
        // With an odd number one has no partner and works in both parts rather than standing idle.
        assertThat(worked.values().stream().filter(n -> n > 1).count()).isEqualTo(pupils == 1 ? 0 : pupils % 2);
        long turnsPlayed = script.segments().stream()
                .filter(s -> s.kind() == Segment.Kind.WORK && s.set() == 0)
                .count();
        assertThat(turnsPlayed).isEqualTo(block.turns().size());
    }

    private static Block wall() {
        return wall(null);
    }

    private static Block wall(Block.Task meanwhile) {
        return block("wall-serve-stepping-back", "near-line", Dose.byClock(40), 2, Block.SideChoice.EACH, meanwhile);
    }

    private static Lesson lesson(Block... blocks) {
        List<Block> all = new ArrayList<>();
        for (Block b : blocks) all.add(renamed(b, "b" + all.size()));
        return new Lesson(10, Lesson.Audience.CLASS, RestRule.BETWEEN_SETS, 30, all);
    }

    private static Block renamed(Block b, String id) {
        return new Block(
                id,
                b.ladderId(),
                b.rungId(),
                b.modifiers(),
                b.dose(),
                b.sets(),
                b.sides(),
                b.setupSec(),
                b.explainSec(),
                b.countInSec(),
                b.sideSwapSec(),
                b.turnSwapSec(),
                b.restSec(),
                b.waitIsRest(),
                b.counted(),
                b.meanwhile());
    }

    private static Block block(
            String ladder, String rung, Dose dose, int sets, Block.SideChoice sides, Block.Task meanwhile) {
        return new Block("b", ladder, rung, List.of(), dose, sets, sides, 30, 40, 5, 5, 10, 20, true, true, meanwhile);
    }
}
