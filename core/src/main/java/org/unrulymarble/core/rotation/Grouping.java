package org.unrulymarble.core.rotation;

import java.util.List;

/**
 * A grouping that was found.
 *
 * @param proven that none costs less
 */
record Grouping(double cost, boolean proven, List<List<String>> ids) {

    /** @param groups indexes of pupils */
    static Grouping of(List<List<Integer>> groups, GroupCost cost, boolean proven) {
        return new Grouping(
                groups.stream().mapToDouble(cost::of).sum(),
                proven,
                groups.stream()
                        .map(g ->
                                g.stream().map(i -> cost.members().get(i).id()).toList())
                        .toList());
    }
}
