package org.unrulymarble.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.place.Feature.Edge;
import org.unrulymarble.core.place.Feature.Kind;
import org.unrulymarble.core.place.SideBySide.Hindrance;
import org.unrulymarble.core.place.SideBySide.SideBySideAsk;
import org.unrulymarble.core.place.SideBySide.Station;
import org.unrulymarble.core.place.SideBySide.StationAsk;
import org.unrulymarble.core.place.SideBySide.Way;
import org.unrulymarble.core.place.SideBySide.Why;

class SideBySideTest {

    private static final double FREE_M = 0.8;
    private static final double APART_M = 2;

    private static Footprint floor(double lengthM, double widthM, boolean oneRow) {
        return new Footprint(lengthM, widthM, 0.4, 0.3, false, oneRow, null);
    }

    private static Footprint atWall(double lengthM, double widthM) {
        return new Footprint(lengthM, widthM, 0.4, 0.3, true, true, null);
    }

    private static StationAsk ask(Footprint f, int crews, int parts, int rounds) {
        return new StationAsk(f, crews, parts, rounds, null, null, true, Noise.BOUNCE, null);
    }

    private static StationAsk loudOr(Noise noise, StationAsk s) {
        return new StationAsk(
                s.footprint(),
                s.crews(),
                s.parts(),
                s.rounds(),
                s.mostSpots(),
                s.markM(),
                s.windowsHurt(),
                noise,
                s.at());
    }

    private static Place room(double lengthM, double widthM, Wall wall, Feature... features) {
        return Place.of(new Space(lengthM, widthM, 3.0, wall), Surface.WOOD, null, features);
    }

    /** Seeded rooms and stations: whatever is laid out is legal. */
    @RepeatedTest(60)
    void nobody_is_on_another_before_a_door_or_beyond_a_thrower(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        double lengthM = 6 + random.nextInt(10);
        double widthM = 5 + random.nextInt(6);
        // Only in a room that is longer than wide is it certain where such a wall is.
        boolean along = random.nextBoolean() || lengthM <= widthM;
        Wall wall = along ? new Wall(lengthM, widthM) : new Wall(widthM, lengthM);
        Place place = room(
                lengthM,
                widthM,
                wall,
                Feature.inWall(Kind.DOOR, Edge.BOTTOM, random.nextInt(4), 1.0),
                new Feature(Kind.OBSTACLE, Edge.RIGHT, 1.0, 1.0, 0.5),
                Feature.inWall(Kind.WINDOW, along ? Edge.TOP : Edge.LEFT, 1.0, 1.5));
        List<StationAsk> asks = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(4); i++)
            asks.add(
                    random.nextInt(3) == 0
                            ? ask(atWall(2.6, 1.2), 2 + random.nextInt(3), 1 + random.nextInt(2), 4)
                            : ask(
                                    floor(1 + random.nextInt(3), 1.1, random.nextBoolean()),
                                    2 + random.nextInt(5),
                                    1 + random.nextInt(2),
                                    4));
        SideBySide found = SideBySide.of(new SideBySideAsk(place, asks, FREE_M, APART_M));

        assertThat(found.share()).isBetween(0.0, found.most() + 1e-9);
        List<Area> kept = place.features().stream()
                .filter(f -> f.kind() != Kind.WINDOW)
                .map(f -> f.area(place.size(), FREE_M))
                .toList();
        for (int i = 0; i < asks.size(); i++) {
            Station s = found.stations().get(i);
            if (!s.fits()) continue;
            StationAsk asked = asks.get(i);
            Area area = area(s);
            assertThat(s.spots()).hasSizeBetween(1, asked.crews());
            assertThat((long) s.waves() * s.spots().size()).isGreaterThanOrEqualTo(asked.crews());
            assertThat(s.xM()).isGreaterThanOrEqualTo(-1e-9);
            assertThat(s.xM() + s.alongM()).isLessThanOrEqualTo(lengthM + 1e-9);
            assertThat(s.yM() + s.acrossM()).isLessThanOrEqualTo(widthM + 1e-9);
            assertThat(kept).noneMatch(area::meets);
            if (asked.footprint().needsWall()) {
                assertThat(along ? s.yM() : s.xM()).as("at the wall").isZero();
                double from = along ? s.xM() : s.yM();
                double to = from + (along ? s.alongM() : s.acrossM());
                assertThat(from >= 2.5 - 1e-9 || to <= 1.0 + 1e-9)
                        .as("not beside the window")
                        .isTrue();
            }
            for (int j = 0; j < asks.size(); j++) {
                Station other = found.stations().get(j);
                if (i == j || !other.fits()) continue;
                assertThat(area.grown(0.4).meets(area(other)))
                        .as("%d and %d", i, j)
                        .isFalse();
                if (asked.footprint().oneRow() && !asked.footprint().needsWall())
                    assertThat(beyond(s, lengthM, widthM).meets(area(other)))
                            .as("%d throws at %d", i, j)
                            .isFalse();
            }
        }
    }

    private static Area area(Station s) {
        return new Area(s.xM(), s.yM(), s.alongM(), s.acrossM());
    }

    private static Area beyond(Station s, double lengthM, double widthM) {
        double far = Math.max(lengthM, widthM);
        return switch (s.way()) {
            case TOP -> new Area(s.xM(), s.yM() - far, s.alongM(), far);
            case BOTTOM -> new Area(s.xM(), s.yM() + s.acrossM(), s.alongM(), far);
            case LEFT -> new Area(s.xM() - far, s.yM(), far, s.acrossM());
            case RIGHT -> new Area(s.xM() + s.alongM(), s.yM(), far, s.acrossM());
        };
    }

    @Test
    void all_at_once_where_there_is_room_and_in_turns_where_there_is_not() {
        List<StationAsk> two = List.of(ask(floor(1.0, 1.0, false), 6, 1, 4), ask(floor(1.0, 1.0, false), 6, 1, 4));
        SideBySide wide = SideBySide.of(new SideBySideAsk(room(10, 6, null), two, FREE_M, APART_M));
        assertThat(wide.share()).isEqualTo(1.0);
        assertThat(wide.proven()).isTrue();
        assertThat(wide.stations()).extracting(s -> s.spots().size()).containsExactly(6, 6);

        // 4.0 x 2.4 m holds three by one and once more the same, not two by three twice.
        SideBySide narrow = SideBySide.of(new SideBySideAsk(room(5, 3.1, null), two, FREE_M, APART_M));
        assertThat(narrow.share()).isLessThan(1.0).isGreaterThan(0.4);
        assertThat(narrow.stations()).allMatch(Station::fits);
    }

    @Test
    void turns_that_do_not_go_into_the_rounds_are_worth_less() {
        StationAsk pairs = ask(floor(1.0, 1.0, false), 2, 2, 3);
        SideBySide found = SideBySide.of(new SideBySideAsk(room(10, 6, null), List.of(pairs, pairs), FREE_M, APART_M));
        // Of three rounds each works in one at least.
        assertThat(found.share()).isEqualTo(1 / 3.0);
    }

    @Test
    void what_finds_no_room_is_told_and_the_others_stay() {
        StationAsk big = ask(floor(3.0, 3.0, false), 1, 1, 2);
        SideBySide found = SideBySide.of(new SideBySideAsk(room(5, 4, null), List.of(big, big), FREE_M, APART_M));
        assertThat(found.stations()).extracting(Station::fits).containsExactly(true, false);
        assertThat(found.stations().get(1).reason()).isEqualTo(Spots.Reason.NO_ROOM_BESIDE);
        StationAsk wall = ask(atWall(2.0, 1.0), 1, 1, 2);
        assertThat(SideBySide.of(new SideBySideAsk(room(5, 4, null), List.of(big, wall), FREE_M, APART_M))
                        .stations()
                        .get(1)
                        .reason())
                .isEqualTo(Spots.Reason.NO_WALL);
    }

    @Test
    void a_wall_along_the_width_is_at_the_left() {
        Place store = room(12.5, 7.5, new Wall(7.5, 12.5));
        StationAsk wall = ask(atWall(2.6, 1.2), 4, 1, 2);
        SideBySide found = SideBySide.of(new SideBySideAsk(
                store, List.of(wall, ask(floor(1.0, 1.0, false), 4, 1, 2)), FREE_M, APART_M));
        Station s = found.stations().get(0);
        assertThat(s.xM()).isZero();
        assertThat(s.way()).isEqualTo(Way.LEFT);
        assertThat(s.alongM()).isEqualTo(2.6);
        assertThat(s.spots()).hasSize(4);
    }

    @Test
    void a_station_is_put_where_it_may_be_and_the_others_stay_else_it_is_said_why_not() {
        Place place = room(10, 6, new Wall(10.0, 6.0), Feature.inWall(Kind.DOOR, Edge.BOTTOM, 7, 1.0));
        SideBySideAsk ask = new SideBySideAsk(
                place,
                List.of(
                        ask(atWall(2.6, 1.2), 2, 1, 2),
                        ask(floor(1.0, 1.0, false), 4, 1, 2),
                        ask(floor(3.0, 1.0, true), 1, 1, 2)),
                FREE_M,
                APART_M);
        SideBySide before = SideBySide.of(ask);
        SideBySideAsk moved = SideBySide.moved(ask, 0, 6.0, 0);
        assertThat(SideBySide.hindrance(ask, 0, 6.0, 0)).isEmpty();
        SideBySide after = SideBySide.of(moved);
        assertThat(after.stations().get(0).xM()).isEqualTo(6.0);
        assertThat(after.stations().subList(1, 3)).isEqualTo(before.stations().subList(1, 3));

        assertThat(why(moved, 0, 6.0, 1.0)).as("away from the wall").isEqualTo(new Why(Hindrance.OUTSIDE, null));
        assertThat(why(moved, 1, 9.5, 3.0)).isEqualTo(new Why(Hindrance.OUTSIDE, null));
        assertThat(why(moved, 1, 4.5, 4.4)).isEqualTo(new Why(Hindrance.WAY, null));
        assertThat(why(moved, 1, 4.5, 1.0)).isEqualTo(new Why(Hindrance.STATION, 0));
        Station thrower = after.stations().get(2);
        assertThat(thrower.way()).isNotNull();
        assertThat(IntStream.range(0, 600)
                        .mapToObj(i -> why(moved, 2, i % 40 * 0.25, i / 40 * 0.4))
                        .filter(w -> w != null && w.hindrance() == Hindrance.THROWN_AT))
                .as("somewhere its balls would fly at others")
                .isNotEmpty();
    }

    @Test
    void a_loud_station_lies_off_a_quiet_one_where_that_costs_no_work() {
        StationAsk four = ask(floor(1.0, 1.0, false), 4, 1, 2);
        List<StationAsk> alike = List.of(four, four, four);
        List<StationAsk> drowned = List.of(loudOr(Noise.QUIET, four), four, loudOr(Noise.LOUD, four));
        Place hall = room(12, 7, null);
        SideBySideAsk wide = new SideBySideAsk(hall, drowned, FREE_M, APART_M);
        assertThat(QuietApart.tooNear(
                        wide,
                        SideBySide.of(new SideBySideAsk(hall, alike, FREE_M, APART_M))
                                .stations()))
                .as("two alike lie side by side")
                .isNotEmpty();
        assertThat(QuietApart.nearerThan(2 * APART_M, wide, SideBySide.of(wide).stations()))
                .isEmpty();
        assertThat(SideBySide.of(wide).share()).isEqualTo(1);

        List<StationAsk> two = List.of(drowned.get(0), drowned.get(2));
        SideBySideAsk tight = new SideBySideAsk(room(6.5, 3.2, null), two, FREE_M, APART_M);
        SideBySide laid = SideBySide.of(tight);
        assertThat(laid.share()).isEqualTo(1);
        assertThat(QuietApart.tooNear(tight, laid.stations()))
                .singleElement()
                .satisfies(near -> assertThat(near.gapM()).isBetween(0.4 - 1e-9, APART_M));
    }

    @Test
    void what_a_teacher_put_beside_something_loud_stays_there() {
        StationAsk four = ask(floor(1.0, 1.0, false), 4, 1, 2);
        SideBySideAsk wide = new SideBySideAsk(
                room(12, 7, null), List.of(loudOr(Noise.QUIET, four), loudOr(Noise.LOUD, four)), FREE_M, APART_M);
        Station loud = SideBySide.of(wide).stations().get(1);
        double besideM = loud.xM() > 6 ? loud.xM() - 3 : loud.xM() + loud.alongM() + 0.5;
        assertThat(SideBySide.hindrance(wide, 0, besideM, loud.yM())).isEmpty();
        Station put = SideBySide.of(SideBySide.moved(wide, 0, besideM, loud.yM()))
                .stations()
                .get(0);
        assertThat(put.xM()).isEqualTo(besideM);
    }

    private static Why why(SideBySideAsk ask, int station, double xM, double yM) {
        return SideBySide.hindrance(ask, station, xM, yM).orElse(null);
    }
}
