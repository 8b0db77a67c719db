package org.unrulymarble.core.ladder;

import org.unrulymarble.core.check.Checks;

/**
 * Planning pace of a rung, ours and editable.
 *
 * @param hitSec seconds for one try that counts, 0.01 to 600
 * @param missSec seconds for a try that fails and its fetch, 0.01 to 600
 * @param stepSec seconds to walk one step of distance, 0 to 600
 * @param share of the tries that are expected to count before anything is known of a pupil, 0.05 to 0.99
 */
public record Pace(Double hitSec, Double missSec, Double stepSec, Double share) {

    private static final double USUAL_SHARE = 0.75;

    public Pace {
        share = share == null ? USUAL_SHARE : share;
        new Checks()
                .range("hitSec", hitSec, 0.01, 600)
                .range("missSec", missSec, 0.01, 600)
                .range("stepSec", stepSec, 0, 600)
                .range("share", share, 0.05, 0.99)
                .done();
    }

    /** How many count in so many seconds, as the planning rate lets one expect; a miss and its fetch take their time too. */
    public double expectedIn(double sec) {
        return share * sec / (share * hitSec + (1 - share) * missSec);
    }
}
