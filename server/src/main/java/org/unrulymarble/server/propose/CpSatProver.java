package org.unrulymarble.server.propose;

import com.google.ortools.sat.CpSolver;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.propose.ProposeAsk;
import org.unrulymarble.core.propose.ProposeAsk.Pick;
import org.unrulymarble.core.propose.Proposer;

/** Proves by a constraint solver, for a bounded time. */
@Component
class CpSatProver implements Proposer.Prover {

    /** Of more than so many ways to choose from the solver proves nothing in its time. */
    private static final int MOST_WAYS = 1_200;

    private final double mostSec;

    private final SolverLibrary library;

    CpSatProver(SolverLibrary library, @Value("${marble.propose-sec:1.9}") double mostSec) {
        this.library = library;
        this.mostSec = mostSec;
    }

    @Override
    public Proposer.Proof prove(ProposeAsk ask, List<Pick> hint) {
        if (!library.loaded()) return Proposer.Proof.NONE;
        Double linear = LinearBound.of(ask, List.of());
        int ways = ask.candidates().stream().mapToInt(c -> c.options().size()).sum();
        if (ways > MOST_WAYS && !hint.isEmpty()) return new Proposer.Proof(false, List.of(), linear);
        LessonModel model = new LessonModel(ask);
        model.hint(hint);
        CpSolver solver = new CpSolver();
        solver.getParameters()
                .setMaxTimeInSeconds(mostSec)
                .setNumWorkers(1)
                .setLinearizationLevel(2)
                .setRelativeGapLimit(0.002)
                .setRandomSeed(1);
        return switch (solver.solve(model.model())) {
            case INFEASIBLE -> new Proposer.Proof(true, List.of(), null);
            case OPTIMAL, FEASIBLE ->
                new Proposer.Proof(
                        false, model.picked(solver), least(linear, model.worthOf(solver.bestObjectiveBound())));
            default -> new Proposer.Proof(false, List.of(), linear);
        };
    }

    @Override
    public @Nullable Double bound(ProposeAsk ask, List<Proposer.Row> rows) {
        return library.loaded() ? LinearBound.of(ask, rows) : null;
    }

    @Override
    public @Nullable Double boundOfWhole(ProposeAsk ask, List<Proposer.Row> rows, double mostSec) {
        return library.loaded() ? LinearBound.ofWhole(ask, rows, mostSec) : null;
    }

    private static Double least(Double linear, double solved) {
        return linear == null ? (Double) solved : (Double) Math.min(linear, solved);
    }
}
