package org.unrulymarble.core.rotation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * Looks for the cheapest grouping: all of them up to nine pupils; neighbours in order of level where only likeness counts (an exchange
 * shows that nothing is better); otherwise simulated annealing over exchanges, seeded, always the same for the same question.
 */
final class GroupSearch {

    private static final int ALL_UP_TO = 9;
    private static final int NODES = 300_000;
    private static final int STARTS = 4;
    private static final int STEPS = 30_000;

    private final GroupSizes sizes;
    private final GroupCost cost;
    private final Units units;
    private final Groups.GroupsAsk ask;

    GroupSearch(Groups.GroupsAsk ask) {
        this.ask = ask;
        sizes = new GroupSizes(ask.pupils().size(), ask.groups());
        cost = new GroupCost(ask);
        units = Units.of(ask);
    }

    /** Null where apart and together cannot be kept. */
    Grouping best() {
        if (units == null) return null;
        if (ask.pupils().size() <= ALL_UP_TO) return all();
        boolean free =
                ask.apart().isEmpty() && ask.together().isEmpty() && (ask.met().isEmpty() || ask.metWeight() == 0);
        if (free && ask.mode() == Groups.Mode.ALIKE) return inOrder();
        Places first = new Places(units, sizes);
        if (!first.fill(0, new int[] {NODES}, null)) return null;
        return annealed(first);
    }

    private Grouping all() {
        Places places = new Places(units, sizes);
        Grouping[] best = new Grouping[1];
        places.fill(0, new int[] {Integer.MAX_VALUE}, full -> {
            Grouping found = full.grouping(cost, true);
            if (best[0] == null || found.cost() < best[0].cost()) best[0] = found;
        });
        return best[0];
    }

    /** Cheapest cut of the pupils in order of level: by how many are placed and how many larger groups are used. */
    private Grouping inOrder() {
        int n = ask.pupils().size();
        List<Integer> order = IntStream.range(0, n)
                .boxed()
                .sorted(Comparator.comparing((Integer i) -> ask.pupils().get(i).level()))
                .toList();
        double[][] least = new double[ask.groups() + 1][sizes.larger() + 1];
        boolean[][] larger = new boolean[ask.groups() + 1][sizes.larger() + 1];
        for (double[] row : least) Arrays.fill(row, Double.POSITIVE_INFINITY);
        least[0][0] = 0;
        for (int g = 1; g <= ask.groups(); g++)
            for (int l = 0; l <= Math.min(g, sizes.larger()); l++)
                for (int big = 0; big <= 1; big++) {
                    if (l - big < 0 || least[g - 1][l - big] == Double.POSITIVE_INFINITY) continue;
                    int to = sizes.placed(g, l);
                    int from = sizes.placed(g - 1, l - big);
                    double here = least[g - 1][l - big] + cost.of(order.subList(from, to));
                    if (here < least[g][l]) {
                        least[g][l] = here;
                        larger[g][l] = big == 1;
                    }
                }
        List<List<Integer>> groups = new ArrayList<>();
        int l = sizes.larger();
        for (int g = ask.groups(); g > 0; g--) {
            int before = l - (larger[g][l] ? 1 : 0);
            groups.add(order.subList(sizes.placed(g - 1, before), sizes.placed(g, l)));
            l = before;
        }
        return Grouping.of(groups, cost, true);
    }

    private Grouping annealed(Places first) {
        Random random = new Random(97);
        Places best = first.copy();
        double bestCost = best.cost(cost);
        double hot = Math.max(1e-9, cost.scale());
        double cooling = Math.pow(1e-6, 1.0 / STEPS);
        for (int start = 0; start < STARTS; start++) {
            Places now = start == 0 ? first.copy() : best.copy();
            double nowCost = now.cost(cost);
            double heat = hot;
            for (int step = 0; step < STEPS; step++, heat *= cooling) {
                double change = now.exchange(random, cost, heat);
                nowCost += change;
                if (nowCost < bestCost - 1e-12) {
                    bestCost = nowCost;
                    best = now.copy();
                }
            }
        }
        return best.grouping(cost, false);
    }

    /** Pupils who stay together are one unit; units that may not meet. */
    record Units(List<List<Integer>> members, boolean[][] apart) {

        /** Null where two are to be together and apart. */
        static Units of(Groups.GroupsAsk ask) {
            List<String> ids = ask.pupils().stream().map(Groups.GroupPupil::id).toList();
            int n = ids.size();
            int[] head = IntStream.range(0, n).toArray();
            for (List<String> pair : ask.together()) {
                int a = head[ids.indexOf(pair.get(0))];
                int b = head[ids.indexOf(pair.get(1))];
                for (int i = 0; i < n; i++) if (head[i] == b) head[i] = a;
            }
            boolean[][] pupilsApart = new boolean[n][n];
            for (List<String> pair : ask.apart()) {
                int a = ids.indexOf(pair.get(0));
                int b = ids.indexOf(pair.get(1));
                if (head[a] == head[b]) return null;
                pupilsApart[a][b] = true;
                pupilsApart[b][a] = true;
            }
            List<List<Integer>> members = new ArrayList<>();
            for (int h = 0; h < n; h++) {
                int unit = h;
                List<Integer> in = IntStream.range(0, n)
                        .filter(i -> head[i] == unit)
                        .boxed()
                        .toList();
                if (!in.isEmpty()) members.add(in);
            }
            // Hardest to place first: large ones, then those with many to stay away from.
            members.sort(Comparator.comparing((List<Integer> u) -> -u.size())
                    .thenComparing(u -> -u.stream()
                            .mapToLong(i -> IntStream.range(0, n)
                                    .filter(j -> pupilsApart[i][j])
                                    .count())
                            .sum()));
            boolean[][] apart = new boolean[members.size()][members.size()];
            for (int a = 0; a < apart.length; a++)
                for (int b = 0; b < apart.length; b++) {
                    List<Integer> others = members.get(b);
                    apart[a][b] = members.get(a).stream()
                            .anyMatch(i -> others.stream().anyMatch(j -> pupilsApart[i][j]));
                }
            return new Units(Collections.unmodifiableList(members), apart);
        }

        int size(int unit) {
            return members.get(unit).size();
        }
    }
}
