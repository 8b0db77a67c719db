package org.unrulymarble.core.flight;

import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * How far away one must stand from a ball that is thrown or comes back. Source: time to see and decide, plus time to move the hands, at the
 * ball's speed; a hard ball gets a margin on top. The ball is taken as not slowing down, which errs on the safe side. Ages and margin are the
 * house's planning values, not a standard.
 *
 * @param neededSec reaction and hands, with the margin
 * @param hasSec from the distance asked about
 * @param enough whether that distance will do
 */
public record Reaction(double leastDistanceM, double neededSec, double hasSec, boolean enough) {

    /** speedMs above 0 to 60; reactionSec and handMoveSec 0 to 10; hardMarginShare 0 to 5, used for a hard ball only; distanceM 0 to 200. */
    public record ReactionAsk(
            Double speedMs,
            Double reactionSec,
            Double handMoveSec,
            Boolean hardBall,
            Double hardMarginShare,
            Double distanceM) {
        public ReactionAsk {
            new Checks()
                    .above("speedMs", speedMs, 0, 60)
                    .range("reactionSec", reactionSec, 0, 10)
                    .range("handMoveSec", handMoveSec, 0, 10)
                    .required("hardBall", hardBall)
                    .range("hardMarginShare", hardMarginShare, 0, 5)
                    .length("distanceM", distanceM)
                    .done();
        }
    }

    public static Reaction of(ReactionAsk ask) {
        double margin = ask.hardBall() ? 1 + ask.hardMarginShare() : 1;
        double needed = (ask.reactionSec() + ask.handMoveSec()) * margin;
        double least = needed * ask.speedMs();
        return new Reaction(least, needed, ask.distanceM() / ask.speedMs(), Rounding.fits(least, ask.distanceM()));
    }
}
