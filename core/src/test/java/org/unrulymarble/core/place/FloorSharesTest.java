package org.unrulymarble.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class FloorSharesTest {

    @Test
    void no_layout_that_is_found_takes_more_than_the_floor_by_any_measure() {
        Random random = new Random(17);
        double fullest = 0;
        for (int room = 0; room < 150; room++) {
            Space space = new Space(2 + 8 * random.nextDouble(), 1.5 + 5 * random.nextDouble(), null, null);
            List<SideBySide.StationAsk> stations = new ArrayList<>();
            for (int s = 0; s < 2 + random.nextInt(2); s++)
                stations.add(new SideBySide.StationAsk(
                        spot(0.6 + random.nextDouble(), 0.6 + random.nextDouble(), random.nextInt(5) / 10.0),
                        2 + random.nextInt(6),
                        1,
                        60,
                        null,
                        null,
                        false,
                        null));
            SideBySide laid = SideBySide.of(new SideBySide.SideBySideAsk(
                    new Place(
                            space, Surface.WOOD, Place.Wet.NEVER, false, false, false, false, false, false, List.of()),
                    stations,
                    1));
            double[] sum = new double[FloorShares.measures()];
            FloorShares shares = new FloorShares(space);
            for (int s = 0; s < stations.size(); s++) {
                double[] one = shares.of(stations.get(s).footprint());
                for (int m = 0; m < sum.length; m++)
                    sum[m] += laid.stations().get(s).spots().size() * one[m];
            }
            double most = Arrays.stream(sum).max().orElseThrow();
            assertThat(most).as("room %d, %s", room, stations).isLessThanOrEqualTo(1 + 1e-9);
            fullest = Math.max(fullest, most);
        }
        assertThat(fullest).as("some room is nearly full").isGreaterThan(0.85);
    }

    @Test
    void two_that_are_wider_than_half_of_a_corridor_do_not_lie_beside_each_other() {
        double[] one = new FloorShares(new Space(14.0, 1.9, null, null)).of(spot(0.9, 0.9, 0.2));

        // By area 29 of them would go in; one after the other it is twelve.
        assertThat(Arrays.stream(one).max().orElseThrow()).isGreaterThan(1 / 13.0);
        assertThat(Arrays.stream(one).min().orElseThrow()).isLessThan(1 / 24.0);
    }

    private static Footprint spot(double lengthM, double widthM, double gapM) {
        return new Footprint(lengthM, widthM, gapM, 0.0, false, false, null);
    }
}
