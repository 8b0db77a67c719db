package org.unrulymarble.core.propose;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.unrulymarble.core.propose.ProposeAsk.Candidate;
import org.unrulymarble.core.propose.ProposeAsk.Pick;
import org.unrulymarble.core.propose.ProposeAsk.Place;
import org.unrulymarble.core.propose.ProposeAsk.Way;

/**
 * What a lesson is worth: what its active time gives to each aspect and to each task's merit (each saturating), different families, less idle time,
 * kinds of kit, leaps of effort and time left unused. Source: the sum is ours; sat(x) = 1 - 2^(-x / halfSec). Not thread-safe.
 */
final class Worth {

    private static final int SEC_PER_MIN = 60;

    private final ProposeAsk ask;
    private final EffortOrder order;
    private final Map<String, Integer> aspectNumber = new HashMap<>();
    private final int[][] aspects;
    private final double[] perAspect;

    /** What a candidate's merit gives by each way of doing it. */
    private final double[][] merits;

    private final int[] family;
    private final int[][] kit;
    private final int families;
    private final int kitKinds;
    private final boolean[] needed = new boolean[Place.values().length];
    private final int[] musts;

    Worth(ProposeAsk ask) {
        this.ask = ask;
        order = new EffortOrder(ask.leap());
        aspects = new int[ask.candidates().size()][];
        perAspect = new double[aspects.length];
        for (int c = 0; c < aspects.length; c++) {
            List<String> names = ask.candidates().get(c).aspects();
            aspects[c] = names.stream()
                    .mapToInt(a -> aspectNumber.computeIfAbsent(a, x -> aspectNumber.size()))
                    .toArray();
            perAspect[c] = 1 / Math.sqrt(names.size());
        }
        List<Candidate> all = ask.candidates();
        merits = all.stream()
                .map(c -> c.options().stream()
                        .mapToDouble(way -> c.merit() * sat(way.activeSec()))
                        .toArray())
                .toArray(double[][]::new);
        Map<String, Integer> numbers = new HashMap<>();
        family = all.stream()
                .mapToInt(c -> numbers.computeIfAbsent(c.family(), x -> numbers.size()))
                .toArray();
        families = numbers.size();
        Map<String, Integer> kinds = new HashMap<>();
        kit = all.stream()
                .map(c -> c.kit().stream()
                        .mapToInt(k -> kinds.computeIfAbsent(k, x -> kinds.size()))
                        .toArray())
                .toArray(int[][]::new);
        kitKinds = kinds.size();
        for (Place part : Place.values()) needed[part.ordinal()] = ask.needs(part);
        musts = IntStream.range(0, all.size()).filter(c -> all.get(c).must()).toArray();
    }

    private double sat(double sec) {
        return 1 - Math.pow(2, -sec / ask.halfSec());
    }

    int totalSec(List<Pick> picks) {
        int total = Math.max(0, picks.size() - 1) * ask.transitionSec();
        for (Pick p : picks) total += ask.way(p).totalSec();
        return total;
    }

    /** In the best order there is. */
    double of(List<Pick> picks) {
        return of(picks, false);
    }

    /** What it gives, without what it costs: never below 0. */
    double gives(List<Pick> picks) {
        return of(picks, true);
    }

    private double of(List<Pick> picks, boolean costless) {
        double[] load = new double[aspectNumber.size()];
        boolean[] trains = new boolean[families];
        int different = 0;
        boolean[] takes = new boolean[kitKinds];
        int kinds = 0;
        int[] efforts = new int[6];
        int open = 0;
        int close = 0;
        double merit = 0;
        double idle = 0;
        for (Pick p : picks) {
            Candidate c = ask.candidates().get(p.candidate());
            Way way = ask.way(p);
            for (int a : aspects[p.candidate()]) load[a] += way.activeSec() * perAspect[p.candidate()];
            merit += merits[p.candidate()][p.option()];
            idle += way.totalSec() - way.activeSec();
            for (int k : kit[p.candidate()])
                if (!takes[k]) {
                    takes[k] = true;
                    kinds++;
                }
            switch (c.part()) {
                case OPEN -> open = c.effort();
                case CLOSE -> close = c.effort();
                case MAIN -> {
                    if (!trains[family[p.candidate()]]) {
                        trains[family[p.candidate()]] = true;
                        different++;
                    }
                    efforts[c.effort()]++;
                }
            }
        }
        double trained = 0;
        for (double l : load) trained += sat(l);
        ProposeAsk.Weights w = ask.weights();
        double gives = w.aspect() * trained + w.merit() * merit + w.family() * different;
        if (costless) return gives;
        return gives
                - w.idle() * idle / SEC_PER_MIN
                - w.kit() * kinds
                - (w.effort() == 0 ? 0 : w.effort() * order.least(efforts, open, close))
                - w.unused() * (ask.targetSec() - totalSec(picks)) / SEC_PER_MIN;
    }

    /** The same picks with the least leaps of effort. */
    List<Pick> inOrder(List<Pick> picks) {
        List<Pick> ordered = new ArrayList<>();
        List<Pick> main = new ArrayList<>();
        int[] efforts = new int[6];
        Pick close = null;
        int from = EffortOrder.orBeside(0);
        for (Pick p : picks) {
            Candidate c = ask.candidates().get(p.candidate());
            if (c.part() == Place.OPEN) {
                ordered.add(p);
                from = c.effort();
            } else if (c.part() == Place.CLOSE) close = p;
            else {
                main.add(p);
                efforts[c.effort()]++;
            }
        }
        int last = EffortOrder.orBeside(
                close == null ? 0 : ask.candidates().get(close.candidate()).effort());
        while (!main.isEmpty()) {
            int next = order.next(efforts, from, last);
            Pick pick = main.stream()
                    .filter(p -> ask.candidates().get(p.candidate()).effort() == next)
                    .findFirst()
                    .orElseThrow();
            main.remove(pick);
            ordered.add(pick);
            efforts[next]--;
            from = next;
        }
        if (close != null) ordered.add(close);
        return ordered;
    }

    /** Whether all that is asked is kept. */
    boolean keepsAll(List<Pick> picks) {
        return lacks(picks) == 0 && totalSec(picks) <= ask.targetSec();
    }

    /** How many demands are not met, apart from the time. */
    int lacks(List<Pick> picks) {
        int lacks = Math.max(0, ask.blocksMin() - picks.size()) + Math.max(0, picks.size() - ask.blocksMax());
        int[] parts = new int[Place.values().length];
        for (Pick p : picks) parts[ask.candidates().get(p.candidate()).part().ordinal()]++;
        for (int part = 0; part < parts.length; part++) {
            if (parts[part] == 0 && needed[part]) lacks++;
            if (part != Place.MAIN.ordinal()) lacks += Math.max(0, parts[part] - 1);
        }
        for (int must : musts) if (!in(picks, must)) lacks++;
        return lacks;
    }

    private static boolean in(List<Pick> picks, int candidate) {
        for (Pick p : picks) if (p.candidate() == candidate) return true;
        return false;
    }
}
