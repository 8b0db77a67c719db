package org.unrulymarble.core.clock;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * Makes a lesson end by the bell with the least change to what was wanted. Source: exact dynamic programming over whole seconds; for every second
 * that the blocks so far can take, the least cost of taking it.
 *
 * @param feasible false where even the shortest choice is too long; then only {@code shortestSec} is given
 */
public record Fit(
        boolean feasible, Double cost, Long totalSec, Long shortOfBellSec, List<Choice> blocks, Long shortestSec) {

    private static final int MOST_BLOCKS = 20;
    private static final int MOST_OPTIONS = 600;
    private static final int WORK_STEP_SEC = 5;
    private static final double BELL_WEIGHT = 50;
    private static final double SETS_WEIGHT = 0.25;

    /** What was chosen for one block. */
    public record Choice(int sets, int workSec) {}

    /** A block as in {@link Timing}, by clock, with the range of its sets and seconds and how much it matters. */
    public record FitBlock(
            Integer setupSec,
            Integer explainSec,
            Integer countInSec,
            Integer sets,
            Dose dose,
            Integer sides,
            Integer sideSwapSec,
            Integer turns,
            Integer turnSwapSec,
            Integer restSec,
            Boolean waitIsRest,
            Integer minSets,
            Integer maxSets,
            Integer minWorkSec,
            Integer maxWorkSec,
            Double weight) {
        public FitBlock {
            Checks checks = new Checks();
            try {
                new Timing(
                        setupSec,
                        explainSec,
                        countInSec,
                        sets,
                        dose,
                        sides,
                        sideSwapSec,
                        turns,
                        turnSwapSec,
                        restSec,
                        waitIsRest);
            } catch (org.unrulymarble.core.check.Refused e) {
                checks.under("", e);
            }
            if (dose != null) {
                checks.that(dose.type() == Dose.Type.CLOCK, "dose.type", Fault.Rule.ONE_OF, "CLOCK");
                if (dose.type() == Dose.Type.CLOCK) checks.range("dose.workSec", dose.workSec(), 1, Checks.MAX_SEC);
            }
            checks.range("minSets", minSets, 1, 60)
                    .range("maxSets", maxSets, 1, 60)
                    .seconds("minWorkSec", minWorkSec)
                    .seconds("maxWorkSec", maxWorkSec)
                    .above("weight", weight, 0, 1e6)
                    .that(
                            minSets == null || maxSets == null || minSets <= maxSets,
                            "maxSets",
                            Fault.Rule.AT_LEAST_FIELD,
                            "minSets")
                    .that(
                            minWorkSec == null || maxWorkSec == null || minWorkSec <= maxWorkSec,
                            "maxWorkSec",
                            Fault.Rule.AT_LEAST_FIELD,
                            "minWorkSec")
                    .done();
            int options = (maxSets - minSets + 1) * ((maxWorkSec - minWorkSec) / WORK_STEP_SEC + 1);
            checks.that(options <= MOST_OPTIONS, "maxWorkSec", Fault.Rule.OPTIONS, MOST_OPTIONS)
                    .done();
        }

        Timing timing(int chosenSets, int workSec) {
            return new Timing(
                    setupSec,
                    explainSec,
                    countInSec,
                    chosenSets,
                    Dose.byClock(workSec),
                    sides,
                    sideSwapSec,
                    turns,
                    turnSwapSec,
                    restSec,
                    waitIsRest);
        }

        double cost(int chosenSets, int workSec) {
            double wanted = (double) sets * sides * dose.workSec();
            double active = (double) chosenSets * sides * workSec;
            double change = (active - wanted) / wanted;
            double setChange = (double) (chosenSets - sets) / sets;
            return weight * (change * change + SETS_WEIGHT * setChange * setChange);
        }
    }

    /** 1 to 20 blocks; targetSec 1 to 14,400. */
    public record FitAsk(RestRule restRule, Integer transitionSec, Integer targetSec, List<FitBlock> blocks) {
        public FitAsk {
            new Checks()
                    .required("restRule", restRule)
                    .seconds("transitionSec", transitionSec)
                    .range("targetSec", targetSec, 1, Checks.MAX_SEC)
                    .entries("blocks", blocks, 1, MOST_BLOCKS)
                    .done();
            blocks = List.copyOf(blocks);
        }
    }

    private record Option(int sets, int workSec, long seconds, double cost) {}

    public static Fit of(FitAsk ask) {
        long fixed = betweenBlocks(ask);
        List<List<Option>> options = ask.blocks().stream().map(Fit::options).toList();
        long shortest = fixed
                + options.stream()
                        .mapToLong(
                                o -> o.stream().mapToLong(Option::seconds).min().orElseThrow())
                        .sum();
        if (shortest > ask.targetSec()) return new Fit(false, null, null, null, null, shortest);
        return best(ask, options, fixed);
    }

    /** One option for each number of seconds that a block can take: the cheapest. */
    private static List<Option> options(FitBlock block) {
        Map<Long, Option> cheapest = new HashMap<>();
        for (int sets = block.minSets(); sets <= block.maxSets(); sets++)
            for (int work = block.minWorkSec(); work <= block.maxWorkSec(); work += WORK_STEP_SEC) {
                Option option = new Option(sets, work, block.timing(sets, work).blockSec(), block.cost(sets, work));
                cheapest.merge(option.seconds(), option, (a, b) -> a.cost() <= b.cost() ? a : b);
            }
        return List.copyOf(cheapest.values());
    }

    private static Fit best(FitAsk ask, List<List<Option>> options, long fixed) {
        int room = (int) (ask.targetSec() - fixed);
        Option[][] chosen = new Option[options.size()][room + 1];
        double[] cost = new double[room + 1];
        Arrays.fill(cost, Double.POSITIVE_INFINITY);
        cost[0] = 0;
        for (int b = 0; b < options.size(); b++) {
            double[] next = new double[room + 1];
            Arrays.fill(next, Double.POSITIVE_INFINITY);
            for (Option option : options.get(b)) {
                if (option.seconds() > room) continue;
                int seconds = (int) option.seconds();
                for (int t = seconds; t <= room; t++) {
                    double c = cost[t - seconds] + option.cost();
                    if (c < next[t]) {
                        next[t] = c;
                        chosen[b][t] = option;
                    }
                }
            }
            cost = next;
        }
        double weights = ask.blocks().stream().mapToDouble(FitBlock::weight).sum();
        int bestAt = -1;
        double least = Double.POSITIVE_INFINITY;
        for (int t = 0; t <= room; t++) {
            double short1 = (double) (room - t) / ask.targetSec();
            double c = cost[t] + BELL_WEIGHT * weights * short1 * short1;
            if (c < least) {
                least = c;
                bestAt = t;
            }
        }
        List<Choice> picks = new ArrayList<>();
        int at = bestAt;
        for (int b = options.size() - 1; b >= 0; b--) {
            Option option = chosen[b][at];
            picks.add(0, new Choice(option.sets(), option.workSec()));
            at -= (int) option.seconds();
        }
        return new Fit(true, least, fixed + bestAt, (long) room - bestAt, picks, null);
    }

    /** Seconds between the blocks, whatever is chosen in them. */
    private static long betweenBlocks(FitAsk ask) {
        long sum = 0;
        for (int i = 0; i + 1 < ask.blocks().size(); i++) {
            FitBlock next = ask.blocks().get(i + 1);
            sum += ask.transitionSec();
            if (ask.restRule() == RestRule.AFTER_EVERY_SET)
                sum += Math.max(
                        0, ask.blocks().get(i).restSec() - ask.transitionSec() - next.setupSec() - next.explainSec());
        }
        return sum;
    }
}
