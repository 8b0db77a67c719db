package org.unrulymarble.core.ladder;

import org.unrulymarble.core.check.Checks;

/**
 * One part that somebody plays at a spot.
 *
 * @param name worker, counter, feeder, ...
 * @param works whether whoever plays it does the counted work
 * @param line what a helper needs to be told
 * @param busy whether whoever plays it moves too, without being counted: feeds, hits, rolls; waiting in it is no rest
 */
public record Role(String name, Boolean works, String line, Boolean busy) {
    public Role {
        busy = busy != null && busy;
        new Checks()
                .text("name", name, 30)
                .required("works", works)
                .text("line", line, 200)
                .done();
    }
}
