package org.unrulymarble.core.propose;

import java.util.List;

/**
 * The lesson that is worth most.
 *
 * @param feasible false where nothing keeps all that is asked; nothing else is given then
 * @param blocks in their order
 * @param bound no lesson is worth more; null where nothing could prove one
 */
public record Propose(boolean feasible, List<Chosen> blocks, Integer totalSec, Double value, Double bound) {

    /** @param option place of the option among the candidate's, from 0 */
    public record Chosen(String id, int option) {}

    static final Propose IMPOSSIBLE = new Propose(false, null, null, null, null);
}
