package org.unrulymarble.core.games;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;

/**
 * One end of nearest the jack: who lies nearest, what it is worth, who plays next.
 *
 * @param nextToPlay null when no balls are left
 */
public record End(Nearest nearest, Points points, Player nextToPlay) {

    /** One of the two sides. */
    public enum Player {
        A,
        B;

        Player other() {
            return this == A ? B : A;
        }
    }

    /** Whose ball is nearest; TIE when the nearest of both differ by at most the tolerance, NONE without a live ball. */
    public enum Nearest {
        A,
        B,
        TIE,
        NONE
    }

    /** The house rule for a tie: nobody scores, or one point each however many tie. */
    public enum TieRule {
        NONE_SCORES,
        ONE_EACH
    }

    /** Points of each side; the letters are the sides' names. */
    public record Points(int A, int B) {}

    /** Balls that each side has still to play, 0 to 64; the letters are the sides' names. */
    public record BallsLeft(Integer A, Integer B) {
        public BallsLeft {
            new Checks().range("A", A, 0, 64).range("B", B, 0, 64).done();
        }
    }

    /** A ball that was played; distanceCm 0 to 20,000. */
    public record Ball(Player side, Double distanceCm, Boolean dead) {
        public Ball {
            new Checks()
                    .required("side", side)
                    .range("distanceCm", distanceCm, 0, 20_000)
                    .required("dead", dead)
                    .done();
        }
    }

    /** At most 64 balls; lastSide is null before the first ball only. */
    public record EndAsk(
            List<Ball> balls,
            Double toleranceCm,
            TieRule tieRule,
            Player jackSide,
            Player lastSide,
            BallsLeft ballsLeft) {
        public EndAsk {
            new Checks()
                    .entries("balls", balls, 0, 64)
                    .range("toleranceCm", toleranceCm, 0, 20_000)
                    .required("tieRule", tieRule)
                    .required("jackSide", jackSide)
                    .required("ballsLeft", ballsLeft)
                    .that(balls == null || balls.isEmpty() || lastSide != null, "lastSide", Fault.Rule.REQUIRED)
                    .done();
            balls = List.copyOf(balls);
        }
    }

    public static End of(EndAsk ask) {
        double a = nearest(ask, Player.A);
        double b = nearest(ask, Player.B);
        Nearest nearest = nearest(a, b, ask.toleranceCm());
        Player next = next(
                nearest,
                ask.jackSide(),
                ask.lastSide(),
                ask.ballsLeft().A(),
                ask.ballsLeft().B());
        return new End(nearest, points(ask, nearest, a, b), next);
    }

    /** Distance of a side's nearest live ball; infinite without one. */
    private static double nearest(EndAsk ask, Player side) {
        return ask.balls().stream()
                .filter(ball -> ball.side() == side && !ball.dead())
                .mapToDouble(Ball::distanceCm)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    static Nearest nearest(double a, double b, double tolerance) {
        if (Double.isInfinite(a) && Double.isInfinite(b)) return Nearest.NONE;
        if (Rounding.fits(Math.abs(a - b), tolerance)) return Nearest.TIE;
        return a < b ? Nearest.A : Nearest.B;
    }

    private static Points points(EndAsk ask, Nearest nearest, double a, double b) {
        return switch (nearest) {
            case NONE -> new Points(0, 0);
            case TIE -> ask.tieRule() == TieRule.ONE_EACH ? new Points(1, 1) : new Points(0, 0);
            case A -> new Points(nearerThan(ask, Player.A, b), 0);
            case B -> new Points(0, nearerThan(ask, Player.B, a));
        };
    }

    private static int nearerThan(EndAsk ask, Player side, double others) {
        return (int) ask.balls().stream()
                .filter(ball -> ball.side() == side && !ball.dead())
                .filter(ball -> others - ball.distanceCm() > ask.toleranceCm() + Rounding.SLACK)
                .count();
    }

    /** Who plays next, null when neither side has a ball left. */
    static Player next(Nearest nearest, Player jackSide, Player lastSide, int leftA, int leftB) {
        Player wanted = switch (nearest) {
            case A -> Player.B;
            case B -> Player.A;
            case TIE -> lastSide;
            case NONE -> lastSide == null ? jackSide : lastSide.other();
        };
        int left = wanted == Player.A ? leftA : leftB;
        if (left > 0) return wanted;
        return leftA + leftB > left ? wanted.other() : null;
    }
}
