package org.unrulymarble.core.home;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.place.Noise;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Wall;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.propose.Proposer;

/** A week of practices fits the home, the kit and the pupil, and can come back. */
class HomePlannerTest {

    private static final Proposer PROPOSER = new Proposer((ask, hint) -> Proposer.Proof.NONE);
    private static final Setting SCHOOL = World.setting(World.LOFT, 24);
    private static final HomePlanner.Home NOTHING_KNOWN = new HomePlanner.Home(null, true, Map.of(), false);
    private static final HomePlanner.Home ROOMY = new HomePlanner.Home(
            new Space(4.0, 3.0, 2.5, new Wall(3.0, 3.0)),
            false,
            Map.of("tennis-ball", 2, "foam-ball", 1, "cricket-ball", 1),
            true);

    static Stream<Arguments> homesAndPupils() {
        return Stream.of(NOTHING_KNOWN, ROOMY)
                .flatMap(home -> Stream.of(Set.<Adaptation>of(), Set.of(Adaptation.SEATED), Set.of(Adaptation.ONE_HAND))
                        .flatMap(how -> Stream.of(5, 12).map(minutes -> Arguments.of(home, how, minutes))));
    }

    @ParameterizedTest
    @MethodSource("homesAndPupils")
    void fits_and_comes_back_in_one_code(HomePlanner.Home home, Set<Adaptation> how, int minutes) {
        List<HomePractice> week = planner(home, how).week(new HomePlanner.Week(3, minutes));

        assertThat(week).hasSize(3);
        for (HomePractice practice : week) {
            assertThat(practice.totalSec()).isBetween(30 * minutes, 60 * minutes);
            assertThat(ReturnCode.fits(practice.most())).isTrue();
            assertThat(practice.boxes()).isNotEmpty();
            for (HomePractice.HomeTask task : practice.tasks()) {
                Ladder ladder = Catalogue.shipped().ladder(task.ladderId()).orElseThrow();
                assertThat(ladder.swingM()).as(ladder.id()).isNull();
                assertThat(ladder.gear()).as(ladder.id()).isEmpty();
                if (home.quiet()) assertThat(ladder.noise()).as(ladder.id()).isEqualTo(Noise.QUIET);
                if (home.space() == null) {
                    assertThat(task.wall()).as(ladder.id()).isFalse();
                    assertThat(task.lengthM()).as(ladder.id()).isLessThanOrEqualTo(2);
                }
                if (!how.isEmpty()) assertThat(task.otherwise()).as(ladder.id()).isNotBlank();
            }
            assertThat(practice.gather()).noneMatch(item -> item.kind().equals("cricket-ball"));
            practice.tasks().forEach(task -> saysWhatStandsForWhat(practice, task));
        }
        if (home == NOTHING_KNOWN && minutes == 12)
            assertThat(week)
                    .anyMatch(p -> p.tasks().stream().anyMatch(t -> !t.instead().isEmpty()));
    }

    /** Nobody has to guess what the bowl is for. */
    private static void saysWhatStandsForWhat(HomePractice practice, HomePractice.HomeTask task) {
        Ladder ladder = Catalogue.shipped().ladder(task.ladderId()).orElseThrow();
        for (KitRole role : ladder.kit(ladder.rung(task.rungId()).orElseThrow())) {
            if (ladder.ballRole().filter(role::equals).isPresent()) continue;
            boolean own = practice.gather().stream()
                    .anyMatch(item ->
                            item.kind().equals(role.kind()) && item.usedFor().contains(role.what()));
            assertThat(own || task.instead().stream().anyMatch(i -> i.what().equals(role.what())))
                    .as(task.name() + ": " + role.what())
                    .isTrue();
        }
    }

    @Test
    void what_is_worked_on_comes_twice_in_a_week_and_not_all_of_it_every_time() {
        List<HomePractice> week = planner(NOTHING_KNOWN, Set.of()).week(new HomePlanner.Week(3, 12));
        List<Set<String>> counted = week.stream()
                .map(p -> p.boxes().stream()
                        .map(b -> p.tasks().get(b.task()).ladderId())
                        .collect(java.util.stream.Collectors.toSet()))
                .toList();
        assertThat(counted.get(0)).containsAnyElementsOf(counted.get(1)).isNotEqualTo(counted.get(1));
        assertThat(counted.get(1)).containsAnyElementsOf(counted.get(2)).isNotEqualTo(counted.get(2));
    }

    @Test
    void says_from_where_in_this_pupils_shoe_lengths() {
        HomePractice.HomeTask stood = planner(ROOMY, Set.of()).week(new HomePlanner.Week(3, 12)).stream()
                .flatMap(p -> p.tasks().stream())
                .filter(t -> t.standM() != null)
                .findFirst()
                .orElseThrow();
        assertThat(stood.standShoes()).isEqualTo((int) Math.round(stood.standM() / 0.23));
    }

    private static HomePlanner planner(HomePlanner.Home home, Set<Adaptation> how) {
        PlanPupil pupil = new PlanPupil("p1", "Ayo B.", 10, how, Map.of());
        return new HomePlanner(SCHOOL, pupil, home, 23, List.of(), PROPOSER::ofFew);
    }
}
