package org.unrulymarble.core.plan.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.unrulymarble.core.plan.World.lesson;
import static org.unrulymarble.core.plan.World.setting;
import static org.unrulymarble.core.plan.World.task;
import static org.unrulymarble.core.plan.findings.Provoked.pair;
import static org.unrulymarble.core.plan.findings.Provoked.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.place.SideBySide;
import org.unrulymarble.core.place.Surface;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.Station;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.plan.edit.CircuitEdit;
import org.unrulymarble.core.plan.findings.Provoked.Pair;
import org.unrulymarble.core.plan.findings.Provoked.Plan;
import org.unrulymarble.core.record.Judge;
import org.unrulymarble.core.record.Readiness;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.core.skill.LearntSkill;

/** Each finding is provoked, and is silent where there is no reason for it; what its mend changes takes it away. */
class FindingsTest {

    /** What only a teacher can mend, or what the provoking lesson leaves no room to. */
    private static final Set<Finding.Code> NOTHING_TO_PRESS = Set.of(Finding.Code.WAVES_MANY, Finding.Code.EFFORT_LEAP);

    @ParameterizedTest
    @EnumSource(Finding.Code.class)
    void is_provoked_stays_silent_without_reason_and_goes_with_its_mend(Finding.Code code) {
        Pair pair = pair(code);

        List<Finding> found = of(code, pair.with());
        assertThat(found).as("provoked").isNotEmpty();
        assertThat(of(code, pair.without())).as("without reason").isEmpty();
        Finding first = found.get(0);
        assertThat(first.mend() == null)
                .as("without a mend: %s", first.mend())
                .isEqualTo(NOTHING_TO_PRESS.contains(code));
        if (first.mend() != null) goesWithItsMend(first, pair.with());
    }

    @Test
    void what_was_put_beside_something_loud_is_laid_out_anew_where_that_helps() {
        Lesson laid =
                Provoked.circuit(1, task("low-and-loud-dribble", "knee-high"), task("table-top-taps", "hand-to-hand"));
        Setting setting = setting(World.LOFT, 4);
        String quietId = laid.blocks().get(1).id();
        SideBySide.Station loud =
                Station.of(laid, setting).get(laid.blocks().get(0).id()).place();
        SideBySide.Station quiet = Station.of(laid, setting).get(quietId).place();
        double besideM = loud.xM() > World.LOFT.size().lengthM() / 2
                ? loud.xM() - quiet.alongM() - 1
                : loud.xM() + loud.alongM() + 1;
        Lesson put = new CircuitEdit.PlaceStation("c", quietId, besideM, quiet.yM() > 3 ? loud.yM() : quiet.yM())
                .on(laid, setting);

        Plan near = new Plan(put, setting);
        Finding found = of(Finding.Code.LOUD_BESIDE_QUIET, near).get(0);
        assertThat(found.figures()).containsEntry("task", "Table-top taps");
        assertThat(found.mend().kind()).isEqualTo(Finding.Mend.Kind.LAY_OUT);
        goesWithItsMend(found, near);
    }

    private static void goesWithItsMend(Finding first, Plan plan) {
        Lesson mended = Findings.mended(plan.lesson(), plan.setting(), first.id());
        assertThat(of(first.code(), new Plan(mended, plan.setting())))
                .as("after %s", first.mend())
                .extracting(Finding::id)
                .doesNotContain(first.id());
    }

    private static List<Finding> of(Finding.Code code, Plan plan) {
        return plan.findings().findings().stream().filter(f -> f.code() == code).toList();
    }

    @Test
    void a_mend_keeps_ball_rung_and_task_as_long_as_it_can() {
        // Too few balls: others fill up, the task stays.
        Plan short_ = new Plan(
                lesson(40, task("wall-and-back", "two-hands-bounce")).withShape(Lesson.Shape.FREE),
                setting(World.LOFT, 10).with(World.kit(Map.of("tennis-ball", 3, "foam-ball", 6, "chalk", -1))));
        Finding kit = of(Finding.Code.KIT_SHORT, short_).get(0);
        assertThat(kit.mend().kind()).isEqualTo(Finding.Mend.Kind.FILL_UP);
        assertThat(kit.figures()).containsEntry("need", 5).containsEntry("have", 3);
        assertThat(Findings.mended(short_.lesson(), short_.setting(), kit.id())
                        .blocks()
                        .get(0)
                        .kit())
                .containsExactly(new Block.KitChoice("ball", List.of("tennis-ball", "foam-ball")));

        // Too low for three claps: a rung with fewer, on the same ladder.
        Plan low = plan(World.place(6, 6, 2.4, null, Surface.WOOD), task("claps-and-turns", "three-claps"), 8);
        Finding claps = of(Finding.Code.CLAPS_TOO_MANY, low).get(0);
        assertThat(claps.mend().kind()).isEqualTo(Finding.Mend.Kind.OTHER_RUNG);
        assertThat(Findings.mended(low.lesson(), low.setting(), claps.id())
                        .blocks()
                        .get(0)
                        .ladderId())
                .isEqualTo("claps-and-turns");

        // No wall at all: the nearest of kin, of the same family.
        Plan noWall = plan(World.CORRIDOR, task("wall-and-back", "two-hands-bounce"), 8);
        Finding wall = of(Finding.Code.NO_WALL, noWall).get(0);
        assertThat(wall.mend().kind()).isEqualTo(Finding.Mend.Kind.OTHER_TASK);
        String kin = Findings.mended(noWall.lesson(), noWall.setting(), wall.id())
                .blocks()
                .get(0)
                .ladderId();
        assertThat(World.CATALOGUE.ladder(kin).orElseThrow().family())
                .isEqualTo(World.CATALOGUE.ladder("wall-and-back").orElseThrow().family());
    }

    @Test
    void a_gate_is_judged_by_the_pupils_own_tries_and_says_whose_are_missing() {
        Block run = task("there-and-back", "without-a-drop", d -> {
            d.dose = BlockDose.byGate(120);
            d.gate = new Gate.Reach(18);
        });
        Plan unknown = plan(World.LOFT, run, 10);
        Finding f = of(Finding.Code.GATE_OUT_OF_REACH, unknown).get(0);
        assertThat(f.figures()).containsEntry("byPlanningRate", 10);

        Setting sure = unknown.setting()
                .knowing(new Standings(
                        new Judge(Readiness.USUAL, LearntSkill.NOTHING, LocalDate.EPOCH),
                        unknown.setting().pupils().stream()
                                .map(p -> new Standings.Able(p.id(), "there-and-back", "without-a-drop", 6, 0.2, true))
                                .toList()));
        assertThat(of(Finding.Code.GATE_OUT_OF_REACH, new Plan(unknown.lesson(), sure)))
                .isEmpty();
    }

    @Test
    void what_is_let_stand_keeps_its_reason_and_no_longer_stops() {
        Plan plan = plan(World.CORRIDOR, task("wall-and-back", "two-hands-bounce"), 8);
        String id = of(Finding.Code.NO_WALL, plan).get(0).id();
        assertThat(plan.findings().stops()).isNotEmpty();

        Lesson silenced = plan.lesson().withSilenced(List.of(new Lesson.Silenced(id, "the doors are walls enough")));

        assertThat(Findings.of(silenced, plan.setting()).stops()).isEmpty();
        assertThat(Findings.of(silenced, plan.setting()).findings())
                .filteredOn(f -> f.id().equals(id))
                .extracting(Finding::silenced)
                .containsExactly("the doors are walls enough");
    }

    @Test
    void a_finding_that_is_not_there_is_refused() {
        Plan plan = plan(World.LOFT, task("table-top-taps", "hand-to-hand"), 8);

        assertThatThrownBy(() -> Findings.mended(plan.lesson(), plan.setting(), "NO_WALL:b1"))
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.faults()).extracting("field").containsExactly("finding"));
    }

    @Test
    void a_staircase_and_a_count_tell_what_this_class_does_with_them() {
        Block stairs =
                task("shoe-by-shoe", "eight-shoes", d -> d.dose = BlockDose.byStaircase(2, OnMiss.STEP_IN, 0.25, 120));
        var plan = org.unrulymarble.core.plan.LessonPlan.of(lesson(40, stairs), setting(World.LOFT, 8));
        var pacing = plan.blocks().get(0).pacing();
        assertThat(pacing.stepLow()).isLessThan(pacing.stepHigh());
        assertThat(pacing.stepLikely()).isBetween(pacing.stepLow(), pacing.stepHigh());

        Block count = task("shoe-by-shoe", "eight-shoes", d -> d.dose = BlockDose.byCount(10, 4.0));
        var counted = org.unrulymarble.core.plan.LessonPlan.of(lesson(40, count), setting(World.LOFT, 8));
        // Ten tries take at least ten hits' time and at most ten misses'.
        assertThat(counted.blocks().get(0).pacing().halfSec()).isBetween(35.0, 46.0);
        assertThat(counted.blocks().get(0).pacing().fourOfFiveSec())
                .isGreaterThanOrEqualTo(counted.blocks().get(0).pacing().halfSec());
    }
}
