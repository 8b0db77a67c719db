package org.unrulymarble.core.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.unrulymarble.core.aim.AimSheet;
import org.unrulymarble.core.aim.Landings;
import org.unrulymarble.core.aim.Rings;
import org.unrulymarble.core.chance.Calls;
import org.unrulymarble.core.chance.GateFor;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.chance.NumberCall;
import org.unrulymarble.core.chance.Odds;
import org.unrulymarble.core.chance.Rates;
import org.unrulymarble.core.chance.Streak;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.clock.Fit;
import org.unrulymarble.core.clock.RestRule;
import org.unrulymarble.core.flight.BounceSpot;
import org.unrulymarble.core.flight.LeanedBoard;
import org.unrulymarble.core.flight.NetOnWall;
import org.unrulymarble.core.flight.OffTheWall;
import org.unrulymarble.core.flight.Rebound;
import org.unrulymarble.core.flight.Toss;
import org.unrulymarble.core.flight.UnderCeiling;
import org.unrulymarble.core.flight.WallMark;
import org.unrulymarble.core.games.Bowling;
import org.unrulymarble.core.games.BowlingSheet;
import org.unrulymarble.core.games.End;
import org.unrulymarble.core.games.JackMatch;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.measure.Reach;
import org.unrulymarble.core.measure.Staircase;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Slalom;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.rotation.Partners;
import org.unrulymarble.core.rotation.Stations;

/** Each reckoning at the far end of what may be asked of it, and those of the board as they are dragged. */
@State(Scope.Benchmark)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class ReckonBench {

    private final Random random = new Random(4);
    private final Fit.FitAsk twelve = fit(12, 7200);
    private final Fit.FitAsk twenty = fit(20, 14_400);
    private final List<Landings.Point> points = points(10_000);
    private final List<Rings.Ring> rings = rings();
    private final List<Bowling.Delivery> deliveries = Collections.nCopies(
            10_000, new Bowling.Delivery("b", 151.0, 150.0, 40.0, 40.0, 20.0, 90.0, true, false, false));
    private final List<BowlingSheet.ZoneBall> zoneBalls = Collections.nCopies(
            10_000, new BowlingSheet.ZoneBall("b", "w", BowlingSheet.Zone.HIGH, true, false, false));
    private final List<End.Ball> balls = Collections.nCopies(64, new End.Ball(End.Player.A, 20.0, false));
    private final JackMatch.JackMatchAsk match = match();
    private final List<Double> shares = Collections.nCopies(500, 0.83);
    private final WallMark.WallMarkAsk serve = new WallMark.WallMarkAsk(1.7, 35.0, 6.0, 2.1, 0.15, 6.0, 3.0);
    private final Rebound.ReboundAsk thrown = new Rebound.ReboundAsk(3.0, 1.3, 8.0, 20.0, 0.7, 2.7, 0.1);
    private final String letters = "HHMHM".repeat(2000);

    @Benchmark
    public Object fitTwelveBlocksTwoHours() {
        return Fit.of(twelve);
    }

    @Benchmark
    public Object fitAtBound() {
        return Fit.of(twenty);
    }

    @Benchmark
    public Object spotsAtBound() {
        return Spots.of(new Spots.SpotsAsk(
                new Space(200.0, 200.0, null, null), new Footprint(0.5, 0.5, 0.0, 0.0, false, false, null), 500, 1));
    }

    @Benchmark
    public Object netOnWall() {
        return NetOnWall.of(new NetOnWall.NetOnWallAsk(serve, 0.105, 0.2, 5.0, 0.25, 2.7, null));
    }

    @Benchmark
    public Object underCeiling() {
        return UnderCeiling.of(
                new UnderCeiling.UnderCeilingAsk(new Toss.TossAsk(2.7, 0.15, 0.1, 1.1, 1.0, 0.28, 0.2), 1000));
    }

    @Benchmark
    public Object offTheWall() {
        return OffTheWall.of(new OffTheWall.OffTheWallAsk(thrown, 0.7, 1.0));
    }

    @Benchmark
    public Object leanedBoard() {
        return LeanedBoard.of(new LeanedBoard.LeanedBoardAsk(3.0, 1.0, 9.0, -10.0, 15.0, 1.2, 0.7));
    }

    @Benchmark
    public Object bounceSpotNone() {
        return BounceSpot.of(new BounceSpot.BounceSpotAsk(5.0, 1.0, 6.0, 0.5, 0.9, 1.5));
    }

    @Benchmark
    public Object aimTenThousandTaps() {
        return AimSheet.of(new AimSheet.AimSheetAsk(rings, Collections.nCopies(12, 0), 0, points, 3.0, 0.7));
    }

    @Benchmark
    public Object streakAtBound() {
        return Streak.of(new Streak.StreakAsk(0.9999, 1000, 14_400, 0.01, 1e-6));
    }

    @Benchmark
    public Object streakOfALesson() {
        return Streak.of(new Streak.StreakAsk(0.8, 10, 600, 2.5, 0.5));
    }

    @Benchmark
    public Object oddsAtBound() {
        return Odds.of(new Odds.OddsAsk(0.8, 1000, 700, 0.5));
    }

    @Benchmark
    public Object gateForAClass() {
        return GateFor.of(new GateFor.GateForAsk(shares.subList(0, 32), 120, 2.5, 10, 0.5));
    }

    @Benchmark
    public Object gateForAtBound() {
        return GateFor.of(new GateFor.GateForAsk(shares, 2000, 1.0, 1000, 0.5));
    }

    @Benchmark
    public Object masteryAtBound() {
        return Mastery.of(new Mastery.MasteryAsk(
                Collections.nCopies(10_000, new Mastery.Evidence(3.0, 8, 2)), 21.0, 0.8, 0.5, 0.8, 5.0));
    }

    @Benchmark
    public Object ratesAtBound() {
        return Rates.of(new Rates.RatesAsk(Collections.nCopies(50, new Rates.TimedCount(90_000, 14_000)), 0.9));
    }

    @Benchmark
    public Object callsAtBound() {
        return Calls.of(new Calls.CallsAsk(3, 12, 1000, 1, false, List.of()));
    }

    @Benchmark
    public Object numberCallAtBound() {
        return NumberCall.of(new NumberCall.NumberCallAsk(3, 64, NumberCall.DrawFrom.LEFT, "M".repeat(10_000)));
    }

    @Benchmark
    public Object staircaseAtBound() {
        return Staircase.of(new Staircase.StaircaseAsk(1, 2, OnMiss.STEP_IN, letters, 0.3));
    }

    @Benchmark
    public Object reachInTime() {
        return Reach.of(new Reach.ReachAsk(14_400, 1, 0.9, 0.01, 0.0, 0.0));
    }

    @Benchmark
    public Object slalomAtBound() {
        return Slalom.of(new Slalom.SlalomAsk(200.0, 0.01, 5.0, 20.0, true, 20.0, 0.1));
    }

    @Benchmark
    public Object stationsAtBound() {
        return Stations.of(new Stations.StationsAsk(60, 60, 60, 60, 10));
    }

    @Benchmark
    public Object partnersAtBound() {
        return Partners.of(new Partners.PartnersAsk(64, 63));
    }

    @Benchmark
    public Object endAtBound() {
        return End.of(
                new End.EndAsk(balls, 1.0, End.TieRule.ONE_EACH, End.Player.A, End.Player.A, new End.BallsLeft(1, 1)));
    }

    @Benchmark
    public Object jackMatchAtBound() {
        return JackMatch.of(match);
    }

    @Benchmark
    public Object bowlingAtBound() {
        return Bowling.of(new Bowling.BowlingAsk(deliveries));
    }

    @Benchmark
    public Object bowlingSheetAtBound() {
        return BowlingSheet.of(new BowlingSheet.BowlingSheetAsk(zoneBalls, "b", "w"));
    }

    private static Fit.FitAsk fit(int blocks, int targetSec) {
        List<Fit.FitBlock> list = new ArrayList<>();
        for (int i = 0; i < blocks; i++)
            list.add(new Fit.FitBlock(
                    20,
                    30,
                    5,
                    2 + i % 3,
                    Dose.byClock(40 + 5 * (i % 4)),
                    2,
                    5,
                    2,
                    10,
                    30,
                    true,
                    1,
                    6,
                    5,
                    500,
                    1.0 + i));
        return new Fit.FitAsk(RestRule.AFTER_EVERY_SET, 30, targetSec, list);
    }

    private List<Landings.Point> points(int n) {
        List<Landings.Point> list = new ArrayList<>();
        for (int i = 0; i < n; i++)
            list.add(new Landings.Point(random.nextGaussian() * 20, random.nextGaussian() * 20));
        return list;
    }

    private static List<Rings.Ring> rings() {
        List<Rings.Ring> list = new ArrayList<>();
        for (int i = 1; i <= 12; i++) list.add(new Rings.Ring(5.0 * i, 13.0 - i));
        return list;
    }

    private JackMatch.JackMatchAsk match() {
        List<JackMatch.MatchEnd> ends = new ArrayList<>();
        for (int e = 0; e < 60; e++) {
            List<JackMatch.MatchBall> played = new ArrayList<>();
            for (int i = 0; i < 64; i++)
                played.add(new JackMatch.MatchBall(
                        i % 2 == 0 ? End.Player.A : End.Player.B,
                        1.0 + random.nextInt(300),
                        null,
                        null,
                        false,
                        false,
                        false));
            ends.add(new JackMatch.MatchEnd(played, false));
        }
        return new JackMatch.JackMatchAsk(
                8,
                8,
                4,
                End.Player.A,
                JackMatch.JackRule.WINNER,
                JackMatch.PlayerOrder.IN_TURN,
                End.TieRule.NONE_SCORES,
                1.0,
                true,
                true,
                null,
                null,
                null,
                0,
                ends);
    }
}
