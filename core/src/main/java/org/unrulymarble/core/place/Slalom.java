package org.unrulymarble.core.place;

import org.hipparchus.analysis.integration.SimpsonIntegrator;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * Markers in a row to weave through. Source: as many gaps as come nearest to the wanted one from above, so that the row fills the run with a gap
 * free before the first marker and after the last; the path is taken as a wave that passes each marker at the pass width, its length by Simpson's
 * rule. A better time is the first time less the wanted share.
 *
 * @param markers 0 where the run is too short for two gaps
 * @param gapM between markers, and at both ends
 * @param ballFits whether the ball goes through a gap with its own width free on either side
 * @param pathM one way
 * @param betterSec null without a first time, as are the next two
 */
public record Slalom(
        int markers,
        double gapM,
        boolean ballFits,
        double pathM,
        @Nullable Double betterSec,
        @Nullable Double savesSec,
        @Nullable Double speedMs) {

    private static final int MOST_MARKERS = 500;

    /** runM and gapM above 0 to 200; passM 0 to 5; ballCm 0 to 200; firstSec 0.1 to 14,400 or null; betterShare 0 to 0.99. */
    public record SlalomAsk(
            Double runM,
            Double gapM,
            Double passM,
            Double ballCm,
            Boolean thereAndBack,
            @Nullable Double firstSec,
            Double betterShare) {
        public SlalomAsk {
            Checks checks = new Checks()
                    .above("runM", runM, 0, 200)
                    .above("gapM", gapM, 0, 200)
                    .range("passM", passM, 0, 5)
                    .range("ballCm", ballCm, 0, 200)
                    .required("thereAndBack", thereAndBack)
                    .range("betterShare", betterShare, 0, 0.99);
            if (firstSec != null) checks.range("firstSec", firstSec, 0.1, Checks.MAX_SEC);
            checks.done();
        }
    }

    public static Slalom of(SlalomAsk ask) {
        int gaps = (int) Math.min(MOST_MARKERS + 1.0, Math.floor(ask.runM() / ask.gapM() + Rounding.SLACK));
        int markers = Math.max(0, gaps - 1);
        double gap = markers == 0 ? ask.runM() : ask.runM() / gaps;
        double path = markers == 0 || ask.passM() == 0 ? ask.runM() : gaps * wave(gap, ask.passM());
        Double first = ask.firstSec();
        Double better = first == null ? null : (Double) (first * (1 - ask.betterShare()));
        return new Slalom(
                markers,
                gap,
                Rounding.fits(3 * ask.ballCm() / 100, gap),
                path,
                better,
                first == null ? null : (Double) (first - better),
                first == null ? null : (Double) (path * (ask.thereAndBack() ? 2 : 1) / first));
    }

    /** Length of half a wave of that amplitude over one gap. */
    private static double wave(double gap, double amplitude) {
        double steep = amplitude * Math.PI;
        // Over one gap, as a share of it, so that a gap of any size is integrated alike.
        return new SimpsonIntegrator(1e-9, 1e-9, 3, 24)
                .integrate(100_000, u -> Math.hypot(gap, steep * Math.cos(Math.PI * u)), 0, 1);
    }
}
