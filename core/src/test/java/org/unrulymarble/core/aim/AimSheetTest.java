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
