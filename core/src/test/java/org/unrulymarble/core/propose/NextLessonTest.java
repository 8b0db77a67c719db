package org.unrulymarble.core.propose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.plan.findings.Finding;
import org.unrulymarble.core.plan.findings.Findings;

/** What is proposed for a class in a room: sound, within the bell, with what was asked for and without what was not. */
class NextLessonTest {

    private static final Proposer PROPOSER = new Proposer((ask, hint) -> Proposer.Proof.NONE);

    static Stream<Arguments> roomsAndMinutes() {
        return Stream.of(World.LOFT, World.CORRIDOR, World.NET_STORE, World.CLASSROOM, World.YARD)
                .flatMap(room -> Stream.of(20, 30, 40, 60).map(minutes -> Arguments.of(room, minutes)));
    }

    @ParameterizedTest
    @MethodSource("roomsAndMinutes")
    void is_sound_and_ends_before_the_bell(Place room, int minutes) {
        Setting setting = World.setting(room, 24);
        NextLesson found = propose(setting, minutes, new NextLesson.Wishes(null, null, null));
        LessonPlan plan = LessonPlan.of(found.lesson(), setting);

        assertThat(Findings.of(found.lesson(), setting).findings())
                .filteredOn(f -> f.level() == Finding.Level.STOP)
                .isEmpty();
        assertThat(plan.pastBellSec()).isBetween(-300L, 0L);
        // Water has no reason but the clock's.
        assertThat(found.lesson().blocks())
                .filteredOn(b -> b.kind() == Block.Kind.TASK)
                .hasSameSizeAs(found.reasons());
    }

    private static NextLesson propose(Setting setting, int minutes, NextLesson.Wishes wanted) {
        return NextLesson.propose(
                Lesson.of(minutes, Lesson.Audience.CLASS, List.of()), setting, List.of(), wanted, PROPOSER::propose);
    }

    /** The shapes of a plan are presets: what each asks for, a proposal in it does. */
    @ParameterizedTest
    @EnumSource(Lesson.Shape.class)
    void has_the_shape_that_the_lesson_has(Lesson.Shape shape) {
        Setting setting = World.setting(World.LOFT, 24);
        Lesson empty = Lesson.of(40, Lesson.Audience.CLASS, List.of()).withShape(shape);
        NextLesson found = NextLesson.propose(
                empty, setting, List.of(), new NextLesson.Wishes(null, null, null), PROPOSER::propose);

        assertThat(found.lesson().shape()).isEqualTo(shape);
        assertThat(Findings.of(found.lesson(), setting).findings())
                .extracting(Finding::code)
                .doesNotContain(
                        Finding.Code.WARM_UP_MISSING,
                        Finding.Code.COOL_DOWN_MISSING,
                        Finding.Code.COOL_DOWN_NOT_REVERSED,
                        Finding.Code.BALL_NOT_FIRST,
                        Finding.Code.SKILLS_MIXED,
                        Finding.Code.PAST_BELL);
    }

    @Test
    void is_of_one_sport_of_one_skill_or_of_as_many_kinds_as_go_in() {
        Setting setting = World.setting(World.LOFT, 24);
        List<Ladder> cricket = main(propose(setting, 40, new NextLesson.Wishes(null, null, null, "cricket", null)));
        List<Ladder> one = main(propose(setting, 40, new NextLesson.Wishes(null, null, null, null, true)));
        List<Ladder> many =
                main(propose(setting, 40, new NextLesson.Wishes(NextLesson.Wish.MORE_KINDS, null, null, null, null)));

        assertThat(cricket).isNotEmpty().allMatch(l -> l.sports().contains("cricket"));
        assertThat(one.stream().map(Ladder::family).distinct()).hasSize(1);
        assertThat(one).hasSizeGreaterThan(1);
        assertThat(many.stream().map(Ladder::family).distinct()).hasSizeGreaterThanOrEqualTo(3);
    }

    private static List<Ladder> main(NextLesson found) {
        return found.lesson().blocks().stream()
                .filter(b -> b.kind() == Block.Kind.TASK)
                .map(b -> World.CATALOGUE.ladder(b.ladderId()).orElseThrow())
                .filter(l -> l.part() == Part.MAIN)
                .toList();
    }

    @Test
    void keeps_what_is_to_be_kept_and_leaves_out_what_is_not() {
        Setting setting = World.setting(World.LOFT, 24);
        NextLesson found = propose(
                setting,
                40,
                new NextLesson.Wishes(null, List.of("clap-and-collect"), List.of("wake-the-joints", "wind-down")));

        assertThat(found.lesson().blocks())
                .extracting(b -> b.ladderId())
                .contains("clap-and-collect")
                .doesNotContain("wake-the-joints", "wind-down");
    }

    @Test
    void what_was_done_yesterday_stands_behind_what_was_left_for_weeks() {
        Setting setting = World.setting(World.LOFT, 24);
        NextLesson found = NextLesson.propose(
                Lesson.of(40, Lesson.Audience.CLASS, List.of()),
                setting,
                List.of(
                        new NextLesson.Practised("clap-and-collect", 1, 24, 0.7),
                        new NextLesson.Practised("low-and-loud-dribble", 40, 24, 0.7)),
                new NextLesson.Wishes(null, List.of("clap-and-collect", "low-and-loud-dribble"), null),
                PROPOSER::first);

        assertThat(found.reasons())
                .filteredOn(r -> r.ladderId().equals("clap-and-collect"))
                .allSatisfy(r -> assertThat(r.dueInDays()).isPositive());
        assertThat(found.reasons())
                .filteredOn(r -> r.ladderId().equals("low-and-loud-dribble"))
                .singleElement()
                .satisfies(r -> {
                    assertThat(r.dueInDays()).isLessThan(-30);
                    assertThat(r.daysSince()).isEqualTo(40);
                });
    }

    @Test
    void a_room_where_nothing_fits_has_no_lesson_and_says_what_stands_against_it() {
        Setting tiny = World.setting(World.place(0.5, 0.4, 2.0, null, org.unrulymarble.core.place.Surface.WOOD), 24);
        NextLesson found = propose(tiny, 30, new NextLesson.Wishes(null, null, null));

        assertThat(found.lesson()).isNull();
        assertThat(found.passedOver())
                .isNotEmpty()
                .allSatisfy(p -> assertThat(p.finding()).isNotNull());
    }
}
