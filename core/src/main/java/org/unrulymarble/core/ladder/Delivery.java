package org.unrulymarble.core.ladder;

import org.unrulymarble.core.check.Checks;

/**
 * A ball that comes at somebody.
 *
 * @param speedMs planning value, above 0 to 60
 * @param fromM how far away it starts or meets the wall, 0 to 200
 */
public record Delivery(Double speedMs, Double fromM) {
    public Delivery {
        new Checks().above("speedMs", speedMs, 0, 60).length("fromM", fromM).done();
    }
}
