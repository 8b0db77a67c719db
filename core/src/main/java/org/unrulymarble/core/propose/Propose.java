package org.unrulymarble.core.propose;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The lesson that is worth most.
 *
 * @param feasible false where nothing keeps all that is asked; nothing else is given then
 * @param blocks in their order
 * @param bound no lesson is worth more; null where nothing could prove one
 */
public record Propose(
        boolean feasible,
        @Nullable List<Chosen> blocks,
        @Nullable Integer totalSec,
        @Nullable Double value,
        @Nullable Double bound) {

    /** @param option place of the option among the candidate's, from 0 */
    public record Chosen(String id, int option) {}

    static final Propose IMPOSSIBLE = new Propose(false, null, null, null, null);
}
