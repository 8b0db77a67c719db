package org.unrulymarble.core.propose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.plan.BlockPlan;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.plan.findings.Finding;
import org.unrulymarble.core.plan.findings.Findings;
import org.unrulymarble.core.propose.NextLesson.Wish;

/** What is proposed where tasks may be side by side. */
class BesideTest {

    private static final Proposer PROPOSER = new Proposer((ask, hint) -> Proposer.Proof.NONE);

    @ParameterizedTest
    @MethodSource("org.unrulymarble.core.propose.NextLessonTest#roomsAndMinutes")
    void is_sound_ends_by_the_bell_and_moves_everybody_at_least_as_much(Place room, int minutes) {
        Setting setting = World.setting(room, 24);
        NextLesson found = beside(setting, minutes, Wish.AS_USUAL, List.of());
        Findings findings = Findings.of(found.lesson(), setting);

        assertThat(findings.stops()).isEmpty();
        assertThat(findings.findings())
                .extracting(Finding::code)
                .as("a minute for water is found")
                .doesNotContain(Finding.Code.WATER_MISSING);
        assertThat(findings.plan().pastBellSec()).isBetween(-90L, 0L);
        assertThat(found.reasons())
                .hasSizeLessThanOrEqualTo(found.lesson().blocks().size());
        assertThat(found.minutes().movingSecPerPupil())
                .isEqualTo(findings.plan().movingSecPerPupil());
        assertThat(found.oneAfterTheOther() != null)
                .isEqualTo(!found.lesson().circuits().isEmpty());
        if (found.oneAfterTheOther() != null)
            assertThat(found.minutes().movingShare())
                    .isGreaterThan(found.oneAfterTheOther().movingShare());
    }

    @Test
    void twenty_four_move_more_than_half_the_time_in_the_loft_and_nine_twentieths_in_the_corridor() {
        NextLesson loft = beside(World.setting(World.LOFT, 24), 40, Wish.AS_USUAL, List.of());
        assertThat(loft.lesson().circuits()).hasSize(1);
        assertThat(loft.minutes().movingShare()).isGreaterThanOrEqualTo(0.55);

        NextLesson corridor = beside(World.setting(World.CORRIDOR, 24), 40, Wish.AS_USUAL, List.of());
        assertThat(corridor.minutes().movingShare()).isGreaterThanOrEqualTo(0.45);
    }

    @Test
    void everybody_has_as_many_rounds_at_a_station_and_what_is_to_be_kept_is_kept() {
        Setting setting = World.setting(World.LOFT, 24);
        NextLesson found = beside(setting, 40, Wish.AS_USUAL, List.of("wall-and-back"));
        LessonPlan plan = LessonPlan.of(found.lesson(), setting);

        assertThat(found.lesson().blocks()).extracting(b -> b.ladderId()).contains("wall-and-back");
        found.lesson()
                .circuits()
                .forEach(c -> assertThat(plan.blocks())
                        .filteredOn(b -> c.stationIds().contains(b.id()))
                        .extracting(BlockPlan::turns)
                        .allSatisfy(turns -> assertThat(c.rounds() % turns).isZero()));
    }

    @Test
    void of_lessons_that_are_worth_about_as_much_one_without_a_loud_station_beside_a_quiet_one() {
        Setting setting = World.setting(World.LOFT, 18);
        NextLesson found = beside(setting, 40, Wish.AS_USUAL, List.of());
        // The one that is worth most by less than a minute's waiting has one.
        assertThat(LessonPlan.of(found.lesson(), setting).circuits())
                .singleElement()
                .satisfies(c -> assertThat(c.quietApart()).isTrue());
        assertThat(found.minutes().movingShare()).isGreaterThanOrEqualTo(0.6);
    }

    @Test
    void a_room_where_nearly_all_would_wait_gets_no_lesson() {
        assertThat(beside(World.setting(World.HOME, 24), 60, Wish.AS_USUAL, List.of())
                        .lesson())
                .isNull();
        assertThat(beside(World.setting(World.HOME, 1), 20, Wish.AS_USUAL, List.of())
                        .lesson())
                .isNotNull();
    }

    @Test
    void few_pupils_and_those_at_home_are_put_into_no_groups() {
        assertThat(beside(World.setting(World.CORRIDOR, 5), 40, Wish.MORE_MOVING, List.of())
                        .lesson()
                        .circuits())
                .isEmpty();
        NextLesson home = NextLesson.proposeBeside(
                Lesson.of(12, Lesson.Audience.EACH_AT_HOME, List.of()),
                World.setting(World.HOME, 24),
                List.of(),
                new NextLesson.Wishes(null, null, null),
                PROPOSER::first);
        assertThat(home.lesson().circuits()).isEmpty();
    }

    private static NextLesson beside(Setting setting, int minutes, Wish wish, List<String> keep) {
        return NextLesson.proposeBeside(
                Lesson.of(minutes, Lesson.Audience.CLASS, List.of()),
                setting,
                List.of(),
                new NextLesson.Wishes(wish, keep, null),
                PROPOSER::first);
    }
}
