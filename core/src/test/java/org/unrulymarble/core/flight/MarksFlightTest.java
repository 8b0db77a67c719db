package org.unrulymarble.core.flight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.check.Refused;

/** What must hold of the drawn flights, over seeded throws: they are stepped through anew here, by small steps of time. */
class MarksFlightTest {

    static Stream<Random> seeds() {
        return IntStream.range(0, 120).mapToObj(seed -> new Random(4_100 + seed));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void an_upright_board_is_a_wall(Random random) {
        double stand = 1 + random.nextDouble() * 6;
        double release = 0.5 + random.nextDouble() * 1.5;
        double speed = 3 + random.nextDouble() * 12;
        double angle = -20 + random.nextDouble() * 70;
        double e = random.nextDouble();
        alikeAtAnUprightBoard(stand, release, speed, angle, e);
        // From near, hard and upwards it reaches the wall whatever was drawn.
        Rebound hits = alikeAtAnUprightBoard(1.0, release, 10.0, 20.0, e);
        assertThat(hits.wallHeightM()).isNotNull();
    }

    private static Rebound alikeAtAnUprightBoard(double stand, double release, double speed, double angle, double e) {
        Rebound wall = Rebound.of(new Rebound.ReboundAsk(stand, release, speed, angle, e, null, 0.1));
        LeanedBoard board = LeanedBoard.of(new LeanedBoard.LeanedBoardAsk(stand, release, speed, angle, 0.0, 200.0, e));

        assertThat(board.outcome().name()).isEqualTo(wall.outcome().name());
        if (wall.wallHeightM() == null) return wall;
        assertThat(board.boardAlongM()).isCloseTo(wall.wallHeightM(), within(1e-6));
        assertThat(board.landsFromFootM()).isCloseTo(wall.firstBounceFromWallM(), within(1e-6));
        if (wall.heightAtThrowerM() != null)
            assertThat(board.heightAtThrowerM()).isCloseTo(wall.heightAtThrowerM(), within(1e-6));
        return wall;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_leaning_board_sends_a_flat_ball_up_and_takes_no_speed_along_it(Random random) {
        double lean = 5 + random.nextDouble() * 30;
        LeanedBoard board = LeanedBoard.of(new LeanedBoard.LeanedBoardAsk(3.0, 0.6, 12.0, 2.0, lean, 3.0, 0.7));
        LeanedBoard steeper = LeanedBoard.of(new LeanedBoard.LeanedBoardAsk(3.0, 0.6, 12.0, 2.0, lean + 5, 3.0, 0.7));

        assertThat(board.timeToBoardSec()).isNotNull();
        double topBefore =
                board.path().stream().mapToDouble(PathPoint::yM).max().orElseThrow();
        double topAfter =
                steeper.path().stream().mapToDouble(PathPoint::yM).max().orElseThrow();
        if (board.outcome() != LeanedBoard.Outcome.BACK_ON_THE_FULL)
            assertThat(topAfter).isGreaterThan(topBefore);
        // The touch lies on the board: its height is that of the place on the board.
        PathPoint touch = board.path().get(32);
        assertThat(touch.yM()).isCloseTo(board.boardAlongM() * Math.cos(Math.toRadians(lean)), within(1e-6));
        assertThat(touch.xM() - 3).isCloseTo(board.boardAlongM() * Math.sin(Math.toRadians(lean)), within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_bounce_pass_by_the_found_spot_comes_up_to_the_hands(Random random) {
        double distance = 2 + random.nextDouble() * 5;
        double release = 0.7 + random.nextDouble() * 0.8;
        double speed = 4 + random.nextDouble() * 8;
        double e = 0.4 + random.nextDouble() * 0.5;
        double grip = 0.7 + random.nextDouble() * 0.3;
        double caught = 0.3 + random.nextDouble() * 0.6;
        BounceSpot found = BounceSpot.of(new BounceSpot.BounceSpotAsk(distance, release, speed, e, grip, caught));

        if (found.outcome() != BounceSpot.Outcome.SPOT) {
            assertThat(found.path()).isEmpty();
            if (found.highestAtCatcherM() != null)
                assertThat(found.highestAtCatcherM()).isLessThan(caught + 1e-9);
            return;
        }
        double[] there = stepped(release, speed, found.angleDeg(), e, grip, distance);
        assertThat(there[0]).as("bounces").isCloseTo(found.bounceFromPasserM(), within(0.02));
        assertThat(there[1]).as("height at the catcher").isCloseTo(caught, within(0.03));
        assertThat(found.bounceFromPasserM()).isBetween(0.0, distance);
        assertThat(found.path().get(found.path().size() - 1).xM()).isCloseTo(distance, within(1e-6));
    }

    @Test
    void the_two_thirds_rule_is_judged_by_the_same_flight() {
        BounceSpot flat = BounceSpot.of(new BounceSpot.BounceSpotAsk(3.0, 1.0, 6.0, 0.75, 0.9, 0.9));

        assertThat(flat.twoThirdsM()).isEqualTo(2.0);
        double tan = -1.0;
        for (double t = -3; t < 1; t += 1e-5) if (landsBy(1.0, 6.0, t) < 2.0) tan = t;
        double[] there = stepped(1.0, 6.0, Math.toDegrees(Math.atan(tan)), 0.75, 0.9, 3.0);
        assertThat(flat.heightByTwoThirdsM()).isCloseTo(there[1], within(0.03));
        assertThat(BounceSpot.of(new BounceSpot.BounceSpotAsk(40.0, 1.0, 3.0, 0.7, 0.9, 1.0))
                        .outcome())
                .isEqualTo(BounceSpot.Outcome.TOO_SLOW);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void off_the_wall_stands_where_the_ball_passes_catch_height(Random random) {
        double stand = 2 + random.nextDouble() * 4;
        double speed = 7 + random.nextDouble() * 7;
        double angle = 5 + random.nextDouble() * 40;
        double caught = 0.3 + random.nextDouble();
        Rebound.ReboundAsk thrown = new Rebound.ReboundAsk(stand, 1.4, speed, angle, 0.7, null, 0.1);
        OffTheWall sheet = OffTheWall.of(new OffTheWall.OffTheWallAsk(thrown, 0.7, caught));

        if (sheet.rebound().timeToWallSec() == null) {
            assertThat(sheet.catchBounceFromWallM()).isNull();
            return;
        }
        if (sheet.catchFullFromWallM() != null) {
            assertThat(sheet.catchFullFromWallM())
                    .isBetween(0.0, sheet.rebound().firstBounceFromWallM());
            double atX = stand - sheet.catchFullFromWallM();
            assertThat(heightOnTheWayBack(sheet.path(), atX)).isCloseTo(caught, within(0.06));
        }
        assertThat(sheet.catchBounceFromWallM())
                .isGreaterThanOrEqualTo(sheet.rebound().firstBounceFromWallM());
        assertThat(sheet.path()).allMatch(p -> Double.isFinite(p.xM()) && p.yM() >= 0);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_net_sheet_agrees_with_the_plain_mark_everywhere(Random random) {
        double net = 3 + random.nextDouble() * 6;
        WallMark.WallMarkAsk serve = new WallMark.WallMarkAsk(
                1 + random.nextDouble(),
                20 + random.nextDouble() * 40,
                net,
                1.5 + random.nextDouble(),
                0.1,
                3 + random.nextDouble() * 5,
                1 + random.nextDouble() * (net - 1));
        NetOnWall sheet = NetOnWall.of(new NetOnWall.NetOnWallAsk(serve, 0.105, 0.2, 5.0, 0.5, 2.7, null));

        assertThat(sheet.mark()).isEqualTo(WallMark.of(serve));
        if (!sheet.mark().feasible()) {
            assertThat(sheet.bandM()).isNull();
            return;
        }
        assertThat(sheet.slowPath().get(40).yM()).isCloseTo(sheet.mark().lowMarkM(), within(1e-6));
        assertThat(sheet.fastPath().get(40).yM()).isCloseTo(sheet.mark().highMarkM(), within(1e-6));
        assertThat(sheet.slowAfterWall().get(40).yM())
                .as("over the net by the clearance")
                .isCloseTo(serve.netHeightM() + 0.1, within(1e-6));
        assertThat(sheet.narrowerThanBall()).isEqualTo(sheet.bandM() < 0.21 - 1e-9);
        if (sheet.sharedLowM() != null) {
            assertThat(sheet.sharedLowM()).isGreaterThanOrEqualTo(sheet.mark().lowMarkM() - 1e-9);
            assertThat(sheet.sharedHighM())
                    .isBetween(sheet.sharedLowM() - 1e-9, sheet.mark().highMarkM() + 1e-9);
        }
        double top = Stream.concat(sheet.slowPath().stream(), sheet.fastPath().stream())
                .mapToDouble(PathPoint::yM)
                .max()
                .orElseThrow();
        assertThat(sheet.highestBallM()).isCloseTo(top + 0.105, within(0.02));
        assertThat(sheet.underCeiling()).isEqualTo(sheet.highestBallM() <= 2.7 + 1e-9);
        if (sheet.fitsFromM() != null) {
            NetOnWall nearer = NetOnWall.of(new NetOnWall.NetOnWallAsk(
                    new WallMark.WallMarkAsk(
                            serve.launchHeightM(),
                            serve.angleDeg(),
                            net,
                            serve.netHeightM(),
                            0.1,
                            serve.landWithinM(),
                            sheet.fitsFromM()),
                    0.105,
                    0.2,
                    5.0,
                    0.5,
                    2.7,
                    null));
            assertThat(nearer.underCeiling()).isTrue();
        }
    }

    @Test
    void a_hard_ball_asks_for_more_room_and_a_longer_reach_of_time() {
        Reaction soft = Reaction.of(new Reaction.ReactionAsk(10.0, 0.3, 0.25, false, 0.5, 5.5));
        Reaction hard = Reaction.of(new Reaction.ReactionAsk(10.0, 0.3, 0.25, true, 0.5, 5.5));

        assertThat(soft.leastDistanceM()).isCloseTo(5.5, within(1e-9));
        assertThat(List.of(soft.enough(), hard.enough())).containsExactly(true, false);
        assertThat(hard.leastDistanceM()).isCloseTo(8.25, within(1e-9));
        assertThatThrownBy(() -> new Reaction.ReactionAsk(0.0, 0.3, 0.25, true, 0.5, 5.5))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("speedMs");
    }

    @Test
    void each_further_clap_needs_a_higher_room_until_the_ceiling_says_no() {
        UnderCeiling sheet = UnderCeiling.of(
                new UnderCeiling.UnderCeilingAsk(new Toss.TossAsk(2.7, 0.15, 0.105, 1.1, 1.0, 0.28, 0.2), 4));

        assertThat(sheet.rises()).extracting(UnderCeiling.Rise::claps).containsExactly(0, 1, 2, 3, 4, 5, 6);
        assertThat(sheet.rises()).extracting(UnderCeiling.Rise::ceilingNeededM).isSorted();
        for (UnderCeiling.Rise rise : sheet.rises())
            assertThat(rise.fits()).isEqualTo(rise.ceilingNeededM() <= 2.7 + 1e-9);
        assertThat(sheet.wishFits()).isEqualTo(sheet.wish().ceilingNeededM() <= 2.7);
    }

    private static double heightOnTheWayBack(List<PathPoint> path, double x) {
        for (int i = 34; i < path.size(); i++) {
            PathPoint a = path.get(i - 1);
            PathPoint b = path.get(i);
            if (b.xM() <= x && a.xM() > b.xM()) return a.yM() + (b.yM() - a.yM()) * (x - a.xM()) / (b.xM() - a.xM());
        }
        return Double.NaN;
    }

    private static double landsBy(double release, double speed, double tan) {
        double vx = speed / Math.sqrt(1 + tan * tan);
        double vy = vx * tan;
        return vx * (vy + Math.sqrt(vy * vy + 2 * 9.81 * release)) / 9.81;
    }

    /** {place of the first bounce, height at the distance}, by steps of a tenth of a millisecond. */
    private static double[] stepped(
            double release, double speed, double angleDeg, double e, double grip, double distance) {
        double dt = 1e-4;
        double vx = speed * Math.cos(Math.toRadians(angleDeg));
        double vy = speed * Math.sin(Math.toRadians(angleDeg));
        double x = 0;
        double y = release;
        double bounce = Double.NaN;
        while (x < distance) {
            x += vx * dt;
            y += vy * dt - 9.81 * dt * dt / 2;
            vy -= 9.81 * dt;
            if (y < 0 && vy < 0) {
                if (Double.isNaN(bounce)) bounce = x;
                y = 0;
                vy *= -e;
                vx *= grip;
            }
        }
        return new double[] {bounce, y};
    }
}
