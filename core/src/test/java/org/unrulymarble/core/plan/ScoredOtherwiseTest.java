package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.RungWords;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.CountInTime;
import org.unrulymarble.core.measure.Course;
import org.unrulymarble.core.measure.CourseTime;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.HitsOfN;
import org.unrulymarble.core.measure.KeepAll;
import org.unrulymarble.core.measure.LongestRun;
import org.unrulymarble.core.measure.Match;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Rings;
import org.unrulymarble.core.measure.TimeForN;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.core.run.RunScript;

class ScoredOtherwiseTest {

    private static final Setting SETTING = World.setting(World.LOFT, 12);
    private static final String CUP = "cup-and-sock";
    private static final Rung IN_A_ROW =
            World.CATALOGUE.ladder(CUP).orElseThrow().rungs().get(1);

    @Test
    void a_longest_row_is_scored_as_most_in_a_minute_with_pad_gate_and_words() {
        Lesson lesson = edited(
                World.lesson(40, World.task(CUP, IN_A_ROW.id())), new BlockEdit.SetMeasure("b1", new CountInTime()));

        BlockPlan plan = LessonPlan.of(lesson, SETTING).blocks().get(0);
        RunScript.ScriptRung rung = scriptRung(lesson, IN_A_ROW.id());
        assertThat(rung.measure()).isEqualTo(new CountInTime());
        assertThat(rung.scoredBy()).isEqualTo(new CountInTime());
        assertThat(plan.words().counts()).endsWith("Scored here: how many before the stop; a miss ends nothing.");
        // Ten in a row stays ten in a row, and is no longer ten in all.
        assertThat(plan.gate()).isEqualTo(new Gate.InARow(IN_A_ROW.gate().reach()));
        assertThat(edited(lesson, new BlockEdit.SetMeasure("b1", null))
                        .blocks()
                        .get(0)
                        .measure())
                .isNull();
    }

    @Test
    void of_so_many_goes_the_count_ends_the_round_and_back_by_the_clock_it_does_not() {
        Lesson ofTen = edited(
                World.lesson(40, World.task(CUP, IN_A_ROW.id())), new BlockEdit.SetMeasure("b1", new HitsOfN(null)));
        assertThat(ofTen.blocks().get(0).dose()).isInstanceOf(BlockDose.ByCount.class);
        assertThat(edited(ofTen, new BlockEdit.SetMeasure("b1", null))
                        .blocks()
                        .get(0)
                        .dose())
                .isInstanceOf(BlockDose.ByClock.class);
    }

    @Test
    void figures_of_its_own_are_the_same_measure_and_what_the_task_cannot_be_is_refused() {
        Rings own = new Rings(List.of(new Rings.Ring(15, 10), new Rings.Ring(40, 2)));
        Rung rings = rungScoredBy(Measure.Kind.RINGS);
        Lesson lesson = World.lesson(40, World.task(ladderOf(rings), rings.id(), d -> d.measure = own));
        assertThat(scriptRung(lesson, rings.id()).measure()).isEqualTo(own);

        assertThatThrownBy(() -> edited(
                        World.lesson(40, World.task(CUP, IN_A_ROW.id())),
                        new BlockEdit.SetMeasure("b1", new KeepAll(4, null))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("measure");
        Lesson saved = World.lesson(40, World.task(CUP, IN_A_ROW.id(), d -> d.measure = own));
        assertThatThrownBy(() -> Allowed.check(saved, World.CATALOGUE, World.FULL))
                .hasMessageContaining("blocks[0].measure");
    }

    @Test
    void a_drawn_course_has_its_floor_its_gate_and_its_words_and_compares_with_its_like_only() {
        Rung timed = rungScoredBy(Measure.Kind.COURSE_TIME);
        Course square = new Course(
                List.of(
                        new Course.Marker(0.0, 0.0),
                        new Course.Marker(4.0, 0.0),
                        new Course.Marker(4.0, 3.0),
                        new Course.Marker(0.0, 0.0)),
                false);
        Lesson plain = World.lesson(40, World.task(ladderOf(timed), timed.id()));
        Lesson drawn = edited(plain, new BlockEdit.SetMeasure("b1", new CourseTime(square)));

        BlockPlan plan = LessonPlan.of(drawn, SETTING).blocks().get(0);
        assertThat(plan.course().lengthM()).isEqualTo(12);
        // 12 m with 233 degrees of turning, a ball led: at 1.2 m/s and 1 s a quarter turn.
        assertThat(plan.course().fairSec()).isEqualTo(13);
        assertThat(plan.gate()).isEqualTo(new Gate.Reach(plan.course().fairSec()));
        assertThat(plan.words().task())
                .endsWith("The course is drawn: 3 markers, 12 m; the first time is the one to beat.");
        assertThat(Placed.all(drawn, SETTING).get(0).needed().lengthM()).isEqualTo(4.5);
        assertThat(Placed.all(drawn, SETTING).get(0).needed().widthM()).isEqualTo(3.5);
        assertThat(Placed.all(drawn, SETTING).get(0).kit())
                .filteredOn(role -> role.role().equals("markers"))
                .allMatch(role -> role.perSpot() == 3 && role.what().equals("3 flat markers"));
        assertThat(scriptRung(drawn, timed.id()).scoredBy()).isEqualTo(new CourseTime(square));
        assertThat(LessonPlan.of(plain, SETTING).blocks().get(0).course()).isNull();
        assertThat(scriptRung(plain, timed.id()).scoredBy()).isNull();
    }

    @Test
    void every_rung_reads_whole_under_any_gate_and_measure_that_its_block_may_have() {
        for (Ladder ladder : World.CATALOGUE.all())
            for (Rung rung : ladder.rungs()) {
                Block plain = World.task(ladder.id(), rung.id());
                for (Gate gate : plan(plain).gates())
                    for (Measure measure : measures(rung)) {
                        RungWords words = plan(plain.with(d -> {
                                    d.gate = gate;
                                    d.measure = measure;
                                }))
                                .words();
                        assertThat(words.task() + words.counts())
                                .doesNotContain("{")
                                .doesNotContain("  ");
                    }
            }
    }

    private static List<Measure> measures(Rung rung) {
        List<Measure> all =
                List.of(new CountInTime(), new LongestRun(), new HitsOfN(null), new TimeForN(12), new Match());
        return all.stream().filter(rung.measure()::mayBeScoredAs).toList();
    }

    private static BlockPlan plan(Block block) {
        return LessonPlan.of(World.lesson(40, block), SETTING).blocks().get(0);
    }

    @Test
    void a_match_that_is_played_to_a_score_needs_one() {
        Lesson saved = World.lesson(40, World.task("nearest-the-jack", "to-seven", d -> d.measure = new Match()));
        assertThatThrownBy(() -> Allowed.check(saved, World.CATALOGUE, World.FULL))
                .hasMessageContaining("blocks[0].measure.targetScore");
        Lesson toThree = World.lesson(40, World.task("nearest-the-jack", "to-seven", d -> d.measure = new Match(3)));
        Allowed.check(toThree, World.CATALOGUE, World.FULL);
        assertThat(plan(toThree.blocks().get(0)).words().task()).contains("3 points");
    }

    @Test
    void a_gate_says_the_same_under_another_measure() {
        Rung row = World.rung(new LongestRun(), new Gate.Reach(10));
        assertThat(row.gateUnder(new CountInTime())).isEqualTo(new Gate.InARow(10));
        Rung share = World.rung(new HitsOfN(10), new Gate.Reach(7));
        assertThat(share.gateUnder(new LongestRun())).isEqualTo(new Gate.SoManyOf(7, 10));
        Rung pace = World.rung(new CountInTime(), new Gate.SoManyIn(18, 30));
        // 18 in 30 s are 0.6 a second: 20 of them in 33 s.
        assertThat(pace.gateUnder(new TimeForN(20))).isEqualTo(new Gate.Reach(33));
        assertThat(World.rung(new TimeForN(20), new Gate.Reach(40)).gateUnder(new CountInTime()))
                .isEqualTo(new Gate.SoManyIn(20, 40));
    }

    @Test
    void results_scored_otherwise_have_a_best_of_their_own_and_meet_the_gate_in_its_own_words() {
        Attempt row = attempt("a", null, IN_A_ROW.gate().reach(), null);
        Attempt inTime = attempt("b", new CountInTime(), 40, IN_A_ROW.gate().reach() - 1);
        List<Challenge> both = Challenge.of(List.of(row, inTime), World.CATALOGUE);

        assertThat(both.get(0).sides())
                .extracting(s -> s.scoredBy(), s -> s.best().score())
                .containsExactlyInAnyOrder(tuple(null, IN_A_ROW.gate().reach()), tuple(new CountInTime(), 40));
        assertThat(Challenge.met(IN_A_ROW, row)).isTrue();
        // Forty in all, but never so many one after the other.
        assertThat(Challenge.met(IN_A_ROW, inTime)).isFalse();
        assertThat(Challenge.met(
                        IN_A_ROW,
                        attempt("c", new CountInTime(), 40, IN_A_ROW.gate().reach())))
                .isTrue();
    }

    @Test
    void each_set_may_be_on_a_rung_of_its_own() {
        String ladder = "finger-wake";
        List<Rung> rungs = World.CATALOGUE.ladder(ladder).orElseThrow().rungs();
        Lesson lesson = edited(
                World.lesson(40, World.task(ladder, rungs.get(0).id(), d -> d.sets = 3)),
                new BlockEdit.ChooseRungOfSet("b1", 2, rungs.get(1).id()),
                new BlockEdit.ChooseRungOfSet("b1", 3, rungs.get(2).id()));

        assertThat(LessonPlan.of(lesson, SETTING).blocks().get(0).onSets())
                .extracting(BlockPlan.OfSet::set, BlockPlan.OfSet::rungId)
                .containsExactly(
                        tuple(1, rungs.get(0).id()),
                        tuple(2, rungs.get(1).id()),
                        tuple(3, rungs.get(2).id()));
        RunScript.ScriptBlock block =
                ScriptWriter.write(lesson, SETTING).blocks().get(0);
        assertThat(List.of(block.rungOfSet(0), block.rungOfSet(1), block.rungOfSet(2), block.rungOfSet(7)))
                .containsExactly(
                        rungs.get(0).id(),
                        rungs.get(1).id(),
                        rungs.get(2).id(),
                        rungs.get(2).id());
        // A set that the block has not, and a rung that is done with other sides.
        assertThatThrownBy(() -> edited(
                        lesson,
                        new BlockEdit.ChooseRungOfSet("b1", 4, rungs.get(1).id())))
                .hasMessageContaining("set");
        Lesson sided = World.lesson(
                40, World.task("chest-pass-to-the-chalk", rung("chest-pass-to-the-chalk", 0), d -> d.sets = 2));
        assertThatThrownBy(
                        () -> edited(sided, new BlockEdit.ChooseRungOfSet("b1", 2, rung("chest-pass-to-the-chalk", 2))))
                .hasMessageContaining("rungId");
    }

    @Test
    void another_distance_and_target_are_said_and_kept_with_the_result() {
        Rung far = World.CATALOGUE.ladder("sock-bullseye").orElseThrow().rungs().get(0);
        Lesson lesson = edited(
                World.lesson(40, World.task("sock-bullseye", far.id())),
                new BlockEdit.SetStand("b1", 3.5),
                new BlockEdit.SetTarget("b1", "a bucket"));

        assertThat(LessonPlan.of(lesson, SETTING).blocks().get(0).words().task())
                .endsWith("Target here: a bucket.");
        RunScript script = ScriptWriter.write(lesson, SETTING);
        int work = script.segments().stream()
                .filter(s -> script.isRound(s.index()))
                .findFirst()
                .orElseThrow()
                .index();
        RoundResult result = new RoundResult(
                SETTING.pupils().get(0).id(),
                work,
                1,
                4,
                4,
                6,
                10,
                2,
                null,
                RoundResult.Source.ADULT,
                far.id(),
                false,
                false,
                null,
                List.of());
        Attempt kept = Attempt.ofRound("x", result, script, LocalDate.of(2027, 3, 1), "sock", "Sail loft");
        assertThat(kept.things()).isEqualTo(new Attempt.Things("sock", 3.5, "a bucket"));
        // The rung's own distance sets nothing apart.
        Lesson same = edited(lesson, new BlockEdit.SetStand("b1", far.standM()));
        assertThat(ScriptWriter.write(same, SETTING).blocks().get(0).otherwise().standM())
                .isNull();
    }

    private static Lesson edited(Lesson lesson, Edit... edits) {
        return Edit.all(List.of(edits), lesson, SETTING);
    }

    private static RunScript.ScriptRung scriptRung(Lesson lesson, String rungId) {
        return ScriptWriter.write(lesson, SETTING).blocks().get(0).rung(rungId);
    }

    private static String rung(String ladderId, int at) {
        return World.CATALOGUE.ladder(ladderId).orElseThrow().rungs().get(at).id();
    }

    private static Rung rungScoredBy(Measure.Kind kind) {
        return World.CATALOGUE.all().stream()
                .flatMap(l -> l.rungs().stream())
                .filter(r -> r.measure().kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static String ladderOf(Rung rung) {
        return World.CATALOGUE.all().stream()
                .filter(l -> l.rungs().contains(rung))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static Attempt attempt(String id, Measure scoredBy, int score, Integer inARow) {
        return new Attempt(
                id,
                "ada",
                LocalDate.of(2027, 3, 1),
                new Attempt.Task(
                        CUP, IN_A_ROW.id(), List.of(), Side.of(IN_A_ROW.sides()).get(0), scoredBy),
                1,
                new Attempt.Counts(score, score, 3, score + 3, inARow),
                new RoundTime(60, 60),
                new Attempt.Things(null, null, null),
                new Attempt.Setting(null, null, null),
                new Attempt.Worth(RoundResult.Source.ADULT, true, false, false),
                null,
                List.of());
    }
}
