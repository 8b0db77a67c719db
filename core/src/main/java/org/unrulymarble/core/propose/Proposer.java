package org.unrulymarble.core.propose;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.propose.ProposeAsk.Pick;

/** Proposes the lesson that is worth most: a quick search first, then a solver that improves and proves. Safe for many threads. */
public final class Proposer {

    private static final int STARTS = 2;
    private static final int STEPS = 22_000;
    private static final int STEPS_OF_FEW = 3_000;
    private static final int STEPS_AFTER = 8_000;

    private final Prover prover;

    /** Proves how good a lesson can be; the solver behind it is none of the core's business. */
    public interface Prover {
        /**
         * @param hint a lesson that keeps all that is asked, or empty
         * @return what it found in its time
         */
        Proof prove(ProposeAsk ask, List<Pick> hint);

        /** No lesson that keeps to all rows is worth more, told at once; below all numbers where there is none, null where it cannot be told. */
        default @Nullable Double bound(ProposeAsk ask, List<Row> rows) {
            return null;
        }

        /** The same more closely, since nothing is done by halves: it takes its time. */
        default @Nullable Double boundOfWhole(ProposeAsk ask, List<Row> rows, double mostSec) {
            return null;
        }
    }

    /** What the picks of a lesson come to together. @param of each; what is not named counts nothing */
    public record Row(Map<Pick, Double> of, double least, double most) {}

    /**
     * @param impossible that nothing keeps all that is asked
     * @param picks the best it met, in no order; empty if none
     * @param bound no lesson is worth more; null if not proven
     */
    public record Proof(boolean impossible, List<Pick> picks, Double bound) {
        /** Nothing could be proven. */
        public static final Proof NONE = new Proof(false, List.of(), null);
    }

    public Proposer(Prover prover) {
        this.prover = prover;
    }

    /** A good lesson soon, with no bound; not feasible where none was met, which proves nothing. */
    public Propose first(ProposeAsk ask) {
        return searched(ask, STEPS);
    }

    /** The same for what fits a home: so few tasks need fewer steps, and a class has many homes. */
    public Propose ofFew(ProposeAsk ask) {
        return searched(ask, STEPS_OF_FEW);
    }

    private static Propose searched(ProposeAsk ask, int steps) {
        Worth worth = new Worth(ask);
        List<Pick> quick = new QuickSearch(ask, worth).best(List.of(), STARTS, steps);
        return quick == null ? Propose.IMPOSSIBLE : answer(ask, worth, quick, null);
    }

    /** {@link #propose}, with bounds for what is put side by side. */
    public NextLesson.Answer proving() {
        return new NextLesson.Answer() {
            @Override
            public Propose to(ProposeAsk ask) {
                return propose(ask);
            }

            @Override
            public @Nullable Double bound(ProposeAsk ask, List<Row> rows) {
                return prover.bound(ask, rows);
            }

            @Override
            public @Nullable Double boundOfWhole(ProposeAsk ask, List<Row> rows, double mostSec) {
                return prover.boundOfWhole(ask, rows, mostSec);
            }
        };
    }

    /** The best that is found, and what it could be worth at most. */
    public Propose propose(ProposeAsk ask) {
        Worth worth = new Worth(ask);
        QuickSearch search = new QuickSearch(ask, worth);
        List<Pick> best = search.best(List.of(), STARTS, STEPS);
        Proof proof = prover.prove(ask, best == null ? List.of() : best);
        if (proof.impossible()) return Propose.IMPOSSIBLE;
        if (!proof.picks().isEmpty()
                && worth.keepsAll(proof.picks())
                && (best == null || worth.of(proof.picks()) > worth.of(best))) {
            List<Pick> polished = search.best(proof.picks(), 1, STEPS_AFTER);
            best = polished == null ? proof.picks() : polished;
        }
        return best == null ? Propose.IMPOSSIBLE : answer(ask, worth, best, proof.bound());
    }

    private static Propose answer(ProposeAsk ask, Worth worth, List<Pick> picks, Double bound) {
        List<Pick> ordered = worth.inOrder(picks);
        double value = worth.of(ordered);
        return new Propose(
                true,
                ordered.stream()
                        .map(p -> new Propose.Chosen(
                                ask.candidates().get(p.candidate()).id(), p.option()))
                        .toList(),
                worth.totalSec(ordered),
                value,
                bound == null ? null : (Double) Math.max(bound, value));
    }
}
