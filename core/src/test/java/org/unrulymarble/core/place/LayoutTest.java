package org.unrulymarble.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.place.Feature.Edge;
import org.unrulymarble.core.place.Feature.Kind;

class LayoutTest {

    private static final double FREE_M = 1.2;

    private static Layout layout(Place place, Footprint spot) {
        return Layout.of(new Layout.LayoutAsk(place, spot, 24, 1, null, null, true, FREE_M));
    }

    @Test
    void rows_slide_each_on_its_own_past_what_stands_there() {
        // A pillar at the left of the first row, another at the right of the second: no one grid keeps clear of both.
        Place room = Place.of(
                new Space(5.95, 4.0, null, null),
                null,
                null,
                new Feature(Kind.OBSTACLE, Edge.LEFT, 0.0, 1.0, 0.95),
                new Feature(Kind.OBSTACLE, Edge.RIGHT, 2.0, 2.0, 0.95));

        Layout found = layout(room, new Footprint(1.0, 2.0, 0.0, 0.0, false, false, null));

        assertThat(found.spots().placed())
                .contains(new Spots.Placed(0.95, 0, 1, 2), new Spots.Placed(0, 2, 1, 2))
                .hasSize(10);
        assertThat(found.spots().waves()).isEqualTo(3);
        assertThat(found.leftFree()).isZero();
    }

    @Test
    void throwers_stay_in_one_row_that_slides_to_where_most_stand() {
        Place room = Place.of(
                new Space(6.0, 4.0, null, null), null, null, new Feature(Kind.OBSTACLE, Edge.TOP, 0.0, 4.0, 0.5));

        Layout found = layout(room, new Footprint(3.0, 1.0, 0.0, 0.0, false, true, null));

        assertThat(found.spots().placed()).hasSize(6).allSatisfy(s -> {
            assertThat(s.yM()).isEqualTo(0.5);
            assertThat(s.acrossM()).isEqualTo(3);
        });
    }

    @Test
    void at_a_wall_each_spot_slides_into_what_doors_and_windows_leave() {
        // Free: 0 to 1.5, 2 to 5 and 6 to 9 m.
        Place room = Place.of(
                new Space(9.0, 6.0, null, new Wall(9.0, 3.0)),
                null,
                null,
                Feature.inWall(Kind.DOOR, Edge.TOP, 1.5, 0.5),
                Feature.inWall(Kind.WINDOW, Edge.TOP, 5.0, 1.0));

        Layout found = layout(room, new Footprint(2.5, 1.5, 0.0, 0.0, true, true, null));

        assertThat(found.spots().placed()).extracting(Spots.Placed::xM).containsExactly(0.0, 2.0, 3.5, 6.0, 7.5);
        assertThat(found.leftFree() + found.leftForWindows()).isEqualTo(1);
    }

    @Test
    void in_any_room_nobody_is_in_the_way_and_no_spot_that_fits_is_left_out_for_nothing() {
        Random random = new Random(41);
        int empty = 0;
        for (int i = 0; i < 200; i++) {
            Place room = anyRoom(random);
            Footprint spot = new Footprint(
                    tenths(random, 6, 25), tenths(random, 6, 15), tenths(random, 0, 5), 0.3, false, false, null);

            Layout found = layout(room, spot);

            List<Area> spots = found.spots().placed().stream()
                    .map(s -> new Area(s.xM(), s.yM(), s.alongM(), s.acrossM()))
                    .toList();
            List<Area> kept = room.features().stream()
                    .map(f -> f.area(room.size(), FREE_M))
                    .toList();
            assertThat(spots).as("room %d", i).allSatisfy(s -> {
                assertThat(s.xM()).isGreaterThan(0.299);
                assertThat(s.yM()).isGreaterThan(0.299);
                assertThat(s.xM() + s.alongM()).isLessThan(room.size().lengthM() - 0.299);
                assertThat(s.yM() + s.acrossM()).isLessThan(room.size().widthM() - 0.299);
                assertThat(kept).noneMatch(s::meets);
                assertThat(spots).filteredOn(o -> o != s).noneMatch(s.grown(spot.gapM())::meets);
            });
            if (!spots.isEmpty()) continue;
            empty++;
            assertThat(oneFits(room, spot, kept)).as("room %d holds one", i).isFalse();
        }
        assertThat(empty).as("rooms where nothing fits").isBetween(1, 100);
    }

    /** Every place in steps of a tenth: all measures are whole tenths. */
    private static boolean oneFits(Place room, Footprint f, List<Area> kept) {
        for (boolean turned : List.of(false, true)) {
            double along = turned ? f.widthM() : f.lengthM();
            double across = turned ? f.lengthM() : f.widthM();
            for (double x = f.edgeM(); x + along <= room.size().lengthM() - f.edgeM() + 1e-6; x += 0.1)
                for (double y = f.edgeM(); y + across <= room.size().widthM() - f.edgeM() + 1e-6; y += 0.1) {
                    Area spot = new Area(x + 1e-7, y + 1e-7, along - 2e-7, across - 2e-7);
                    if (kept.stream().noneMatch(spot::meets)) return true;
                }
        }
        return false;
    }

    private static Place anyRoom(Random random) {
        Space size = new Space(tenths(random, 20, 90), tenths(random, 20, 60), null, null);
        List<Feature> features = new ArrayList<>();
        for (int i = random.nextInt(4); i >= 0; i--) {
            Edge edge = Edge.values()[random.nextInt(4)];
            boolean along = edge == Edge.TOP || edge == Edge.BOTTOM;
            double side = along ? size.lengthM() : size.widthM();
            double length = Math.min(side, tenths(random, 5, 15));
            double from = Math.round(random.nextDouble() * (side - length) * 10) / 10.0;
            features.add(
                    random.nextBoolean()
                            ? Feature.inWall(Kind.DOOR, edge, from, length)
                            : new Feature(
                                    Kind.OBSTACLE,
                                    edge,
                                    from,
                                    length,
                                    Math.min(tenths(random, 3, 12), (along ? size.widthM() : size.lengthM()))));
        }
        return Place.of(size, null, null, features.toArray(new Feature[0]));
    }

    private static double tenths(Random random, int least, int most) {
        return (least + random.nextInt(most - least + 1)) / 10.0;
    }
}
