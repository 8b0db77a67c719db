package org.unrulymarble.core.aim;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * Aiming off, or scattered? From where throws landed, relative to the aim.
 *
 * @param biasCm length of the mean: how far the aim is off
 * @param spreadCm scatter about the mean, alike in all directions
 * @param chanceOfSuchBias of a bias at least so large though the aim is true (F test on 2 and 2(n - 1))
 */
public record Landings(
        double meanXCm, double meanYCm, double biasCm, double spreadCm, double chanceOfSuchBias, Direction direction) {

    static final double CENTRED_FROM = 0.05;

    /** Where the aim is off to; the eighths in the order of their angle. */
    public enum Direction {
        RIGHT,
        HIGH_RIGHT,
        HIGH,
        HIGH_LEFT,
        LEFT,
        LOW_LEFT,
        LOW,
        LOW_RIGHT,
        CENTRED
    }

    /** Right and up positive, -20,000 to 20,000 cm. */
    public record Point(Double xCm, Double yCm) {
        public Point {
            new Checks()
                    .range("xCm", xCm, -20_000, 20_000)
                    .range("yCm", yCm, -20_000, 20_000)
                    .done();
        }
    }

    /** 2 to 10,000 points. */
    public record LandingsAsk(List<Point> points) {
        public LandingsAsk {
            new Checks().entries("points", points, 2, 10_000).done();
            points = List.copyOf(points);
        }
    }

    public static Landings of(LandingsAsk ask) {
        int n = ask.points().size();
        double meanX = ask.points().stream().mapToDouble(Point::xCm).average().orElseThrow();
        double meanY = ask.points().stream().mapToDouble(Point::yCm).average().orElseThrow();
        double squares = ask.points().stream()
                .mapToDouble(p -> Math.pow(p.xCm() - meanX, 2) + Math.pow(p.yCm() - meanY, 2))
                .sum();
        double bias = Math.hypot(meanX, meanY);
        double spread = Math.sqrt(squares / (2.0 * (n - 1)));
        double chance = chanceOfBias(bias, spread, n);
        Direction direction = chance >= CENTRED_FROM - Rounding.SLACK
                ? Direction.CENTRED
                : towards(Math.toDegrees(Math.atan2(meanY, meanX)));
        return new Landings(meanX, meanY, bias, spread, chance, direction);
    }

    /** Chance of a bias at least so large though the aim is true, for n throws of that spread. */
    static double chanceOfBias(double biasCm, double spreadCm, int n) {
        if (spreadCm < Rounding.SLACK) return biasCm < Rounding.SLACK ? 1 : 0;
        return Math.pow(1 + n * biasCm * biasCm / (2 * spreadCm * spreadCm * (n - 1)), -(n - 1));
    }

    private static Direction towards(double deg) {
        return Direction.values()[Math.floorMod(Rounding.floor((deg + 22.5) / 45), 8)];
    }
}
