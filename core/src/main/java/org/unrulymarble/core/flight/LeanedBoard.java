package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * Where a ball comes back from a board that leans away from the thrower. Source: the board gives back the share e of the speed square to it and
 * keeps the speed along it; no spin, and the board does not give way. Upright it is a wall.
 *
 * @param boardAlongM from the board's foot to the touch, along the board; null if the ball does not touch it
 * @param landsFromFootM where it next meets the floor, from the board's foot towards the thrower (negative: behind it); null unless touched
 * @param heightAtThrowerM null unless it comes back on the full
 */
public record LeanedBoard(
        Outcome outcome,
        @Nullable Double boardAlongM,
        @Nullable Double timeToBoardSec,
        @Nullable Double landsFromFootM,
        @Nullable Double timeToFloorSec,
        @Nullable Double heightAtThrowerM,
        List<PathPoint> path) {

    /** What happens to the ball. */
    public enum Outcome {
        FLOOR_FIRST,
        OVER_THE_BOARD,
        GOES_AWAY,
        BOUNCES_FIRST,
        BACK_ON_THE_FULL
    }

    /** standM above 0 (thrower to the board's foot); leanDeg 0 to 89 from upright; boardM above 0 to 200 along the board; restitution 0 to 1. */
    public record LeanedBoardAsk(
            Double standM,
            Double releaseM,
            Double speedMs,
            Double angleDeg,
            Double leanDeg,
            Double boardM,
            Double restitution) {
        public LeanedBoardAsk {
            new Checks()
                    .above("standM", standM, 0, 200)
                    .length("releaseM", releaseM)
                    .above("speedMs", speedMs, 0, 60)
                    .angle("angleDeg", angleDeg)
                    .range("leanDeg", leanDeg, 0, 89)
                    .above("boardM", boardM, 0, 200)
                    .range("restitution", restitution, 0, 1)
                    .done();
        }
    }

    public static LeanedBoard of(LeanedBoardAsk ask) {
        double a = Math.toRadians(ask.angleDeg());
        double vx = ask.speedMs() * Math.cos(a);
        double vy = ask.speedMs() * Math.sin(a);
        double h0 = ask.releaseM();
        double sin = Math.sin(Math.toRadians(ask.leanDeg()));
        double cos = Math.cos(Math.toRadians(ask.leanDeg()));
        double toFloor = PathPoint.secToFloor(h0, vy);
        double toBoard = toBoard(ask, vx, vy, sin, cos);
        if (toFloor < toBoard - Rounding.SLACK)
            return untouched(Outcome.FLOOR_FIRST, PathPoint.flight(0, h0, vx, vy, toFloor));
        double x = vx * toBoard;
        double y = Math.max(0, h0 + vy * toBoard - G * toBoard * toBoard / 2);
        double along = Math.hypot(x - ask.standM(), y);
        if (!Rounding.fits(along, ask.boardM()))
            return untouched(Outcome.OVER_THE_BOARD, PathPoint.flight(0, h0, vx, vy, toFloor));

        double fall = vy - G * toBoard;
        // Square to the board, towards the thrower, is (-cos, sin); along it, upwards, is (sin, cos).
        double square = -vx * cos + fall * sin;
        double along2 = vx * sin + fall * cos;
        double back = -ask.restitution() * Math.min(0, square);
        double vx2 = -back * cos + along2 * sin;
        double vy2 = back * sin + along2 * cos;
        double down = PathPoint.secToFloor(y, vy2);
        double landsX = x + vx2 * down;
        List<PathPoint> path = new ArrayList<>(PathPoint.flight(0, h0, vx, vy, toBoard));
        if (vx2 >= 0) {
            path.addAll(PathPoint.flight(x, y, vx2, vy2, down));
            return told(ask, Outcome.GOES_AWAY, along, toBoard, landsX, toBoard + down, null, path);
        }
        double toThrower = x / -vx2;
        if (toThrower <= down + Rounding.SLACK) {
            path.addAll(PathPoint.flight(x, y, vx2, vy2, toThrower));
            double height = Math.max(0, y + vy2 * toThrower - G * toThrower * toThrower / 2);
            return told(ask, Outcome.BACK_ON_THE_FULL, along, toBoard, landsX, toBoard + down, height, path);
        }
        path.addAll(PathPoint.flight(x, y, vx2, vy2, down));
        return told(ask, Outcome.BOUNCES_FIRST, along, toBoard, landsX, toBoard + down, null, path);
    }

    /** (x - d) cos = y sin, solved for the first time after the release. */
    private static double toBoard(LeanedBoardAsk ask, double vx, double vy, double sin, double cos) {
        double a = G / 2 * sin;
        double b = vx * cos - vy * sin;
        double c = -ask.standM() * cos - ask.releaseM() * sin;
        double root = Math.sqrt(b * b - 4 * a * c);
        // The stable form: no subtraction of nearly equal numbers when the board is almost upright.
        return -2 * c / (b + root);
    }

    private static LeanedBoard untouched(Outcome outcome, List<PathPoint> path) {
        return new LeanedBoard(outcome, null, null, null, null, null, List.copyOf(path));
    }

    private static LeanedBoard told(
            LeanedBoardAsk ask,
            Outcome outcome,
            double along,
            double toBoard,
            double landsX,
            double toFloor,
            Double height,
            List<PathPoint> path) {
        return new LeanedBoard(outcome, along, toBoard, ask.standM() - landsX, toFloor, height, List.copyOf(path));
    }
}
