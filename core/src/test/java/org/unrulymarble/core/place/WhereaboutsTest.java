package org.unrulymarble.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.place.Feature.Edge;
import org.unrulymarble.core.place.Feature.Kind;
import org.unrulymarble.core.place.Whereabouts.Landmark;
import org.unrulymarble.core.place.Whereabouts.Part;

class WhereaboutsTest {

    private static final Wall WALL = new Wall(3.0, 5.0);

    private static List<Whereabouts> where(Space room, List<Feature> features, Spots.Placed... placed) {
        return Whereabouts.of(
                Place.of(room, Surface.WOOD, null, features.toArray(new Feature[0])), Arrays.asList(placed));
    }

    private static Spots.Placed at(double xM, double yM) {
        return new Spots.Placed(xM, yM, 2, 2);
    }

    @Test
    void by_thirds_of_the_room_and_by_what_is_near_to_this_station_alone() {
        Space hall = new Space(12.0, 9.0, 3.0, WALL);
        List<Feature> seen = List.of(
                Feature.inWall(Kind.DOOR, Edge.RIGHT, 7.0, 1.0), Feature.inWall(Kind.WINDOW, Edge.LEFT, 3.0, 3.0));
        assertThat(where(hall, seen, at(10, 7), at(5, 3.5), null, at(0, 3.5), at(5, 6.5), at(1, 0)))
                .containsExactly(
                        new Whereabouts(Part.CORNER, Landmark.DOOR),
                        new Whereabouts(Part.MIDDLE, null),
                        null,
                        // The window is near to this one and to the last; to neither it is told.
                        new Whereabouts(Part.END, null),
                        new Whereabouts(Part.SIDE, Landmark.ACROSS_FROM_FREE_WALL),
                        new Whereabouts(Part.CORNER, Landmark.FREE_WALL));
        assertThat(where(hall, seen, at(0, 0), at(3, 0), at(0, 7)))
                .as("two at the same wall")
                .extracting(Whereabouts::by)
                .containsExactly(Landmark.FREE_WALL_SIDE, Landmark.FREE_WALL_SIDE, Landmark.ACROSS_FROM_FREE_WALL);
        assertThat(where(hall, seen, at(0, 3.5))).containsExactly(new Whereabouts(Part.END, Landmark.WINDOW));
        assertThat(where(hall, seen, at(0, 5), at(0, 2)))
                .extracting(Whereabouts::by)
                .as("a window that two stations lie at tells neither")
                .doesNotContain(Landmark.WINDOW);
    }

    @Test
    void a_narrow_room_has_ends_and_a_middle_and_a_room_that_is_wider_than_long_its_ends_there() {
        Space corridor = new Space(12.0, 2.4, 2.5, null);
        assertThat(where(corridor, List.of(), at(0, 0), at(5, 0.4), at(10, 0)))
                .extracting(Whereabouts::part)
                .containsExactly(Part.END, Part.MIDDLE, Part.END);
        Space wide = new Space(6.0, 12.0, 2.5, null);
        assertThat(where(wide, List.of(), at(2, 0), at(0, 5)))
                .extracting(Whereabouts::part)
                .containsExactly(Part.END, Part.SIDE);
    }
}
