package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * Step back when it works. Source: the up-and-down rule; with a step in after every miss it settles where a run of makesToStep hits is as likely as
 * not, which is a hit share of 0.5^(1/makesToStep).
 *
 * @param path the step of every throw
 * @param furthestHeld 0 if none
 * @param reversals at each turn of direction the step from which the turning throw was made
 * @param settleStep mean of the reversals, without the first two when there are more than three; null for none
 * @param settlesAtShare null unless a miss steps in
 * @param settling where it settles by all throws, and how sure that is; null as long as nothing went in, or nothing missed
 */
public record Staircase(
        List<Integer> path,
        int endStep,
        int furthestHeld,
        double furthestHeldM,
        List<Integer> reversals,
        @Nullable Double settleStep,
        @Nullable Double settlesAtShare,
        @Nullable Settling settling) {

    /** startStep and makesToStep 1 to 1,000; results at most 10,000 letters H and M; stepM 0 to 200. */
    public record StaircaseAsk(Integer startStep, Integer makesToStep, OnMiss onMiss, String results, Double stepM) {
        public StaircaseAsk {
            Checks checks = new Checks()
                    .range("startStep", startStep, 1, 1000)
                    .range("makesToStep", makesToStep, 1, 1000)
                    .required("onMiss", onMiss)
                    .required("results", results)
                    .length("stepM", stepM);
            if (results != null) {
                checks.that(results.length() <= 10_000, "results", Fault.Rule.LENGTH, 0, 10_000);
                checks.that(results.chars().allMatch(c -> c == 'H' || c == 'M'), "results", Fault.Rule.LETTERS, "H, M");
            }
            checks.done();
        }
    }

    public static Staircase of(StaircaseAsk ask) {
        List<Integer> path = new ArrayList<>();
        List<Integer> reversals = new ArrayList<>();
        int step = ask.startStep();
        int run = 0;
        int held = 0;
        int direction = 0;
        for (char result : ask.results().toCharArray()) {
            path.add(step);
            int next = step;
            if (result == 'M') {
                run = 0;
                next = afterMiss(ask.onMiss(), step);
            } else if (++run == ask.makesToStep()) {
                run = 0;
                held = Math.max(held, step);
                next = step + 1;
            }
            int moved = Integer.signum(next - step);
            if (moved != 0) {
                if (direction == -moved) reversals.add(step);
                direction = moved;
            }
            step = next;
        }
        Double share = ask.onMiss() == OnMiss.STEP_IN ? (Double) Math.pow(0.5, 1.0 / ask.makesToStep()) : null;
        return new Staircase(
                path,
                step,
                held,
                held * ask.stepM(),
                reversals,
                settle(reversals),
                share,
                Settling.of(path, ask.results(), ask.makesToStep()));
    }

    static int afterMiss(OnMiss onMiss, int step) {
        return switch (onMiss) {
            case STAY -> step;
            case STEP_IN -> Math.max(1, step - 1);
            case RESTART -> 1;
        };
    }

    private static Double settle(List<Integer> reversals) {
        List<Integer> counted = reversals.size() > 3 ? reversals.subList(2, reversals.size()) : reversals;
        return counted.isEmpty()
                ? null
                : counted.stream().mapToInt(s -> s).average().orElseThrow();
    }
}
