package org.unrulymarble.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class FloorSharesTest {

    @Test
    void no_layout_that_is_found_takes_more_than_the_floor_by_any_measure() {
        Random random = new Random(17);
        double[] leastLeft = {1, 1};
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
                        Noise.BOUNCE,
                        null));
            Place place = room(space, room % 2 == 0 ? List.of() : List.of(door(random, space)));
            SideBySide laid = SideBySide.of(new SideBySide.SideBySideAsk(place, stations, 1, 2));
            double[] sum = new double[FloorShares.measures()];
            FloorShares shares = new FloorShares(
                    place,
                    1,
                    stations.stream()
                            .mapToDouble(a -> a.footprint().narrowestM())
                            .min()
                            .orElseThrow());
            for (int s = 0; s < stations.size(); s++) {
                double[] one = shares.of(stations.get(s).footprint());
                for (int m = 0; m < sum.length; m++)
                    sum[m] += laid.stations().get(s).spots().size() * one[m];
            }
            double[] free = shares.free();
            double left = IntStream.range(0, sum.length)
                    .mapToDouble(m -> free[m] - sum[m])
                    .min()
                    .orElseThrow();
            assertThat(left).as("room %d, %s", room, stations).isGreaterThanOrEqualTo(-1e-9);
            leastLeft[room % 2] = Math.min(leastLeft[room % 2], left);
        }
        assertThat(leastLeft[0]).as("some room is nearly full").isLessThan(0.15);
        assertThat(leastLeft[1]).as("some room with a door is").isLessThan(0.15);
    }

    @Test
    void what_stays_free_before_a_door_takes_of_the_floor() {
        Space corridor = new Space(14.0, 1.9, null, null);
        Feature way = new Feature(Feature.Kind.WAY_OUT, Feature.Edge.LEFT, 0.3, 1.3, 0.0);
        double[] free = new FloorShares(room(corridor, List.of(way)), 1, 0).free();

        // More than half as wide as the corridor: nothing wide lies beside it, and its metre is lost to them all.
        assertThat(Arrays.stream(free).min().orElseThrow()).isLessThan(1 - 0.89 / 14.1);
        assertThat(Arrays.stream(free).max().orElseThrow()).isLessThanOrEqualTo(1);

        // A door of 0.8 m leaves 0.55 m on both sides: too narrow for any spot of 0.7 m, so that all of it is lost.
        Feature door = new Feature(Feature.Kind.DOOR, Feature.Edge.LEFT, 0.55, 0.8, 0.0);
        Place place = room(corridor, List.of(door));
        assertThat(new FloorShares(place, 1, 0.7).free()[0]).isLessThan(new FloorShares(place, 1, 0.5).free()[0]);
        assertThat(Arrays.stream(new FloorShares(place, 1, 0.7).free()).min().orElseThrow())
                .isLessThan(1 - 0.89 / 14.1);
    }

    private static Place room(Space space, List<Feature> features) {
        return new Place(space, Surface.WOOD, Place.Wet.NEVER, false, false, false, false, false, false, features);
    }

    private static Feature door(Random random, Space space) {
        return new Feature(Feature.Kind.DOOR, Feature.Edge.LEFT, random.nextDouble() * (space.widthM() - 1), 0.9, 0.0);
    }

    @Test
    void two_that_are_wider_than_half_of_a_corridor_do_not_lie_beside_each_other() {
        double[] one = new FloorShares(room(new Space(14.0, 1.9, null, null), List.of()), 1, 0).of(spot(0.9, 0.9, 0.2));

        // By area 29 of them would go in; one after the other it is twelve.
        assertThat(Arrays.stream(one).max().orElseThrow()).isGreaterThan(1 / 13.0);
        assertThat(Arrays.stream(one).min().orElseThrow()).isLessThan(1 / 24.0);
    }

    private static Footprint spot(double lengthM, double widthM, double gapM) {
        return new Footprint(lengthM, widthM, gapM, 0.0, false, false, null);
    }
}
