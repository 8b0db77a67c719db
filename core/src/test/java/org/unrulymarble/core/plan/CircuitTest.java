package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.plan.edit.CircuitEdit;
import org.unrulymarble.core.plan.edit.LessonEdit;
import org.unrulymarble.core.plan.findings.Findings;
import org.unrulymarble.core.record.Judge;
import org.unrulymarble.core.record.Readiness;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.core.rotation.Company;
import org.unrulymarble.core.rotation.Groups;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RunEvent;
import org.unrulymarble.core.run.RunLog;
import org.unrulymarble.core.run.RunScript;
import org.unrulymarble.core.run.RunState;
import org.unrulymarble.core.run.What;
import org.unrulymarble.core.skill.LearntSkill;

class CircuitTest {

    private static final Setting LOFT = World.setting(World.LOFT, 23);

    /** Two tasks in which the partner counts and one in which both work, 2 rounds of 45 s, 15 s rest, 30 s to change. */
    private static Lesson circuit() {
        Lesson apart = World.lesson(
                40,
                World.task("wake-the-joints", "top-down"),
                World.task("wall-and-back", "two-hands-bounce"),
                World.task("round-the-middle", "waist", d -> d.dose = BlockDose.byClock(30)),
                World.task("there-and-back", "underarm-two-hands"));
        return apart.withCircuits(List.of(Circuit.of("c", List.of("b2", "b3", "b4"), 2, 45, 15, 30)));
    }

    @Test
    void every_group_is_at_every_station_once_and_everybody_works_as_often() {
        RunScript script = ScriptWriter.write(circuit(), LOFT);
        RunScript.ScriptCircuit c = script.circuits().get(0);
        assertThat(c.groups()).extracting(List::size).containsExactly(7, 8, 8);
        assertThat(c.groupAt()).containsExactly(List.of(0, 1, 2), List.of(2, 0, 1), List.of(1, 2, 0));

        for (int station = 1; station <= 3; station++) {
            int block = station;
            List<Segment> rounds = script.segments().stream()
                    .filter(s -> s.block() == block && s.kind() == Segment.Kind.WORK)
                    .toList();
            assertThat(rounds).hasSize(6);
            List<String> workers = rounds.stream()
                    .flatMap(r -> script.turnOf(r).crews().stream())
                    .flatMap(crew -> crew.workers().stream())
                    .toList();
            assertThat(Set.copyOf(workers)).hasSize(23);
            // Where the partner counts, each works in one of the two rounds; where both work, in both.
            assertThat(workers).hasSize(station == 3 ? 46 : 23);
        }
        // At any time nobody is at two stations.
        script.segments().stream()
                .filter(s -> s.kind() == Segment.Kind.WORK && s.block() > 0)
                .forEach(s -> {
                    List<String> here = Stream.concat(Stream.of(s), besides(script, s))
                            .map(script::turnOf)
                            .flatMap(turn -> Stream.concat(
                                    turn.waiting().stream(),
                                    turn.crews().stream()
                                            .flatMap(
                                                    of -> Stream.concat(of.workers().stream(), of.helpers().stream()))))
                            .toList();
                    if (s.beside() == null) assertThat(here).hasSize(23).doesNotHaveDuplicates();
                });
    }

    private static Stream<Segment> besides(RunScript script, Segment s) {
        return script.segments().stream().filter(o -> o.beside() != null && o.beside() == s.index());
    }

    @Test
    void one_signal_for_all_and_the_plan_says_the_same_time() {
        LessonPlan plan = LessonPlan.of(circuit(), LOFT);
        RunScript script = ScriptWriter.write(circuit(), LOFT);
        List<Segment> tiles =
                script.segments().stream().filter(s -> s.beside() == null).toList();
        long now = 0;
        for (Segment s : tiles) {
            assertThat(s.startSec()).isEqualTo(now);
            now = s.endSec();
        }
        assertThat(now).isEqualTo(plan.totalSec());

        CircuitPlan c = plan.circuits().get(0);
        // 20 s to set up, three explanations of 25 s, three visits of 2 x (5 + 45) + 15 s, two changes of 30 s.
        assertThat(c.endSec() - c.startSec()).isEqualTo(20 + 75 + 3 * 115 + 2 * 30);
        assertThat(c.stageSec()).isEqualTo(115);
        assertThat(tiles)
                .filteredOn(s -> s.kind() == Segment.Kind.STATION_CHANGE)
                .extracting(Segment::durationSec)
                .containsExactly(30L, 30L);
        // One round of two at the wall and round the middle, where work is shorter than the round; both of 40 s there
        // and back.
        assertThat(plan.blocks()).extracting(BlockPlan::movingSecPerPupil).endsWith(30L, 45L, 80L);
        assertThat(plan.blocks().get(2).setStretches()).hasSize(3);
        assertThat(c.groups().get(1).stationOf()).containsExactly(1, 2, 0);
        assertThat(plan.movingSecPerPupil())
                .isEqualTo(plan.blocks().stream()
                        .mapToLong(BlockPlan::movingSecPerPupil)
                        .sum());
    }

    @Test
    void a_station_rests_longer_than_the_others_and_works_so_much_shorter() {
        CircuitPlan before = LessonPlan.of(circuit(), LOFT).circuits().get(0);
        Lesson rested = new CircuitEdit.SetStationRest("c", "b2", 33).on(circuit(), LOFT);
        LessonPlan plan = LessonPlan.of(rested, LOFT);
        CircuitPlan after = plan.circuits().get(0);

        assertThat(after.stations().get(0).rest().sec()).isEqualTo(33);
        assertThat(after.roundSec()).as("the others go on as before").isEqualTo(before.roundSec());
        assertThat(plan.totalSec()).isEqualTo(LessonPlan.of(circuit(), LOFT).totalSec());
        assertThat(ScriptWriter.write(rested, LOFT).segments())
                .filteredOn(s -> s.block() == 1 && s.kind() == Segment.Kind.WORK)
                .extracting(Segment::durationSec)
                .containsOnly((long) after.roundSec() + 15 - 33);
        // One signal for all: less than all rest nobody can, and ten seconds of work are left.
        StationRest may = after.stations().get(0).rest();
        assertThat(may.leastSec()).isEqualTo(15);
        for (int sec : new int[] {may.leastSec() - 1, may.mostSec() + 1})
            assertThatThrownBy(() -> new CircuitEdit.SetStationRest("c", "b2", sec).on(circuit(), LOFT))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining("restSec");
        assertThat(LessonPlan.of(new CircuitEdit.SetStationRest("c", "b2", may.mostSec()).on(circuit(), LOFT), LOFT)
                        .blocks()
                        .get(1)
                        .workSec())
                .isEqualTo(10);
    }

    @Test
    void what_no_longer_round_fills_goes_to_the_rests_of_the_stations() {
        // A few seconds more a round are many in eighteen rounds; seventy are left.
        long totalSec = LessonPlan.of(sixRounds(40, 20), LOFT).totalSec();
        int minutes = (int) (totalSec + 70 + 59) / 60;
        Lesson early = sixRounds(minutes, (int) (20 + 60L * minutes - 70 - totalSec));
        assertThat(LessonPlan.of(early, LOFT).pastBellSec()).isEqualTo(-70);

        Lesson filled = Findings.filled(early, LOFT);
        assertThat(filled.circuits().get(0).restSec()).isBetween(16, 25);
        assertThat(LessonPlan.of(filled, LOFT).pastBellSec()).isBetween(-44L, 0L);
    }

    private static Lesson sixRounds(int minutes, int explainSec) {
        return World.lesson(
                        minutes,
                        World.task("wake-the-joints", "top-down", d -> d.explainSec = explainSec),
                        World.task("wall-and-back", "two-hands-bounce"),
                        World.task("round-the-middle", "waist"),
                        World.task("there-and-back", "underarm-two-hands"))
                .withCircuits(List.of(Circuit.of("c", List.of("b2", "b3", "b4"), 6, 45, 15, 30)));
    }

    @Test
    void results_of_all_stations_are_kept_with_their_task_and_the_time_that_was_worked() {
        RunScript script = ScriptWriter.write(circuit(), LOFT);
        Segment lead = script.segments().stream()
                .filter(s -> s.kind() == Segment.Kind.WORK && s.block() > 0)
                .findFirst()
                .orElseThrow();
        Segment wall =
                besides(script, lead).filter(s -> s.block() == 1).findFirst().orElseThrow();
        String pupil = script.turnOf(wall).crews().get(0).workers().get(0);
        RunLog log = new RunLog(script)
                .add(List.of(
                        event(1, 0, new What.Go(lead.index(), 0L)),
                        event(2, 9_000, new What.Tapped(wall.index(), 1, pupil, new Tap.Hit(null))),
                        event(3, 10_000, new What.Next(lead.index() + 1, 0L))));
        RoundResult kept = log.fold(11_000).results().get(0);
        assertThat(kept.pupilId()).isEqualTo(pupil);
        assertThat(kept.rungId()).isEqualTo("two-hands-bounce");
        assertThat(kept.time().workedSec()).isEqualTo(10);

        // Begun again, what was counted beside the clock's own segment counts for nothing either.
        RunState again = log.add(List.of(event(0, 9_500, new What.Hold(lead.index(), 9_500L))))
                .fold(11_000);
        assertThat(again.results()).isNotEmpty();
        RunLog anew = new RunLog(script)
                .add(List.of(
                        event(1, 0, new What.Go(lead.index(), 0L)),
                        event(2, 5_000, new What.Tapped(wall.index(), 1, pupil, new Tap.Hit(null))),
                        event(3, 6_000, new What.Again(lead.index(), 0L))));
        assertThat(anew.fold(7_000).results()).isEmpty();
        assertThat(anew.played(7_000).take(wall.index())).isEqualTo(2);

        // A whole round: the lead's 45 s, the wall's own 30.
        RunLog whole = new RunLog(script)
                .add(List.of(
                        event(1, 0, new What.Go(lead.index(), 0L)),
                        event(2, 5_000, new What.Tapped(wall.index(), 1, pupil, new Tap.Hit(null)))));
        assertThat(whole.fold(60_000).results().get(0).time().workedSec()).isEqualTo(30);
        assertThat(whole.fold(46_000).clock().at(script, 46_000).segment())
                .as("after the round comes the rest, not the round beside it")
                .isEqualTo(lead.index() + 3);
    }

    private static RunEvent event(int order, long atMs, What what) {
        return new RunEvent(UUID.fromString("00000000-0000-7000-8000-00000000000" + order), atMs, "one", what);
    }

    @Test
    void kit_is_needed_at_all_stations_at_once() {
        Block waist = World.task("round-the-middle", "waist");
        Lesson apart = World.lesson(40, waist, waist, waist);
        Lesson circuit =
                new CircuitEdit.PutTogether("c", List.of("b1", "b2", "b3")).on(apart, World.setting(World.LOFT, 12));
        Setting eleven = World.setting(World.LOFT, 12).with(World.kit(Map.of("netball", 11)));
        assertThat(Gather.of(circuit, World.setting(World.LOFT, 12))
                        .items()
                        .get(0)
                        .count())
                .as("three groups of four, each with a ball")
                .isEqualTo(12);
        assertThat(Findings.of(circuit, eleven).stops())
                .extracting(f -> f.code().name() + f.blockId() + f.figures().get("have"))
                .containsExactly("KIT_SHORTb33");
    }

    @Test
    void stations_stay_together_move_together_and_one_alone_is_a_block_again() {
        Lesson circuit = circuit();
        assertThat(ids(new LessonEdit.Move("c", 0).on(circuit, LOFT))).containsExactly("b2", "b3", "b4", "b1");
        assertThat(ids(new LessonEdit.Move("b1", 1).on(circuit, LOFT)))
                .as("past the circuit, not into it")
                .containsExactly("b2", "b3", "b4", "b1");
        assertThat(ids(new LessonEdit.Move("b4", 1).on(circuit, LOFT))).containsExactly("b1", "b4", "b2", "b3");

        Lesson two = new LessonEdit.Remove("b3").on(circuit, LOFT);
        assertThat(two.circuits().get(0).stationIds()).containsExactly("b2", "b4");
        assertThat(new LessonEdit.Remove("b4").on(two, LOFT).circuits()).isEmpty();

        assertThatThrownBy(() -> new CircuitEdit.PutTogether("d", List.of("b1", "b9")).on(circuit, LOFT))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("blockIds[1]");
    }

    private static List<String> ids(Lesson lesson) {
        return lesson.blocks().stream().map(Block::id).toList();
    }

    @Test
    void groups_are_as_the_teacher_says_and_whoever_is_in_none_joins_the_smallest() {
        List<String> all = LOFT.pupils().stream().map(PlanPupil::id).toList();
        Lesson own = new CircuitEdit.SetGroups(
                        "c", List.of(all.subList(0, 10), all.subList(10, 16), all.subList(16, 22)))
                .on(circuit(), LOFT);
        RunScript script = ScriptWriter.write(own, LOFT);
        assertThat(script.circuits().get(0).groups()).extracting(List::size).containsExactly(10, 7, 6);
        assertThat(new HashSet<>(script.circuits().get(0).groups().get(1))).contains(all.get(22));
        assertThatThrownBy(() -> new CircuitEdit.SetGroups("c", List.of(all)).on(circuit(), LOFT))
                .hasMessageContaining("groups");
    }

    @Test
    void in_the_order_of_the_class_only_whom_the_teacher_wants_apart_or_together_is_exchanged() {
        List<List<String>> before = groups(LOFT);
        List<String> first = before.get(0);
        String last = before.get(2).get(7);

        List<List<String>> after = groups(
                LOFT.among(new Company(List.of(first.subList(0, 2)), List.of(List.of(first.get(2), last)), List.of())));

        assertThat(after).extracting(List::size).containsExactly(7, 8, 8);
        assertThat(after).noneMatch(g -> g.containsAll(first.subList(0, 2)));
        assertThat(after).anyMatch(g -> g.contains(first.get(2)) && g.contains(last));
        long moved = before.stream()
                .flatMap(List::stream)
                .filter(id -> at(before, id) != at(after, id))
                .count();
        assertThat(moved).isBetween(2L, 4L);
    }

    private static List<List<String>> groups(Setting setting) {
        return ScriptWriter.write(circuit(), setting).circuits().get(0).groups();
    }

    private static int at(List<List<String>> groups, String id) {
        for (int g = 0; g < groups.size(); g++) if (groups.get(g).contains(id)) return g;
        throw new AssertionError(id);
    }

    @Test
    void groups_are_fair_or_like_with_like_by_what_is_known_of_them_there() {
        Setting known = World.setting(World.LOFT, 9).knowing(able(3, 2, 1, 3, 2, 1, 3, 2, 1));
        Lesson alike = new CircuitEdit.GroupBy("c", Groups.Mode.ALIKE).on(circuit(), known);
        assertThat(levels(alike)).containsExactlyInAnyOrder(List.of(3, 3, 3), List.of(2, 2, 2), List.of(1, 1, 1));
        Lesson even = new CircuitEdit.GroupBy("c", Groups.Mode.EVEN).on(circuit(), known);
        assertThat(levels(even)).containsExactly(List.of(1, 2, 3), List.of(1, 2, 3), List.of(1, 2, 3));
    }

    @Test
    void pairs_of_a_block_are_alike_or_fair_by_what_is_known_of_them_and_keep_to_the_teachers_word() {
        Setting known = World.setting(World.LOFT, 6).knowing(able(3, 2, 1, 3, 2, 1));
        assertThat(pairs(known, Block.Together.IN_ORDER)).containsExactly("p1p2", "p3p4", "p5p6");
        assertThat(pairs(known, Block.Together.LIKE_WITH_LIKE)).containsExactly("p1p4", "p2p5", "p3p6");
        // Fair: the best with one of the weakest, twice, and the two in the middle.
        assertThat(pairs(known, Block.Together.MIXED)).contains("p2p5").doesNotContain("p1p4", "p3p6");
        Company apart = new Company(List.of(List.of("p2", "p5")), List.of(), List.of());
        assertThat(pairs(known.among(apart), Block.Together.LIKE_WITH_LIKE)).doesNotContain("p2p5");
    }

    private static List<String> pairs(Setting setting, Block.Together together) {
        Lesson lesson = World.lesson(40, World.task("wall-and-back", "two-hands-bounce", d -> d.together = together));
        return ScriptWriter.write(lesson, setting).blocks().get(0).turns().stream()
                .filter(turn -> turn.part() == 0)
                .flatMap(turn -> turn.crews().stream())
                .map(crew -> Stream.concat(crew.workers().stream(), crew.helpers().stream())
                        .sorted()
                        .collect(Collectors.joining()))
                .sorted()
                .toList();
    }

    /** As pupil p1, p2, ... are able at the wall. */
    private static Standings able(int... abilities) {
        List<Standings.Able> all = new ArrayList<>();
        for (int i = 0; i < abilities.length; i++)
            all.add(new Standings.Able("p" + (i + 1), "wall-and-back", "two-hands-bounce", abilities[i], 0.5, true));
        return new Standings(new Judge(Readiness.USUAL, LearntSkill.NOTHING, LocalDate.EPOCH), all);
    }

    private static List<List<Integer>> levels(Lesson lesson) {
        return lesson.circuits().get(0).groups().stream()
                .map(g -> g.stream()
                        .map(id -> 3 - (Integer.parseInt(id.substring(1)) - 1) % 3)
                        .sorted()
                        .toList())
                .toList();
    }
}
