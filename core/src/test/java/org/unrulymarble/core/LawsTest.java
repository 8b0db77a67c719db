package org.unrulymarble.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.aim.Rings;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.chance.Streak;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.clock.Fit;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.RestRule;
import org.unrulymarble.core.clock.Timing;
import org.unrulymarble.core.flight.Toss;
import org.unrulymarble.core.flight.TossForClaps;
import org.unrulymarble.core.flight.WallMark;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Spots;

/** What must hold of the reckonings whatever is asked, over seeded questions. */
class LawsTest {

    static Stream<Random> seeds() {
        return IntStream.range(0, 150).mapToObj(seed -> new Random(9_000 + seed));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_toss_of_the_height_that_claps_need_has_room_for_them(Random random) {
        int claps = random.nextInt(8);
        double release = 0.8 + random.nextDouble();
        double caught = 0.5 + random.nextDouble();
        double clapSec = 0.1 + random.nextDouble() / 3;
        double handsSec = random.nextDouble() / 2;
        TossForClaps needed =
                TossForClaps.of(new TossForClaps.TossForClapsAsk(claps, 0.1, 0.05, release, caught, clapSec, handsSec));

        Toss toss = Toss.of(new Toss.TossAsk(needed.ceilingNeededM(), 0.1, 0.05, release, caught, clapSec, handsSec));

        assertThat(toss.riseM()).isCloseTo(needed.riseM(), within(1e-9));
        assertThat(toss.claps()).isGreaterThanOrEqualTo(claps);
        double least = Math.max(0, caught - release);
        if (needed.riseM() > least + 0.01) {
            Toss lower = Toss.of(
                    new Toss.TossAsk(needed.ceilingNeededM() - 0.01, 0.1, 0.05, release, caught, clapSec, handsSec));
            assertThat(lower.claps()).as("a centimetre less is too low").isLessThan(claps);
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void at_the_games_distance_the_band_begins_a_clearance_above_the_net(Random random) {
        WallMark.WallMarkAsk ask = aServe(random);
        WallMark mark = WallMark.of(ask);
        // A serve that no speed brings over and in has no band; the next one drawn has.
        for (int draws = 1; !mark.feasible(); draws++) {
            assertThat(draws).as("a serve that can be").isLessThan(50);
            ask = aServe(random);
            mark = WallMark.of(ask);
        }

        assertThat(mark.lowMarkM()).isCloseTo(ask.netHeightM() + ask.clearanceM(), within(1e-9));
        assertThat(mark.highMarkM()).isGreaterThan(mark.lowMarkM());
        if (mark.maxSpeedMs() != null) assertThat(mark.maxSpeedMs()).isGreaterThan(mark.minSpeedMs());
    }

    /** At the game's distance from the wall. */
    private static WallMark.WallMarkAsk aServe(Random random) {
        double distance = 1 + random.nextDouble() * 9;
        return new WallMark.WallMarkAsk(
                1 + random.nextDouble(),
                25 + random.nextDouble() * 35,
                distance,
                1 + random.nextDouble() * 1.5,
                random.nextDouble() / 2,
                3 + random.nextDouble() * 7,
                distance);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void shares_of_rings_sum_to_one_and_the_interval_holds_the_estimate(Random random) {
        List<Rings.Ring> rings = new ArrayList<>();
        List<Integer> hits = new ArrayList<>();
        double radius = 0;
        for (int i = 1 + random.nextInt(5); i > 0; i--) {
            radius += 2 + random.nextDouble() * 20;
            rings.add(new Rings.Ring(radius, (double) random.nextInt(10)));
            hits.add(random.nextInt(9));
        }
        hits.set(0, 1 + random.nextInt(5));
        Rings answer = Rings.of(new Rings.RingsAsk(rings, hits, 1 + random.nextInt(6), 3.0, 0.7));

        double sum = answer.outsideShare()
                + answer.ringShare().stream().mapToDouble(s -> s).sum();
        assertThat(sum).isCloseTo(1, within(1e-12));
        assertThat(answer.sigmaCm()).isBetween(answer.sigmaLowCm(), answer.sigmaHighCm());
        double within = 1 - Math.exp(-Math.pow(answer.radiusForShareCm() / answer.sigmaCm(), 2) / 2);
        assertThat(within).isCloseTo(0.7, within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_chance_of_a_streak_falls_with_its_length_and_rises_with_tries(Random random) {
        double p = random.nextDouble();
        int run = 1 + random.nextInt(12);
        int tries = random.nextInt(80);

        double chance = Streak.chance(p, run, tries);

        assertThat(Streak.chance(p, run + 1, tries)).isLessThanOrEqualTo(chance + 1e-12);
        assertThat(Streak.chance(p, run, tries + 1)).isGreaterThanOrEqualTo(chance - 1e-12);
        assertThat(chance).isCloseTo(played(p, run, tries, random), within(0.06));
    }

    @Test
    void ten_in_a_row_at_four_of_five_takes_half_of_all_pupils_31_tries() {
        Streak streak = Streak.of(new Streak.StreakAsk(0.8, 10, 600, 3.0, 0.5));

        assertThat(List.of(streak.triesForHalf(), streak.triesForFourOfFive())).containsExactly(31, 62);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_fitted_lesson_keeps_the_bell_and_no_single_change_is_better(Random random) {
        List<Fit.FitBlock> blocks = new ArrayList<>();
        for (int i = 1 + random.nextInt(4); i > 0; i--)
            blocks.add(new Fit.FitBlock(
                    random.nextInt(3) * 20,
                    20,
                    5,
                    1 + random.nextInt(3),
                    Dose.byClock(20 + 5 * random.nextInt(8)),
                    1 + random.nextInt(2),
                    5,
                    1 + random.nextInt(3),
                    10,
                    random.nextInt(3) * 20,
                    random.nextBoolean(),
                    1,
                    4,
                    20,
                    60,
                    1.0 + random.nextInt(4)));
        RestRule rule = random.nextBoolean() ? RestRule.BETWEEN_SETS : RestRule.AFTER_EVERY_SET;
        Fit.FitAsk ask = new Fit.FitAsk(rule, 30, 300 + random.nextInt(1500), blocks);

        Fit fit = Fit.of(ask);

        if (!fit.feasible()) {
            assertThat(fit.shortestSec()).isGreaterThan(ask.targetSec());
            return;
        }
        assertThat(total(ask, fit.blocks())).isEqualTo(fit.totalSec()).isLessThanOrEqualTo(ask.targetSec());
        assertThat(cost(ask, fit.blocks())).isCloseTo(fit.cost(), within(1e-9));
        for (int b = 0; b < blocks.size(); b++)
            for (int sets = 1; sets <= 4; sets++)
                for (int work = 20; work <= 60; work += 5) {
                    List<Fit.Choice> other = new ArrayList<>(fit.blocks());
                    other.set(b, new Fit.Choice(sets, work));
                    if (total(ask, other) <= ask.targetSec())
                        assertThat(cost(ask, other)).isGreaterThanOrEqualTo(fit.cost() - 1e-9);
                }
    }

    /** At the far end of what may be asked every figure is still a number. */
    @Test
    void at_their_bounds_the_answers_stay_finite() {
        List<Rings.Ring> thin = List.of(new Rings.Ring(1e-300, 5.0), new Rings.Ring(20_000.0, 1.0));
        Rings rings = Rings.of(new Rings.RingsAsk(thin, List.of(100_000, 1), 100_000, 200.0, 1e-9));
        Streak streak = Streak.of(new Streak.StreakAsk(0.9999, 1000, 14_400, 0.01, 1e-6));
        Mastery mastery = Mastery.of(new Mastery.MasteryAsk(
                Collections.nCopies(10_000, new Mastery.Evidence(0.0, 100_000, 25_000)), 1e-6, 0.8, 0.5, 0.8, 5.0));
        Spots spots = Spots.of(new Spots.SpotsAsk(
                new Space(200.0, 200.0, null, null), new Footprint(1e-9, 1e-9, 0.0, 0.0, false, false, null), 500, 1));
        Fit.FitBlock wide = new Fit.FitBlock(0, 0, 0, 2, Dose.byClock(30), 2, 0, 1, 0, 0, true, 1, 6, 5, 500, 1e6);
        Fit fit = Fit.of(new Fit.FitAsk(RestRule.AFTER_EVERY_SET, 0, 14_400, Collections.nCopies(20, wide)));

        assertThat(List.of(
                        rings.sigmaCm(),
                        rings.sigmaLowCm(),
                        rings.sigmaHighCm(),
                        rings.radiusForShareCm(),
                        rings.distanceForShareM(),
                        streak.chance(),
                        mastery.chanceHolds(),
                        mastery.chanceBelowFloor(),
                        fit.cost()))
                .allMatch(Double::isFinite);
        assertThat(mastery.chanceHolds()).as("held exactly, by a billion tries").isBetween(0.49, 0.51);
        assertThat(spots.waves()).isEqualTo(1);
        assertThat(fit.totalSec()).isBetween(1L, 14_400L);
    }

    /** Share of many played rounds that hold such a run. */
    private static double played(double p, int run, int tries, Random random) {
        int rounds = 2000;
        int made = 0;
        for (int r = 0; r < rounds; r++) {
            int now = 0;
            boolean reached = false;
            for (int t = 0; t < tries; t++) {
                now = random.nextDouble() < p ? now + 1 : 0;
                reached |= now >= run;
            }
            if (reached) made++;
        }
        return (double) made / rounds;
    }

    /** The whole lesson by the clock itself, not by the fit's own arithmetic. */
    private static long total(Fit.FitAsk ask, List<Fit.Choice> choices) {
        List<Timing> timings = new ArrayList<>();
        for (int i = 0; i < choices.size(); i++) {
            Fit.FitBlock b = ask.blocks().get(i);
            timings.add(new Timing(
                    b.setupSec(),
                    b.explainSec(),
                    b.countInSec(),
                    choices.get(i).sets(),
                    Dose.byClock(choices.get(i).workSec()),
                    b.sides(),
                    b.sideSwapSec(),
                    b.turns(),
                    b.turnSwapSec(),
                    b.restSec(),
                    b.waitIsRest()));
        }
        return LessonClock.of(new LessonClock.ClockAsk(ask.restRule(), ask.transitionSec(), timings))
                .totalSec();
    }

    private static double cost(Fit.FitAsk ask, List<Fit.Choice> choices) {
        double cost = 0;
        double weights = 0;
        for (int i = 0; i < choices.size(); i++) {
            Fit.FitBlock b = ask.blocks().get(i);
            double wanted = b.sets() * b.sides() * b.dose().workSec();
            double active = choices.get(i).sets() * b.sides() * choices.get(i).workSec();
            double sets = (double) (choices.get(i).sets() - b.sets()) / b.sets();
            cost += b.weight() * (Math.pow((active - wanted) / wanted, 2) + 0.25 * sets * sets);
            weights += b.weight();
        }
        double left = (double) (ask.targetSec() - total(ask, choices)) / ask.targetSec();
        return cost + 50 * weights * left * left;
    }
}
