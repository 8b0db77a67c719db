package org.unrulymarble.core.ladder;

import org.unrulymarble.core.check.Checks;

/**
 * One part that somebody plays at a spot.
 *
 * @param name worker, counter, feeder, ...
 * @param works whether whoever plays it does the counted work
 * @param line what a helper needs to be told
 */
public record Role(String name, Boolean works, String line) {
    public Role {
        new Checks()
                .text("name", name, 30)
                .required("works", works)
                .text("line", line, 200)
                .done();
    }
}
