package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import org.unrulymarble.core.check.Checks;

/**
 * How high a toss, and so a room, a wished number of claps needs: {@link Toss} the other way round.
 *
 * @param riseM least rise whose air time is enough, never below what the catch needs
 */
public record TossForClaps(double riseM, double ceilingNeededM) {

    /** As {@link Toss.TossAsk}, with claps 0 to 1,000 in the place of the ceiling. */
    public record TossForClapsAsk(
            Integer claps,
            Double clearanceM,
            Double ballRadiusM,
            Double releaseM,
            Double catchM,
            Double clapSec,
            Double handsSec) {
        public TossForClapsAsk {
            new Checks()
                    .range("claps", claps, 0, 1000)
                    .length("clearanceM", clearanceM)
                    .length("ballRadiusM", ballRadiusM)
                    .length("releaseM", releaseM)
                    .length("catchM", catchM)
                    .range("clapSec", clapSec, 0.01, Checks.MAX_SEC)
                    .range("handsSec", handsSec, 0, Checks.MAX_SEC)
                    .done();
        }
    }

    /** With up = sqrt(2 rise/g), down^2 = up^2 + 2 (release - catch)/g and up + down = time, up = (time^2 - 2 (release - catch)/g) / (2 time). */
    public static TossForClaps of(TossForClapsAsk ask) {
        double time = ask.claps() * ask.clapSec() + ask.handsSec();
        double lowered = ask.releaseM() - ask.catchM();
        double least = Math.max(0, -lowered);
        double upSec = time == 0 ? 0 : Math.max(0, (time * time - 2 * lowered / G) / (2 * time));
        boolean leastIsEnough = Math.sqrt(2 * least / G) + Math.sqrt(2 * (least + lowered) / G) >= time;
        double rise = leastIsEnough ? least : Math.max(least, G * upSec * upSec / 2);
        return new TossForClaps(rise, rise + ask.releaseM() + ask.clearanceM() + ask.ballRadiusM());
    }
}
