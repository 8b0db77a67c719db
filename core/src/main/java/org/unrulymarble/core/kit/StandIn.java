package org.unrulymarble.core.kit;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * Something that may take the place of a ball or mark.
 *
 * @param kind id of the kind
 * @param what the thing, as a child would call it
 * @param changes what may no longer be asked, or what gets easier or harder
 * @param make how to make it ready, or null if it needs no making
 * @param makeMin whole minutes that takes, 0 to 120
 */
public record StandIn(
        String kind, String what, String changes, @Nullable String make, Integer makeMin) {
    public StandIn {
        new Checks()
                .text("kind", kind, 60)
                .text("what", what, 60)
                .text("changes", changes, 200)
                .range("makeMin", makeMin, 0, 120)
                .done();
    }
}
