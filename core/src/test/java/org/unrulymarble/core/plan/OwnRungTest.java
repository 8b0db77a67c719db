package org.unrulymarble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.record.Judge;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.record.Readiness;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.core.record.Standings.Able;
import org.unrulymarble.core.run.What;
import org.unrulymarble.core.skill.LearntSkill;

class OwnRungTest {

    @Test
    void each_is_on_the_rung_where_they_stand_however_it_is_scored() {
        // Counted in a time, the longest row, hits of so many: three measures on one ladder.
        BlockPlan plan = plan("cup-and-sock", 0, World.LOFT, 0, 1, 2);

        assertThat(plan.onRungs()).extracting(on -> on.names().size()).containsExactly(1, 1, 1);
        assertThat(plan.elsewhere()).isEmpty();
    }

    @Test
    void who_cannot_be_on_their_own_is_on_the_nearest_and_it_is_said_why() {
        // The first two rungs have no sides, the others both; the last goes by a place on the floor.
        assertThat(plan("wall-and-back", 0, World.LOFT, 1, 2).elsewhere())
                .extracting(BlockPlan.Elsewhere::standsOn, BlockPlan.Elsewhere::rungId, BlockPlan.Elsewhere::why)
                .containsExactly(tuple(rung("wall-and-back", 2), rung("wall-and-back", 1), OwnRung.Why.SIDES));
        // A timed course goes with nothing beside it.
        assertThat(plan("weave-and-back", 0, World.YARD, 3).elsewhere())
                .extracting(BlockPlan.Elsewhere::rungId, BlockPlan.Elsewhere::why)
                .containsExactly(tuple(rung("weave-and-back", 2), OwnRung.Why.MEASURE));
        // Nobody gathers a ball for a block without one.
        assertThat(plan("lateral-pass", 0, World.YARD, 1).elsewhere())
                .extracting(BlockPlan.Elsewhere::why)
                .containsExactly(OwnRung.Why.KIT);
    }

    @Test
    void whoever_chooses_begins_where_they_chose_the_last_time_else_on_their_own() {
        Setting setting = World.setting(World.LOFT, 2);
        String chooser = setting.pupils().get(0).id();
        LocalDate day = LocalDate.of(2026, 11, 2);
        List<PupilRemark> said = List.of(
                chose(chooser, day, rung("cup-and-sock", 2)),
                chose(chooser, day.plusDays(7), rung("cup-and-sock", 1)),
                new PupilRemark(chooser, day, "cup-and-sock", null, What.Remarked.Kind.SAID, "fun"));
        Lesson lesson = World.lesson(
                40, World.task("cup-and-sock", rung("cup-and-sock", 0), d -> d.rungBy = Block.RungBy.CHOOSE));

        Setting known = setting.knowing(
                new Standings(new Judge(Readiness.USUAL, LearntSkill.NOTHING, LocalDate.EPOCH), List.of(), said));

        assertThat(LessonPlan.of(lesson, known).blocks().get(0).onRungs())
                .extracting(BlockPlan.OnRung::rungId, on -> on.names().size())
                .containsExactlyInAnyOrder(tuple(rung("cup-and-sock", 1), 1), tuple(rung("cup-and-sock", 0), 1));
    }

    private static PupilRemark chose(String pupilId, LocalDate on, String rungId) {
        return new PupilRemark(pupilId, on, "cup-and-sock", rungId, What.Remarked.Kind.CHOSE, rungId);
    }

    private static String rung(String ladderId, int at) {
        return World.CATALOGUE.ladder(ladderId).orElseThrow().rungs().get(at).id();
    }

    /** A block for each on their own, planned on one rung, with a pupil who stands on each of the others. */
    private static BlockPlan plan(String ladderId, int planned, Place place, int... stand) {
        Setting setting = World.setting(place, stand.length);
        List<Able> own = new java.util.ArrayList<>();
        for (int i = 0; i < stand.length; i++)
            own.add(new Able(setting.pupils().get(i).id(), ladderId, rung(ladderId, stand[i]), 0, 0, false));
        Setting known = new Setting(
                place,
                setting.pupils(),
                World.FULL,
                World.CATALOGUE,
                World.PLANNING,
                new Standings(new Judge(Readiness.USUAL, LearntSkill.NOTHING, LocalDate.EPOCH), own));
        Lesson lesson =
                World.lesson(40, World.task(ladderId, rung(ladderId, planned), d -> d.rungBy = Block.RungBy.OWN));
        return LessonPlan.of(lesson, known).blocks().get(0);
    }
}
