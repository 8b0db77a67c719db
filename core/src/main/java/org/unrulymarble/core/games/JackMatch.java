package org.unrulymarble.core.games;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.games.End.Ball;
import org.unrulymarble.core.games.End.BallsLeft;
import org.unrulymarble.core.games.End.Nearest;
import org.unrulymarble.core.games.End.Player;
import org.unrulymarble.core.games.End.Points;

/**
 * A whole match of nearest the jack, end by end by {@link End}: whose jack it is, who plays the next ball and why, what each end is worth and why,
 * and when it is over. Source: the toss decides the first jack, then the winner of the end has it; after an end without a winner it stays where it was.
 *
 * @param next null when the match is over, or when all balls of the end are played
 * @param jackSide who has the jack in the end that is played, or in the next one once this one is complete
 * @param winner null while it is played; TIE if time or ends ran out level
 */
public record JackMatch(
        List<EndSheet> ends,
        Points totals,
        boolean endComplete,
        Player jackSide,
        @Nullable Next next,
        Over over,
        @Nullable Nearest winner) {

    /** One player after the other in turn, or each all of their balls first. */
    public enum PlayerOrder {
        IN_TURN,
        ALL_OF_ONE_FIRST
    }

    /** Who has the jack after an end: its winner, or the sides in turn. */
    public enum JackRule {
        WINNER,
        IN_TURN
    }

    /** Why this side plays next. */
    public enum NextWhy {
        JACK_FIRST,
        NO_LIVE_BALL,
        NOT_NEAREST,
        TIE_LAST_AGAIN,
        OTHER_HAS_NONE_LEFT
    }

    /** Why the end is worth what it is. */
    public enum PointsWhy {
        NO_LIVE_BALL,
        TIE_NONE,
        TIE_ONE_EACH,
        NO_LIVE_BALL_AGAINST,
        NEARER_THAN_THEIR_BEST,
        TOLD
    }

    /** What ended the match. */
    public enum Over {
        NOT_YET,
        TARGET,
        TIME,
        ENDS
    }

    /** @param player from 1 within the side; ballNumber from 1 for that player */
    public record Next(Player side, int player, int ballNumber, NextWhy why) {}

    /** @param player from 1; counts: it is one of those that score; outOfTurn: another side should have played */
    public record BallSheet(
            Player side, int player, double distanceCm, boolean dead, boolean counts, boolean outOfTurn) {}

    /** @param bestA,bestB nearest live ball of each side; null without one */
    public record EndSheet(
            Player jackSide,
            List<BallSheet> balls,
            Nearest nearest,
            Points points,
            PointsWhy why,
            @Nullable Double bestA,
            @Nullable Double bestB,
            boolean complete) {}

    /** Where a ball lies: measured from the jack, or as placed on the drawing (cm from the jack; both needed then). */
    public record MatchBall(
            Player side,
            @Nullable Double distanceCm,
            @Nullable Double xCm,
            @Nullable Double yCm,
            Boolean out,
            Boolean footOver,
            Boolean landedShort) {
        public MatchBall {
            Checks checks = new Checks().required("side", side);
            if (distanceCm != null) checks.range("distanceCm", distanceCm, 0, 20_000);
            else checks.range("xCm", xCm, -20_000, 20_000).range("yCm", yCm, -20_000, 20_000);
            checks.required("out", out)
                    .required("footOver", footOver)
                    .required("landedShort", landedShort)
                    .done();
        }

        double distance() {
            return distanceCm != null ? distanceCm : Math.min(20_000, Math.hypot(xCm, yCm));
        }
    }

    /** What an end was worth as the players say. @param side whose points they are, or null for both; points 0 to 64 */
    public record Told(@Nullable Player side, Integer points) {
        public Told {
            new Checks().range("points", points, 0, 64).done();
        }

        Points asPoints() {
            return new Points(side == Player.B ? 0 : points, side == Player.A ? 0 : points);
        }
    }

    /** One end; called is true when it ends as it lies, before all balls are played; told what it was worth by eye, or null. */
    public record MatchEnd(
            List<MatchBall> balls, Boolean called, @Nullable Told told) {

        /** As the balls lie. */
        public MatchEnd(List<MatchBall> balls, Boolean called) {
            this(balls, called, null);
        }

        public MatchEnd {
            new Checks()
                    .entries("balls", balls, 0, 64)
                    .required("called", called)
                    .done();
            balls = List.copyOf(balls);
        }
    }

    /**
     * The house rules and all that was played.
     *
     * @param targetScore 1 to 1,000, or null; maxEnds 1 to 60, or null; timeCapSec, or null: no new end is begun after it
     * @param footLineKills,shortLineKills whether such a ball is dead
     */
    public record JackMatchAsk(
            Integer playersA,
            Integer playersB,
            Integer ballsPerPlayer,
            Player tossWonBy,
            JackRule jackRule,
            PlayerOrder playerOrder,
            End.TieRule tieRule,
            Double toleranceCm,
            Boolean footLineKills,
            Boolean shortLineKills,
            @Nullable Integer targetScore,
            @Nullable Integer maxEnds,
            @Nullable Integer timeCapSec,
            Integer playedSec,
            List<MatchEnd> ends) {
        public JackMatchAsk {
            Checks checks = new Checks()
                    .range("playersA", playersA, 1, 8)
                    .range("playersB", playersB, 1, 8)
                    .range("ballsPerPlayer", ballsPerPlayer, 1, 4)
                    .required("tossWonBy", tossWonBy)
                    .required("jackRule", jackRule)
                    .required("playerOrder", playerOrder)
                    .required("tieRule", tieRule)
                    .range("toleranceCm", toleranceCm, 0, 20_000)
                    .required("footLineKills", footLineKills)
                    .required("shortLineKills", shortLineKills)
                    .seconds("playedSec", playedSec)
                    .entries("ends", ends, 1, 60);
            if (targetScore != null) checks.range("targetScore", targetScore, 1, 1000);
            if (maxEnds != null) checks.range("maxEnds", maxEnds, 1, 60);
            if (timeCapSec != null) checks.seconds("timeCapSec", timeCapSec);
            checks.done();
            for (int i = 0; i < ends.size(); i++) {
                for (Player side : Player.values())
                    checks.that(
                            played(ends.get(i), side) <= (side == Player.A ? playersA : playersB) * ballsPerPlayer,
                            "ends[" + i + "].balls",
                            Fault.Rule.ENTRIES,
                            0,
                            (playersA + playersB) * ballsPerPlayer);
            }
            checks.done();
            ends = List.copyOf(ends);
        }

        int balls(Player side) {
            return (side == Player.A ? playersA : playersB) * ballsPerPlayer;
        }
    }

    public static JackMatch of(JackMatchAsk ask) {
        List<EndSheet> sheets = new ArrayList<>();
        Player jack = ask.tossWonBy();
        int a = 0;
        int b = 0;
        Over over = Over.NOT_YET;
        Next next = null;
        for (int i = 0; i < ask.ends().size(); i++) {
            MatchEnd end = ask.ends().get(i);
            boolean last = i == ask.ends().size() - 1;
            EndSheet sheet = sheet(ask, end, jack, !last);
            sheets.add(sheet);
            if (!sheet.complete()) {
                next = next(ask, end, jack);
                break;
            }
            a += sheet.points().A();
            b += sheet.points().B();
            jack = jackAfter(ask, sheet, jack);
            over = over(ask, a, b, i + 1);
        }
        boolean complete = sheets.get(sheets.size() - 1).complete();
        Nearest winner =
                over == Over.NOT_YET || !complete ? null : a == b ? Nearest.TIE : a > b ? Nearest.A : Nearest.B;
        return new JackMatch(
                List.copyOf(sheets), new Points(a, b), complete, jack, next, complete ? over : Over.NOT_YET, winner);
    }

    /** At the target level with each other, it is played on. */
    private static Over over(JackMatchAsk ask, int a, int b, int endsPlayed) {
        if (ask.targetScore() != null && a != b && Math.max(a, b) >= ask.targetScore()) return Over.TARGET;
        if (ask.maxEnds() != null && endsPlayed >= ask.maxEnds()) return Over.ENDS;
        if (ask.timeCapSec() != null && ask.playedSec() >= ask.timeCapSec()) return Over.TIME;
        return Over.NOT_YET;
    }

    private static Player jackAfter(JackMatchAsk ask, EndSheet end, Player jack) {
        if (ask.jackRule() == JackRule.IN_TURN) return jack.other();
        if (end.points().A() == end.points().B()) return jack;
        return end.points().A() > end.points().B() ? Player.A : Player.B;
    }

    private static EndSheet sheet(JackMatchAsk ask, MatchEnd end, Player jack, boolean anotherFollows) {
        List<Ball> all = balls(ask, end);
        End result = End.of(endAsk(ask, all, all.size(), jack));
        Double bestA = best(all, Player.A);
        Double bestB = best(all, Player.B);
        List<BallSheet> sheets = new ArrayList<>();
        double[] best = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
        int[] played = new int[2];
        Player last = null;
        for (Ball ball : all) {
            Player due = End.next(
                    End.nearest(best[0], best[1], ask.toleranceCm()),
                    jack,
                    last,
                    ask.balls(Player.A) - played[0],
                    ask.balls(Player.B) - played[1]);
            last = ball.side();
            sheets.add(new BallSheet(
                    last,
                    player(ask, last, played[last.ordinal()]++),
                    ball.distanceCm(),
                    ball.dead(),
                    counts(ask, result, ball, bestA, bestB),
                    due != last));
            if (!ball.dead()) best[last.ordinal()] = Math.min(best[last.ordinal()], ball.distanceCm());
        }
        boolean complete = anotherFollows
                || end.called()
                || end.told() != null
                || end.balls().size() == ask.balls(Player.A) + ask.balls(Player.B);
        return new EndSheet(
                jack,
                List.copyOf(sheets),
                result.nearest(),
                end.told() == null ? result.points() : end.told().asPoints(),
                end.told() == null ? why(ask, result, bestA, bestB) : PointsWhy.TOLD,
                bestA,
                bestB,
                complete);
    }

    private static boolean counts(JackMatchAsk ask, End result, Ball ball, Double bestA, Double bestB) {
        boolean sidesEnd = result.nearest().name().equals(ball.side().name());
        if (ball.dead() || !sidesEnd) return false;
        Double theirs = ball.side() == Player.A ? bestB : bestA;
        return theirs == null || theirs - ball.distanceCm() > ask.toleranceCm() + Rounding.SLACK;
    }

    private static PointsWhy why(JackMatchAsk ask, End result, Double bestA, Double bestB) {
        return switch (result.nearest()) {
            case NONE -> PointsWhy.NO_LIVE_BALL;
            case TIE -> ask.tieRule() == End.TieRule.ONE_EACH ? PointsWhy.TIE_ONE_EACH : PointsWhy.TIE_NONE;
            case A, B ->
                bestA == null || bestB == null ? PointsWhy.NO_LIVE_BALL_AGAINST : PointsWhy.NEARER_THAN_THEIR_BEST;
        };
    }

    private static Next next(JackMatchAsk ask, MatchEnd end, Player jack) {
        End now = End.of(endAsk(ask, balls(ask, end), end.balls().size(), jack));
        Player side = now.nextToPlay();
        if (side == null) return null;
        int played = played(end, side);
        return new Next(side, player(ask, side, played), ballNumber(ask, side, played), why(now, end, jack, side));
    }

    private static NextWhy why(End now, MatchEnd end, Player jack, Player side) {
        if (end.balls().isEmpty()) return side == jack ? NextWhy.JACK_FIRST : NextWhy.OTHER_HAS_NONE_LEFT;
        Player lastSide = end.balls().get(end.balls().size() - 1).side();
        return switch (now.nearest()) {
            case NONE -> side != lastSide ? NextWhy.NO_LIVE_BALL : NextWhy.OTHER_HAS_NONE_LEFT;
            case TIE -> side == lastSide ? NextWhy.TIE_LAST_AGAIN : NextWhy.OTHER_HAS_NONE_LEFT;
            case A -> side == Player.B ? NextWhy.NOT_NEAREST : NextWhy.OTHER_HAS_NONE_LEFT;
            case B -> side == Player.A ? NextWhy.NOT_NEAREST : NextWhy.OTHER_HAS_NONE_LEFT;
        };
    }

    private static int player(JackMatchAsk ask, Player side, int played) {
        int players = side == Player.A ? ask.playersA() : ask.playersB();
        return 1 + (ask.playerOrder() == PlayerOrder.IN_TURN ? played % players : played / ask.ballsPerPlayer());
    }

    private static int ballNumber(JackMatchAsk ask, Player side, int played) {
        int players = side == Player.A ? ask.playersA() : ask.playersB();
        return 1 + (ask.playerOrder() == PlayerOrder.IN_TURN ? played / players : played % ask.ballsPerPlayer());
    }

    /** The end as it lay after so many balls. */
    private static End.EndAsk endAsk(JackMatchAsk ask, List<Ball> all, int afterBalls, Player jack) {
        List<Ball> played = all.subList(0, afterBalls);
        int a = (int) played.stream().filter(ball -> ball.side() == Player.A).count();
        return new End.EndAsk(
                played,
                ask.toleranceCm(),
                ask.tieRule(),
                jack,
                afterBalls == 0 ? null : played.get(afterBalls - 1).side(),
                new BallsLeft(ask.balls(Player.A) - a, ask.balls(Player.B) - (afterBalls - a)));
    }

    private static List<Ball> balls(JackMatchAsk ask, MatchEnd end) {
        return end.balls().stream()
                .map(ball -> new Ball(
                        ball.side(),
                        ball.distance(),
                        ball.out()
                                || ball.footOver() && ask.footLineKills()
                                || ball.landedShort() && ask.shortLineKills()))
                .toList();
    }

    private static Double best(List<Ball> balls, Player side) {
        return balls.stream()
                .filter(ball -> ball.side() == side && !ball.dead())
                .map(Ball::distanceCm)
                .min(Double::compare)
                .orElse(null);
    }

    private static int played(MatchEnd end, Player side) {
        return played(end.balls(), side);
    }

    private static int played(List<MatchBall> balls, Player side) {
        return (int) balls.stream().filter(ball -> ball.side() == side).count();
    }
}
