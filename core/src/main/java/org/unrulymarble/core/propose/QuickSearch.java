package org.unrulymarble.core.propose;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.unrulymarble.core.propose.ProposeAsk.Pick;

/** A good lesson soon: simulated annealing over adding, taking out, exchanging and doing otherwise; seeded, so that the same question has the same answer. */
final class QuickSearch {

    /** So much is what lacks dearer than anything that it could bring. */
    private static final double LACK = 20;

    private static final double PER_SEC_OVER = 0.05;
    private static final double HOT = 3;
    private static final double COLD = 0.1;

    private final ProposeAsk ask;
    private final Worth worth;
    private final List<Integer> musts;

    QuickSearch(ProposeAsk ask, Worth worth) {
        this.ask = ask;
        this.worth = worth;
        musts = IntStream.range(0, ask.candidates().size())
                .filter(c -> ask.candidates().get(c).must())
                .boxed()
                .toList();
    }

    /**
     * @param from picks to begin with, may be none
     * @return the best that keeps all that is asked; null if none was met
     */
    List<Pick> best(List<Pick> from, int starts, int steps) {
        Random random = new Random(311);
        List<Pick> best = worth.keepsAll(from) ? from : null;
        for (int start = 0; start < starts; start++) {
            List<Pick> found = annealed(start == 0 && best != null ? best : withMusts(), steps, random);
            if (found != null && (best == null || worth.of(found) > worth.of(best))) best = found;
        }
        return best == null ? null : climbed(best);
    }

    private List<Pick> annealed(List<Pick> from, int steps, Random random) {
        List<Pick> best = null;
        double bestScore = Double.NEGATIVE_INFINITY;
        List<Pick> now = from;
        double nowScore = score(now);
        double cooling = Math.pow(COLD / HOT, 1.0 / steps);
        double heat = HOT;
        for (int step = 0; step < steps; step++, heat *= cooling) {
            List<Pick> next = changed(now, random);
            double score = score(next);
            if (score < nowScore && random.nextDouble() >= Math.exp((score - nowScore) / heat)) continue;
            now = next;
            nowScore = score;
            if (score > bestScore + 1e-12 && worth.keepsAll(now)) {
                best = now;
                bestScore = score;
            }
        }
        return best;
    }

    /** Exchanges one for any other, adds one or does one otherwise, as long as that is better. */
    private List<Pick> climbed(List<Pick> picks) {
        List<Pick> best = picks;
        double bestScore = score(best);
        boolean better = true;
        while (better) {
            better = false;
            List<Pick> base = best;
            for (int out = -1; out < base.size(); out++)
                for (int c = 0; c < ask.candidates().size(); c++) {
                    List<Pick> next = new ArrayList<>(base);
                    if (out >= 0) next.remove(out);
                    bestWay(next, c);
                    double score = score(next);
                    if (score <= bestScore + 1e-9 || !worth.keepsAll(next)) continue;
                    best = next;
                    bestScore = score;
                    better = true;
                }
        }
        return best;
    }

    private List<Pick> withMusts() {
        List<Pick> picks = new ArrayList<>();
        musts.forEach(c -> put(picks, new Pick(c, 0)));
        return picks;
    }

    private double score(List<Pick> picks) {
        int over = Math.max(0, worth.totalSec(picks) - ask.targetSec());
        return worth.of(picks) - LACK * worth.lacks(picks) - PER_SEC_OVER * over;
    }

    private List<Pick> changed(List<Pick> picks, Random random) {
        List<Pick> next = new ArrayList<>(picks);
        int kind = random.nextInt(10);
        if (!next.isEmpty() && kind < 2) {
            int at = random.nextInt(next.size());
            int candidate = next.get(at).candidate();
            next.set(at, new Pick(candidate, random.nextInt(ways(candidate))));
            return next;
        }
        if (!next.isEmpty() && kind < 8) next.remove(random.nextInt(next.size()));
        if (kind == 2) return next;
        int candidate = random.nextInt(ask.candidates().size());
        if (random.nextInt(3) == 0) put(next, new Pick(candidate, random.nextInt(ways(candidate))));
        else bestWay(next, candidate);
        return next;
    }

    private int ways(int candidate) {
        return ask.candidates().get(candidate).options().size();
    }

    /** Puts a candidate in with the option that fits best there. */
    private void bestWay(List<Pick> picks, int candidate) {
        put(picks, new Pick(candidate, 0));
        int at = picks.size() - 1;
        Pick best = picks.get(at);
        double bestScore = score(picks);
        for (int o = 1; o < ways(candidate); o++) {
            picks.set(at, new Pick(candidate, o));
            double score = score(picks);
            if (score <= bestScore) continue;
            bestScore = score;
            best = picks.get(at);
        }
        picks.set(at, best);
    }

    /** In the place of what it cannot stand beside: itself, its group's other, another that opens or closes. */
    private void put(List<Pick> picks, Pick pick) {
        ProposeAsk.Candidate c = ask.candidates().get(pick.candidate());
        picks.removeIf(p -> {
            ProposeAsk.Candidate other = ask.candidates().get(p.candidate());
            return other.group().equals(c.group()) || (other.part() == c.part() && c.part() != ProposeAsk.Place.MAIN);
        });
        picks.add(pick);
    }
}
