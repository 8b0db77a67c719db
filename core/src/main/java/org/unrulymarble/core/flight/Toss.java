package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * What a toss straight up allows under a ceiling. Source: free flight without drag, up for sqrt(2 rise / g) and down for sqrt(2 drop / g).
 *
 * @param riseM how far the ball rises from the hand
 * @param airSec from hand to hand; 0 where it cannot be caught
 * @param claps claps that fit
 */
public record Toss(double riseM, double airSec, int claps) {

    /** Lengths 0 to 200 m; clapSec 0.01 to 14,400; handsSec (for the hands to get ready) 0 to 14,400. */
    public record TossAsk(
            @Nullable Double ceilingM,
            Double clearanceM,
            Double ballRadiusM,
            Double releaseM,
            Double catchM,
            Double clapSec,
            Double handsSec) {
        public TossAsk {
            new Checks()
                    .length("ceilingM", ceilingM)
                    .length("clearanceM", clearanceM)
                    .length("ballRadiusM", ballRadiusM)
                    .length("releaseM", releaseM)
                    .length("catchM", catchM)
                    .range("clapSec", clapSec, 0.01, Checks.MAX_SEC)
                    .range("handsSec", handsSec, 0, Checks.MAX_SEC)
                    .done();
        }
    }

    public static Toss of(TossAsk ask) {
        double rise = ask.ceilingM() - ask.clearanceM() - ask.ballRadiusM() - ask.releaseM();
        if (rise < -Rounding.SLACK) return new Toss(0, 0, 0);
        rise = Math.max(0, rise);
        double drop = rise + ask.releaseM() - ask.catchM();
        if (drop < -Rounding.SLACK) return new Toss(rise, 0, 0);
        double air = Math.sqrt(2 * rise / G) + Math.sqrt(2 * Math.max(0, drop) / G);
        return new Toss(rise, air, Math.max(0, Rounding.floor((air - ask.handsSec()) / ask.clapSec())));
    }
}
