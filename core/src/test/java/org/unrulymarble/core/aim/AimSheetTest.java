package org.unrulymarble.core.aim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.aim.AimSheet.Correct;

class AimSheetTest {

    private static final List<Rings.Ring> RINGS =
            List.of(new Rings.Ring(10.0, 5.0), new Rings.Ring(20.0, 3.0), new Rings.Ring(30.0, 1.0));

    @Test
    void always_low_left_is_aim_and_all_over_is_scatter() {
        assertThat(thrown(-20, -18, 5, 20).correct()).isEqualTo(Correct.AIM);
        assertThat(thrown(-20, -18, 5, 20).landings().direction()).isEqualTo(Landings.Direction.LOW_LEFT);
        assertThat(thrown(0, 0, 45, 20).correct()).isEqualTo(Correct.SCATTER);
        assertThat(thrown(70, 0, 45, 40).correct()).isEqualTo(Correct.BOTH);
        assertThat(thrown(0, 0, 5, 20).correct()).isEqualTo(Correct.NEITHER);
        assertThat(thrown(0, 0, 5, 4).correct()).isEqualTo(Correct.TOO_FEW);
    }

    @Test
    void a_bias_that_cannot_be_told_yet_says_how_many_throws_would_tell_it() {
        List<Landings.Point> points = new ArrayList<>();
        for (double[] p : new double[][] {{-6, 4}, {14, -8}, {10, 12}, {-4, -6}, {12, 2}})
            points.add(new Landings.Point(p[0], p[1]));
        AimSheet sheet = of(points);
        assertThat(sheet.landings().direction()).isEqualTo(Landings.Direction.CENTRED);
        int n = sheet.throwsToTell();

        assertThat(n).isGreaterThan(5);
        double bias = sheet.landings().biasCm();
        double spread = sheet.landings().spreadCm();
        assertThat(Landings.chanceOfBias(bias, spread, n)).isLessThan(0.05);
        assertThat(Landings.chanceOfBias(bias, spread, n - 1)).isGreaterThanOrEqualTo(0.05);
    }

    /** Thrown by the thousand: what is told as just seen is seen in four of five rows, and an aim that is true in one of twenty. */
    @Test
    void so_many_landings_show_a_bias_of_so_much_in_four_rows_of_five() {
        Random random = new Random(7);
        for (int n : new int[] {3, 5, 12, 40}) {
            double bias = Unseen.biasCm(n, 20);
            assertThat(shown(random, n, bias)).as("%s landings, %s cm", n, bias).isCloseTo(0.8, within(0.02));
            assertThat(shown(random, n, 0)).as("%s landings, true", n).isCloseTo(0.05, within(0.01));
        }
        assertThat(Unseen.biasCm(5, 20)).isGreaterThan(Unseen.biasCm(12, 20));
        assertThat(of(List.of(new Landings.Point(0.0, 10.0))).unseenBiasCm()).isNull();
    }

    /** In how many of 4,000 rows an aim that is off by so much to the right, with a scatter of 20 cm, is told as off. */
    private static double shown(Random random, int n, double biasCm) {
        int seen = 0;
        for (int row = 0; row < 4_000; row++) {
            List<Landings.Point> points = new ArrayList<>();
            for (int i = 0; i < n; i++)
                points.add(new Landings.Point(biasCm + 20 * random.nextGaussian(), 20 * random.nextGaussian()));
            if (Landings.of(new Landings.LandingsAsk(points)).direction() != Landings.Direction.CENTRED) seen++;
        }
        return seen / 4_000.0;
    }

    @Test
    void taps_are_counted_into_their_rings_and_a_line_belongs_to_the_inner_one() {
        AimSheet sheet = of(List.of(
                new Landings.Point(0.0, 10.0),
                new Landings.Point(-12.0, 16.0),
                new Landings.Point(21.0, 0.0),
                new Landings.Point(0.0, -30.1)));

        assertThat(sheet.hits()).containsExactly(1, 1, 1);
        assertThat(sheet.outside()).isEqualTo(1);
    }

    @Test
    void intervals_hold_their_figures_and_no_throws_are_no_fault() {
        AimSheet sheet = AimSheet.of(new AimSheet.AimSheetAsk(RINGS, List.of(6, 9, 4), 2, List.of(), 3.0, 0.7));

        assertThat(sheet.correct()).isEqualTo(Correct.COUNTS_ONLY);
        assertThat(sheet.rings().radiusForShareCm())
                .isBetween(
                        sheet.radiusForShareCm().low(), sheet.radiusForShareCm().high());
        assertThat(sheet.rings().distanceForShareM())
                .isBetween(
                        sheet.distanceForShareM().low(),
                        sheet.distanceForShareM().high());
        assertThat(sheet.rings().pointsPerThrow())
                .isBetween(sheet.pointsPerThrow().low(), sheet.pointsPerThrow().high());
        assertThat(sheet.distanceForShareM().high())
                .as("a distance and a radius carry the same scatter")
                .isCloseTo(3.0 * 30 / sheet.radiusForShareCm().low(), within(1e-6));
        AimSheet empty = AimSheet.of(new AimSheet.AimSheetAsk(RINGS, List.of(0, 0, 0), 0, List.of(), 3.0, 0.7));
        assertThat(empty.rings()).isNull();
    }

    private static AimSheet thrown(double x, double y, double spread, int n) {
        Random random = new Random(3);
        List<Landings.Point> points = new ArrayList<>();
        for (int i = 0; i < n; i++)
            points.add(new Landings.Point(x + spread * random.nextGaussian(), y + spread * random.nextGaussian()));
        return of(points);
    }

    private static AimSheet of(List<Landings.Point> points) {
        return AimSheet.of(new AimSheet.AimSheetAsk(RINGS, List.of(0, 0, 0), 0, points, 3.0, 0.7));
    }
}
