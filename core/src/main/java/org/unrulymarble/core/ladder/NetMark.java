package org.unrulymarble.core.ladder;

import org.unrulymarble.core.check.Checks;

/**
 * A task whose wall stands in for a net or hoop.
 *
 * @param preset id of the planning value for the net's height and distance
 * @param launchM height at which the ball leaves, 0 to 3
 * @param angleDeg launch angle that is taught
 */
public record NetMark(String preset, Double launchM, Double angleDeg) {
    public NetMark {
        new Checks()
                .text("preset", preset, 60)
                .range("launchM", launchM, 0, 3)
                .angle("angleDeg", angleDeg)
                .done();
    }
}
