package org.unrulymarble.core.rotation;

import java.util.List;

/** What one group costs: how far it is from the class (EVEN) or its pupils from it (ALIKE), and who meets again. */
final class GroupCost {

    /** How much a difference in spread counts against one in the mean. */
    private static final double SPREAD = 0.25;

    private final List<Groups.GroupPupil> members;
    private final boolean even;
    private final double[] level;
    private final double[][] met;
    private final double mean;
    private final double sd;
    private final double scale;

    GroupCost(Groups.GroupsAsk ask) {
        members = ask.pupils();
        even = ask.mode() == Groups.Mode.EVEN;
        level = ask.pupils().stream().mapToDouble(Groups.GroupPupil::level).toArray();
        List<String> ids = ask.pupils().stream().map(Groups.GroupPupil::id).toList();
        met = new double[level.length][level.length];
        for (Groups.Met m : ask.met()) {
            int a = ids.indexOf(m.a());
            int b = ids.indexOf(m.b());
            met[a][b] += ask.metWeight() * m.times();
            met[b][a] += ask.metWeight() * m.times();
        }
        Sums all = new Sums();
        for (double l : level) all.add(l);
        mean = all.mean();
        sd = all.sd();
        scale = Math.max(sd * sd, ask.met().isEmpty() ? 0 : ask.metWeight());
    }

    List<Groups.GroupPupil> members() {
        return members;
    }

    /** About what one exchange changes. */
    double scale() {
        return scale;
    }

    /** Indexes of pupils. */
    double of(List<Integer> group) {
        return of(group.stream().mapToInt(Integer::intValue).toArray());
    }

    double of(int[] group) {
        if (group.length == 0) return 0;
        Sums sums = new Sums();
        double again = 0;
        for (int i = 0; i < group.length; i++) {
            sums.add(level[group[i]]);
            for (int j = 0; j < i; j++) again += met[group[i]][group[j]];
        }
        if (!even) return again + group.length * sums.variance();
        double off = sums.mean() - mean;
        double spread = sums.sd() - sd;
        return again + group.length * (off * off + SPREAD * spread * spread);
    }

    /** Mean and variance of a population as it grows (Welford), exact also for levels far from nought. */
    private static final class Sums {
        private int count;
        private double mean;
        private double squares;

        void add(double value) {
            count++;
            double off = value - mean;
            mean += off / count;
            squares += off * (value - mean);
        }

        double mean() {
            return mean;
        }

        double variance() {
            return squares / count;
        }

        double sd() {
            return Math.sqrt(variance());
        }
    }
}
