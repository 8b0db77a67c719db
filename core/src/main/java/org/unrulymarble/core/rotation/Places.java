package org.unrulymarble.core.rotation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;

/** Units in groups, while they are being placed and exchanged. Not thread-safe. */
final class Places {

    private final GroupSearch.Units units;
    private final GroupSizes sizes;
    private final List<List<Integer>> groups = new ArrayList<>();
    private final double[] costs;

    Places(GroupSearch.Units units, GroupSizes sizes) {
        this.units = units;
        this.sizes = sizes;
        costs = new double[sizes.groups()];
        for (int g = 0; g < sizes.groups(); g++) groups.add(new ArrayList<>());
    }

    Places copy() {
        Places copy = new Places(units, sizes);
        for (int g = 0; g < groups.size(); g++) copy.groups.get(g).addAll(groups.get(g));
        return copy;
    }

    /**
     * Places the units from this one on.
     *
     * @param nodesLeft how many placings may still be tried
     * @param each told of every full placing; null to stop at the first
     * @return whether it stopped at a full placing
     */
    boolean fill(int unit, int[] nodesLeft, Consumer<Places> each) {
        if (unit == units.members().size()) {
            if (each != null) each.accept(this);
            return each == null;
        }
        boolean emptyTried = false;
        for (List<Integer> group : groups) {
            // Empty groups are alike: the first stands for all.
            if (group.isEmpty() && emptyTried) continue;
            emptyTried |= group.isEmpty();
            if (--nodesLeft[0] < 0) return false;
            if (meets(unit, group) || !roomFor(unit, group)) continue;
            group.add(unit);
            if (fill(unit + 1, nodesLeft, each)) return true;
            group.remove(group.size() - 1);
        }
        return false;
    }

    private boolean roomFor(int unit, List<Integer> group) {
        int size = size(group) + units.size(unit);
        if (size <= sizes.base()) return true;
        if (size > sizes.base() + 1) return false;
        return groups.stream().filter(g -> size(g) > sizes.base()).count() < sizes.larger();
    }

    private boolean meets(int unit, List<Integer> group) {
        for (int other : group) if (units.apart()[unit][other]) return true;
        return false;
    }

    private int size(List<Integer> group) {
        int size = 0;
        for (int u : group) size += units.size(u);
        return size;
    }

    /**
     * Tries one exchange between two groups that leaves their sizes as they were, or each with the other's.
     *
     * @param heat how much dearer it may become; {@link #cost} was asked once before
     * @return by how much the cost changed; 0 where nothing did
     */
    double exchange(Random random, GroupCost cost, double heat) {
        if (groups.size() < 2) return 0;
        int g = random.nextInt(groups.size());
        int h = random.nextInt(groups.size() - 1);
        if (h >= g) h++;
        List<Integer> from = groups.get(g);
        List<Integer> to = groups.get(h);
        if (from.isEmpty()) return 0;
        int goes = from.get(random.nextInt(from.size()));
        int wanted = units.size(goes) + (random.nextBoolean() ? 0 : size(to) - size(from));
        List<Integer> comes = some(to, wanted, random);
        if (comes == null) return 0;
        List<Integer> newFrom = new ArrayList<>(from);
        newFrom.remove((Integer) goes);
        List<Integer> newTo = new ArrayList<>(to);
        newTo.removeAll(comes);
        if (meets(goes, newTo)) return 0;
        for (int unit : comes) if (meets(unit, newFrom)) return 0;
        newFrom.addAll(comes);
        newTo.add(goes);
        double costFrom = cost.of(pupils(newFrom));
        double costTo = cost.of(pupils(newTo));
        double change = costFrom + costTo - costs[g] - costs[h];
        if (change > 0 && random.nextDouble() >= Math.exp(-change / heat)) return 0;
        groups.set(g, newFrom);
        groups.set(h, newTo);
        costs[g] = costFrom;
        costs[h] = costTo;
        return change;
    }

    /** Units that hold so many pupils together, by chance; null where those looked at do not add up. */
    private List<Integer> some(List<Integer> group, int wanted, Random random) {
        if (wanted < 0) return null;
        List<Integer> chosen = new ArrayList<>();
        int start = group.isEmpty() ? 0 : random.nextInt(group.size());
        for (int i = 0; i < group.size() && wanted > 0; i++) {
            int unit = group.get((start + i) % group.size());
            if (units.size(unit) > wanted) continue;
            chosen.add(unit);
            wanted -= units.size(unit);
        }
        return wanted == 0 ? chosen : null;
    }

    /** Of all groups; what each costs is remembered for {@link #exchange}. */
    double cost(GroupCost cost) {
        double all = 0;
        for (int g = 0; g < costs.length; g++) {
            costs[g] = cost.of(pupils(groups.get(g)));
            all += costs[g];
        }
        return all;
    }

    Grouping grouping(GroupCost cost, boolean proven) {
        List<List<Integer>> all = groups.stream()
                .map(g -> Arrays.stream(pupils(g)).boxed().toList())
                .toList();
        return Grouping.of(all, cost, proven);
    }

    private int[] pupils(List<Integer> group) {
        int[] all = new int[size(group)];
        int next = 0;
        for (int unit : group) for (int pupil : units.members().get(unit)) all[next++] = pupil;
        return all;
    }
}
