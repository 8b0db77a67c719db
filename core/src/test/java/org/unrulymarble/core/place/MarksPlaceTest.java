package org.unrulymarble.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MarksPlaceTest {

    @Test
    void markers_fill_the_run_no_closer_than_asked_and_the_path_is_that_of_the_wave() {
        Random random = new Random(8);
        for (int i = 0; i < 200; i++) {
            double run = 2 + random.nextDouble() * 18;
            double gap = 0.6 + random.nextDouble() * 2;
            double pass = random.nextDouble() * 0.6;
            Slalom s = Slalom.of(new Slalom.SlalomAsk(run, gap, pass, 24.0, true, 20.0, 0.1));

            if (s.markers() == 0) {
                assertThat(run).isLessThan(2 * gap + 1e-9);
                continue;
            }
            assertThat(s.gapM()).isBetween(gap - 1e-9, gap * 1.5 + 1e-9);
            assertThat((s.markers() + 1) * s.gapM()).isCloseTo(run, within(1e-9));
            double stepped = 0;
            int steps = 20_000;
            for (int k = 0; k < steps; k++) {
                double a = run * k / steps;
                double b = run * (k + 1) / steps;
                stepped += Math.hypot(b - a, pass * (wave(b, s.gapM()) - wave(a, s.gapM())));
            }
            assertThat(s.pathM()).isCloseTo(stepped, within(1e-3));
            assertThat(s.betterSec()).isCloseTo(18, within(1e-9));
            assertThat(s.speedMs()).isCloseTo(2 * s.pathM() / 20, within(1e-9));
        }
    }

    private static double wave(double x, double gap) {
        return Math.sin(Math.PI * x / gap - Math.PI / 2);
    }

    @ParameterizedTest
    @CsvSource({
        // pupils, perSpot, working, expected: working, counting, waiting, parts
        "24, 2, 1, 6, 6, 12, 2",
        "12, 2, 1, 6, 6, 0, 2",
        "13, 2, 1, 4, 4, 5, 2",
        "5, 1, 1, 5, 0, 0, 1",
        "24, 3, 1, 4, 8, 12, 3",
        "0, 2, 1, 0, 0, 0, 1"
    })
    void people_are_spread_evenly_over_the_waves(
            int pupils, int perSpot, int workers, int working, int counting, int waiting, int parts) {
        Spots.SpotsAsk ask = new Spots.SpotsAsk(
                new Space(9.2, 6.4, 2.7, new Wall(9.2, 6.4)),
                new Footprint(3.0, 1.4, 0.0, 0.3, true, true, null),
                pupils,
                perSpot);
        RoomSheet sheet = RoomSheet.of(new RoomSheet.RoomSheetAsk(ask, workers));

        assertThat(sheet.spots().spots()).isEqualTo(6);
        assertThat(new int[] {sheet.working(), sheet.counting(), sheet.waiting(), sheet.partsToRotate()})
                .containsExactly(working, counting, waiting, parts);
        assertThat(sheet.working() + sheet.counting() + sheet.waiting()).isEqualTo(pupils);
    }
}
