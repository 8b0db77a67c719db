package org.unrulymarble.server.propose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.LayoutProver;
import org.unrulymarble.core.place.Noise;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.QuietApart;
import org.unrulymarble.core.place.SideBySide;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Surface;
import org.unrulymarble.core.place.Wall;

/** Stations laid out with the solver's help. */
class CpSatLayoutTest {

    private static final SolverLibrary LIBRARY = new SolverLibrary();
    private static final CpSatLayout SOLVER = new CpSatLayout(LIBRARY, 2.5);
    private static final int ROOMS = 40;
    private static final Noise[] ALIKE = {Noise.BOUNCE, Noise.BOUNCE, Noise.BOUNCE};

    @BeforeAll
    static void load() {
        LIBRARY.load();
    }

    @Test
    void proves_what_the_search_left_open_and_finds_as_much_by_itself() {
        Random random = new Random(5);
        List<Double> found = new ArrayList<>();
        // What is asked for is a little less than is known, so that the solver has to find it.
        LayoutProver fromLess = (stations, apart, above) -> {
            LayoutProver.Proof proof = SOLVER.better(stations, apart, above - 0.01);
            found.add(proof.put().stream()
                            .mapToDouble(p -> stations.get(proof.put().indexOf(p))
                                    .options()
                                    .get(p.option())
                                    .worth())
                            .sum()
                    / stations.size());
            return SOLVER.better(stations, apart, above);
        };
        int open = 0;
        int asked = 0;
        for (int room = 0; room < ROOMS; room++) {
            SideBySide.SideBySideAsk ask = ask(random, ALIKE);
            SideBySide searched = SideBySide.of(ask);
            SideBySide solved = SideBySide.proven(ask, fromLess);
            assertThat(solved.share()).isGreaterThanOrEqualTo(searched.share() - 1e-9);
            assertThat(solved.most()).isBetween(solved.share() - 1e-9, searched.most() + 1e-9);
            legal(ask, solved);
            System.out.println(
                    "NEAR " + room + " " + org.unrulymarble.core.place.QuietApart.tooNear(ask, searched.stations())
                            + " " + org.unrulymarble.core.place.QuietApart.tooNear(ask, solved.stations()) + " "
                            + searched.share() + " " + solved.share());
            if (searched.proven()) continue;
            boolean all = searched.stations().stream().allMatch(SideBySide.Station::fits);
            if (all) {
                assertThat(found.get(asked)).as("room %d", room).isGreaterThanOrEqualTo(searched.share() - 1e-9);
                assertThat(solved.proven()).as("room %d", room).isTrue();
                open++;
            } else if (solved.stations().stream().anyMatch(s -> !s.fits()))
                assertThat(solved.most()).as("room %d", room).isEqualTo(searched.most());
            asked++;
        }
        assertThat(open).as("rooms that the search alone leaves open").isGreaterThan(4);
    }

    @Test
    void puts_a_loud_station_off_a_quiet_one_where_the_search_finds_no_such_place() {
        Random random = new Random(5);
        int near = 0;
        int apart = 0;
        for (int room = 0; room < 2 * ROOMS; room++) {
            SideBySide.SideBySideAsk ask = ask(random, Noise.QUIET, Noise.BOUNCE, Noise.LOUD);
            SideBySide searched = SideBySide.of(ask);
            if (QuietApart.tooNear(ask, searched.stations()).isEmpty()) continue;
            SideBySide solved = SideBySide.proven(ask, SOLVER);
            legal(ask, solved);
            assertThat(solved.share()).isGreaterThanOrEqualTo(searched.share() - 1e-9);
            near++;
            if (QuietApart.tooNear(ask, solved.stations()).isEmpty()) apart++;
        }
        assertThat(apart).as("of %d that the search left near", near).isGreaterThan(3);
    }

    @Test
    void a_solver_that_says_what_cannot_be_is_not_believed() {
        Random random = new Random(5);
        LayoutProver allInOneCorner = (stations, apart, above) -> new LayoutProver.Proof(
                stations.stream().map(s -> new LayoutProver.Put(0, 0, 0)).toList(), null);
        for (int room = 0; room < ROOMS; room++) {
            SideBySide.SideBySideAsk ask = ask(random, ALIKE);
            assertThat(SideBySide.proven(ask, allInOneCorner).share())
                    .isEqualTo(SideBySide.of(ask).share());
        }
    }

    private static SideBySide.SideBySideAsk ask(Random random, Noise... noises) {
        Space space = new Space(
                4 + 5 * random.nextDouble(),
                2 + 3 * random.nextDouble(),
                null,
                random.nextBoolean() ? new Wall(4.0, 2.0) : null);
        List<SideBySide.StationAsk> stations = new ArrayList<>();
        for (int s = 0; s < 3; s++) {
            boolean wall = space.wall() != null && s == 0;
            stations.add(new SideBySide.StationAsk(
                    new Footprint(
                            1 + random.nextDouble(),
                            0.7 + 0.5 * random.nextDouble(),
                            random.nextInt(5) / 10.0,
                            0.0,
                            wall,
                            wall || random.nextBoolean(),
                            null),
                    4 + random.nextInt(4),
                    1,
                    4,
                    null,
                    null,
                    false,
                    noises[s],
                    null));
        }
        return new SideBySide.SideBySideAsk(
                new Place(space, Surface.WOOD, Place.Wet.NEVER, false, false, false, false, false, false, List.of()),
                stations,
                1,
                2);
    }

    private static void legal(SideBySide.SideBySideAsk ask, SideBySide laid) {
        Space room = ask.place().size();
        for (int i = 0; i < laid.stations().size(); i++) {
            SideBySide.Station a = laid.stations().get(i);
            if (!a.fits()) continue;
            assertThat(a.xM() + a.alongM()).isLessThanOrEqualTo(room.lengthM() + 1e-6);
            assertThat(a.yM() + a.acrossM()).isLessThanOrEqualTo(room.widthM() + 1e-6);
            for (int j = i + 1; j < laid.stations().size(); j++) {
                SideBySide.Station b = laid.stations().get(j);
                if (!b.fits()) continue;
                double apartX = Math.max(b.xM() - a.xM() - a.alongM(), a.xM() - b.xM() - b.alongM());
                double apartY = Math.max(b.yM() - a.yM() - a.acrossM(), a.yM() - b.yM() - b.acrossM());
                assertThat(Math.max(apartX, apartY)).isGreaterThanOrEqualTo(SideBySide.LEAST_GAP_M - 1e-6);
            }
        }
    }
}
