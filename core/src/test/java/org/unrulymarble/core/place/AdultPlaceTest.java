package org.unrulymarble.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.place.Feature.Edge;
import org.unrulymarble.core.place.Feature.Kind;
import org.unrulymarble.core.place.SideBySide.SideBySideAsk;
import org.unrulymarble.core.place.SideBySide.StationAsk;

class AdultPlaceTest {

    private static final Space HALL = new Space(10.0, 6.0, 3.0, null);

    private static StationAsk square(double sideM, Spots.Placed at) {
        return new StationAsk(
                new Footprint(sideM, sideM, 0.4, 0.0, false, false, null),
                1,
                1,
                2,
                null,
                null,
                false,
                Noise.BOUNCE,
                at);
    }

    private static StationAsk at(double xM, double yM) {
        return square(1, new Spots.Placed(xM, yM, 1, 1));
    }

    private static SideBySideAsk ask(List<StationAsk> stations, Feature... features) {
        return new SideBySideAsk(Place.of(HALL, Surface.WOOD, null, features), stations, 0.8, 2);
    }

    private static Optional<AdultPlace> adult(SideBySideAsk ask) {
        return AdultPlace.of(ask, SideBySide.of(ask).stations());
    }

    private static Feature standing(Edge edge, double fromM, double deepM) {
        return new Feature(Kind.OBSTACLE, edge, fromM, 0.5, deepM);
    }

    @Test
    void all_in_front_and_none_far_off_the_thrower_and_the_way_out_left_alone() {
        // Two at the ends of the upper wall: between the two, with the back to the wall.
        AdultPlace between = adult(ask(List.of(at(0, 0), at(9, 0)))).orElseThrow();
        assertThat(between.xM()).isBetween(4.5, 5.5);
        assertThat(between.yM()).isLessThanOrEqualTo(1.0);
        // Who stands there would be in the way out.
        AdultPlace aside = adult(ask(List.of(at(0, 0), at(9, 0)), Feature.inWall(Kind.WAY_OUT, Edge.TOP, 4, 2)))
                .orElseThrow();
        assertThat(aside.xM() <= 3.7 + 1e-9 || aside.xM() >= 6.3 - 1e-9 || aside.yM() >= 1.1 - 1e-9)
                .as("%s", aside)
                .isTrue();
        // Balls fly from the left one to the right side of the room.
        StationAsk thrower = new StationAsk(
                new Footprint(2.0, 3.0, 0.4, 0.0, false, true, null), 1, 1, 2, null, null, false, Noise.BOUNCE, null);
        SideBySideAsk thrown = ask(List.of(thrower));
        AdultPlace off = adult(thrown).orElseThrow();
        SideBySide.Station at = SideBySide.of(thrown).stations().get(0);
        assertThat(at.way()).isEqualTo(SideBySide.Way.RIGHT);
        assertThat(off.yM() <= at.yM() - 0.3 + 1e-9 || off.yM() >= at.yM() + at.acrossM() + 0.3 - 1e-9)
                .as("%s beside %s", off, at)
                .isTrue();
    }

    @Test
    void nobody_behind_though_the_middle_would_be_nearer() {
        List<StationAsk> corners = List.of(at(0, 0), at(9, 0), at(9, 5), at(0, 5));
        AdultPlace adult = adult(ask(corners)).orElseThrow();
        double[] towards = corners.stream()
                .mapToDouble(c -> Math.atan2(c.at().yM() + 0.5 - adult.yM(), c.at().xM() + 0.5 - adult.xM()))
                .sorted()
                .toArray();
        double widest = 2 * Math.PI + towards[0] - towards[towards.length - 1];
        for (int i = 1; i < towards.length; i++) widest = Math.max(widest, towards[i] - towards[i - 1]);
        assertThat(widest).as("empty round of %s", adult).isGreaterThanOrEqualTo(Math.PI - 1e-6);
    }

    @Test
    void what_stands_in_the_room_hides_a_station_that_was_put_behind_it_and_none_that_is_laid_out() {
        Feature[] shelves = {standing(Edge.LEFT, 1.2, 4), standing(Edge.RIGHT, 4.3, 4)};
        SideBySideAsk behind = ask(List.of(at(0, 0), at(9, 5)), shelves);
        assertThat(adult(behind)).hasValueSatisfying(a -> assertThat(a.hidden()).hasSize(1));
        assertThat(adult(ask(List.of(at(0, 0), at(9, 5)))).orElseThrow().all()).isTrue();
        assertThat(adult(ask(List.of(square(1, null), square(1, null)), shelves))
                        .orElseThrow()
                        .all())
                .isTrue();
    }

    @Test
    void wherever_something_stands_all_are_laid_out_in_sight() {
        // From corner to corner alone, 138 of these left one behind something.
        for (int tenth = 8; tenth < 40; tenth++)
            for (double deepM = 1; deepM < 5.5; deepM += 0.5)
                for (double fromM = 1; fromM < 4; fromM += 0.5) {
                    StationAsk one = square(tenth / 10.0, null);
                    SideBySideAsk ask = ask(
                            List.of(one, one, one),
                            standing(Edge.LEFT, fromM, deepM),
                            standing(Edge.RIGHT, fromM, deepM));
                    adult(ask)
                            .ifPresent(a -> assertThat(a.hidden())
                                    .as("%s, %s", one.footprint(), ask.place().features())
                                    .isEmpty());
                }
    }

    @Test
    void nowhere_to_stand_where_the_floor_is_full() {
        assertThat(adult(ask(List.of(square(5.9, null))))).isPresent();
        SideBySideAsk full = new SideBySideAsk(
                Place.of(new Space(2.0, 2.0, null, null), Surface.WOOD, null), List.of(square(1.8, null)), 0.8, 2);
        assertThat(adult(full)).isEmpty();
    }
}
