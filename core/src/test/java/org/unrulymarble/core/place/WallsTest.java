package org.unrulymarble.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.place.Feature.Edge;
import org.unrulymarble.core.place.Layout.AtWall;
import org.unrulymarble.core.place.SideBySide.SideBySideAsk;
import org.unrulymarble.core.place.SideBySide.StationAsk;
import org.unrulymarble.core.place.SideBySide.Way;

class WallsTest {

    private static final double FREE_M = 0.8;
    private static final double APART_M = 2;
    private static final Footprint SERVE = new Footprint(2.5, 1.5, 0.0, 0.0, true, true, null);

    private static Place room(double lengthM, double widthM, Wall first, FreeWall... others) {
        return Place.of(new Space(lengthM, widthM, 3.0, first)).withOtherWalls(others);
    }

    private static FreeWall at(Edge edge, double fromM, double runM, double depthM) {
        return new FreeWall(edge, fromM, new Wall(runM, depthM));
    }

    private static Layout layout(Place place, Double markM, boolean windowsHurt) {
        return Layout.of(new Layout.LayoutAsk(place, SERVE, 24, 1, null, markM, windowsHurt, FREE_M));
    }

    @Test
    void a_task_has_spots_at_every_free_wall_each_where_it_is() {
        Layout found = layout(room(9, 6, new Wall(9.0, 3.0), at(Edge.BOTTOM, 3, 4.5, 2.6)), null, false);

        assertThat(found.atWalls()).containsExactly(new AtWall(Edge.TOP, 6), new AtWall(Edge.BOTTOM, 3));
        assertThat(found.spots().spots()).isEqualTo(9);
        assertThat(found.spots().waves()).isEqualTo(3);
        assertThat(found.spots().placed().get(6)).isEqualTo(new Spots.Placed(3, 3.5, 1.5, 2.5));
        assertThat(layout(room(9, 6, new Wall(9.0, 3.0)), null, false).spots().waves())
                .isEqualTo(4);
    }

    @Test
    void a_wall_round_the_corner_keeps_clear_of_the_first_and_turns_its_spots() {
        Layout found = layout(room(9, 6, new Wall(9.0, 3.0), at(Edge.RIGHT, 0, 6, 3)), null, false);

        // The first takes 2.5 m of the six, and 0.4 m lie between: two of 1.5 m fit into what is left.
        assertThat(found.atWalls()).containsExactly(new AtWall(Edge.TOP, 6), new AtWall(Edge.RIGHT, 2));
        assertThat(found.spots().placed().get(6)).isEqualTo(new Spots.Placed(6.5, 3, 2.5, 1.5));
        // None is left out for a door or a window.
        assertThat(found.leftFree() + found.leftForWindows()).isZero();
    }

    @Test
    void the_only_free_wall_may_be_at_an_end() {
        Layout found = layout(room(9, 6, null, at(Edge.RIGHT, 0, 6, 3)), null, false);
        assertThat(found.atWalls()).containsExactly(new AtWall(Edge.RIGHT, 4));
        StationAsk serve = new StationAsk(SERVE, 4, 1, 2, null, null, false, Noise.BOUNCE, null);
        assertThat(SideBySide.of(new SideBySideAsk(
                                room(9, 6, null, at(Edge.RIGHT, 0, 6, 3)), List.of(serve), FREE_M, APART_M))
                        .stations()
                        .get(0)
                        .way())
                .isEqualTo(Way.RIGHT);
        assertThat(layout(room(9, 6, null), null, false).spots().reason()).isEqualTo(Spots.Reason.NO_WALL);
    }

    @Test
    void a_window_hurts_only_where_it_is_and_a_low_wall_holds_no_high_mark() {
        Place place = Place.of(
                new Space(9.0, 6.0, 3.0, new Wall(9.0, 3.0)),
                null,
                null,
                Feature.inWall(Feature.Kind.WINDOW, Edge.BOTTOM, 3.0, 1.4));
        FreeWall low = new FreeWall(Edge.BOTTOM, 3.0, new Wall(4.5, 2.6, 1.6, "a shelf above"));
        Layout beside = layout(place.withOtherWalls(low), null, true);
        assertThat(beside.atWalls()).containsExactly(new AtWall(Edge.TOP, 6), new AtWall(Edge.BOTTOM, 2));
        assertThat(beside.leftForWindows()).isEqualTo(1);

        assertThat(layout(place.withOtherWalls(low), 1.6, false).atWalls()).hasSize(2);
        assertThat(layout(place.withOtherWalls(low), 1.7, false).atWalls()).containsExactly(new AtWall(Edge.TOP, 6));
        Layout none = layout(room(9, 6, new Wall(9.0, 3.0, 1.2, null), low), 1.7, false);
        assertThat(none.spots().reason()).isEqualTo(Spots.Reason.WALL_TOO_LOW);
    }

    @Test
    void whatever_the_walls_every_spot_is_in_the_room_at_its_wall_and_on_no_other() {
        Random random = new Random(17);
        int several = 0;
        for (int n = 0; n < 400; n++) {
            double lengthM = 4 + random.nextInt(120) / 10.0;
            double widthM = 3 + random.nextInt(60) / 10.0;
            List<FreeWall> others = new ArrayList<>();
            for (Edge edge : List.of(Edge.BOTTOM, Edge.RIGHT, Edge.LEFT)) {
                if (random.nextBoolean()) continue;
                double side = edge == Edge.BOTTOM ? lengthM : widthM;
                double from = random.nextDouble() * side / 2;
                double across = edge == Edge.BOTTOM ? widthM : lengthM;
                others.add(at(edge, from, (side - from) * random.nextDouble(), across * random.nextDouble()));
            }
            Place place = room(lengthM, widthM, new Wall(lengthM, widthM), others.toArray(FreeWall[]::new));
            Layout found = layout(place, null, false);
            if (found.atWalls().size() > 1) several++;
            int i = 0;
            for (AtWall wall : found.atWalls())
                for (int k = 0; k < wall.spots(); k++) {
                    Spots.Placed p = found.spots().placed().get(i++);
                    Area area = new Area(p.xM(), p.yM(), p.alongM(), p.acrossM());
                    assertThat(place.walls())
                            .as("%s in %s", p, place)
                            .anyMatch(w -> w.edge() == wall.edge() && w.holds(place.size(), area, 0));
                    for (Spots.Placed o : found.spots()
                            .placed()
                            .subList(i, found.spots().placed().size()))
                        assertThat(area.meets(new Area(o.xM(), o.yM(), o.alongM(), o.acrossM())))
                                .as("%s and %s", p, o)
                                .isFalse();
                }
            assertThat(i).isEqualTo(found.spots().placed().size());
        }
        assertThat(several).isGreaterThan(100);
    }

    @Test
    void tasks_are_at_different_walls_at_once_and_one_is_carried_to_another_wall() {
        Place place = room(6, 6, new Wall(6.0, 3.0), at(Edge.RIGHT, 2, 4, 3));
        StationAsk wide = new StationAsk(
                new Footprint(2.5, 1.4, 0.2, 0.0, true, true, null), 3, 1, 2, null, null, false, Noise.BOUNCE, null);
        StationAsk narrow = new StationAsk(
                new Footprint(2.0, 1.4, 0.2, 0.0, true, true, null), 2, 1, 2, null, null, false, Noise.BOUNCE, null);
        SideBySideAsk ask = new SideBySideAsk(place, List.of(wide, narrow), FREE_M, APART_M);
        SideBySide found = SideBySide.of(ask);
        assertThat(found.stations()).extracting(SideBySide.Station::waves).containsExactly(1, 1);
        assertThat(found.stations()).extracting(SideBySide.Station::way).containsExactly(Way.TOP, Way.RIGHT);

        // Alone it goes to the first wall; let go near the other one it turns and lies right at it.
        SideBySideAsk one = new SideBySideAsk(place, List.of(narrow), FREE_M, APART_M);
        assertThat(SideBySide.of(one).stations().get(0).way()).isEqualTo(Way.TOP);
        assertThat(SideBySide.hindrance(one, 0, 3.4, 3.2)).isEmpty();
        SideBySide.Station carried =
                SideBySide.of(SideBySide.moved(one, 0, 3.4, 3.2)).stations().get(0);
        assertThat(carried.way()).isEqualTo(Way.RIGHT);
        assertThat(carried.xM() + carried.alongM()).isEqualTo(6.0);
        assertThat(carried.acrossM()).isEqualTo(3.0);
        assertThat(SideBySide.hindrance(one, 0, 1.0, 3.6))
                .hasValueSatisfying(w -> assertThat(w.hindrance()).isEqualTo(SideBySide.Hindrance.OUTSIDE));
    }

    @Test
    void where_a_visit_is_too_short_for_all_a_station_still_has_the_spots_that_there_are() {
        Footprint deep = new Footprint(2.5, 1.5, 0.0, 0.0, true, true, null);
        StationAsk pairs = new StationAsk(deep, 6, 2, 2, null, null, false, Noise.BOUNCE, null);
        SideBySide found =
                SideBySide.of(new SideBySideAsk(room(7, 6, new Wall(7.0, 3.0)), List.of(pairs), FREE_M, APART_M));
        // Four fit, six crews of two parts need four turns, and a visit has two rounds.
        assertThat(found.share()).isZero();
        assertThat(found.stations().get(0).waves()).isEqualTo(2);
    }

    @Test
    void walls_that_cannot_be_are_refused_at_their_field() {
        Wall first = new Wall(9.0, 6.0);
        assertThatThrownBy(() -> room(9, 6, first, at(Edge.BOTTOM, 1, 20, 6)))
                .isInstanceOfSatisfying(
                        Refused.class,
                        e -> assertThat(e.faults())
                                .containsExactly(
                                        new Fault("otherWalls[0].stretch.runM", Fault.Rule.RANGE, List.of(0, 8.0))));
        assertThatThrownBy(() -> room(9, 6, first, at(Edge.RIGHT, 0, 6, 9.5)))
                .isInstanceOfSatisfying(
                        Refused.class,
                        e -> assertThat(e.faults())
                                .extracting(Fault::field)
                                .containsExactly("otherWalls[0].stretch.depthM"));
        assertThatThrownBy(() -> room(9, 6, first, at(Edge.LEFT, 0, 2, 3), at(Edge.LEFT, 1.5, 2, 3)))
                .isInstanceOfSatisfying(
                        Refused.class,
                        e -> assertThat(e.faults())
                                .containsExactly(new Fault("otherWalls[1].fromM", Fault.Rule.WALLS_MEET, List.of())));
    }
}
