package org.unrulymarble.server.propose;

import com.google.ortools.linearsolver.MPConstraint;
import com.google.ortools.linearsolver.MPSolver;
import com.google.ortools.linearsolver.MPVariable;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.propose.ProposeAsk;
import org.unrulymarble.core.propose.ProposeAsk.Candidate;
import org.unrulymarble.core.propose.ProposeAsk.Place;
import org.unrulymarble.core.propose.ProposeAsk.Way;
import org.unrulymarble.core.propose.Proposer.Row;

/**
 * No lesson is worth more than this: the question with parts of tasks allowed, as a linear programme. Within a tenth of a second also for four hundred
 * candidates, where whole tasks take too long to prove. Leaps of effort are left out, which only raises it.
 */
final class LinearBound {

    private static final double NO_LIMIT = Double.POSITIVE_INFINITY;
    private static final int TANGENTS = 24;
    private static final double FLAT_AFTER = 6;

    private final ProposeAsk ask;
    private final boolean whole;
    private final MPSolver solver;
    private final List<List<MPVariable>> parts = new ArrayList<>();

    private LinearBound(ProposeAsk ask, boolean whole) {
        this.ask = ask;
        this.whole = whole;
        this.solver = MPSolver.createSolver(whole ? "SCIP" : "GLOP");
    }

    /** The same of whole tasks, as far as it is told within so many seconds. */
    static @Nullable Double ofWhole(ProposeAsk ask, List<Row> rows, double mostSec) {
        return of(ask, rows, true, mostSec);
    }

    /** Below all numbers where nothing keeps what is asked; null where it cannot be told. */
    static @Nullable Double of(ProposeAsk ask, List<Row> rows) {
        return of(ask, rows, false, 0);
    }

    private static @Nullable Double of(ProposeAsk ask, List<Row> rows, boolean whole, double mostSec) {
        LinearBound bound = new LinearBound(ask, whole);
        if (bound.solver == null) return null;
        if (whole) bound.solver.setTimeLimit((long) (mostSec * 1000));
        bound.picks();
        bound.demands();
        bound.aspects();
        bound.familiesAndKit();
        rows.forEach(bound::row);
        bound.solver.objective().setMaximization();
        try {
            return switch (bound.solver.solve()) {
                case OPTIMAL, FEASIBLE ->
                    whole
                            ? bound.solver.objective().bestBound()
                            : bound.solver.objective().value();
                case INFEASIBLE -> Double.NEGATIVE_INFINITY;
                default -> null;
            };
        } finally {
            bound.solver.delete();
        }
    }

    private void row(Row row) {
        MPConstraint within = solver.makeConstraint(row.least(), row.most());
        row.of()
                .forEach((pick, of) ->
                        within.setCoefficient(parts.get(pick.candidate()).get(pick.option()), of));
    }

    private double sat(double sec) {
        return 1 - Math.pow(2, -sec / ask.halfSec());
    }

    private void picks() {
        ProposeAsk.Weights w = ask.weights();
        solver.objective().setOffset(-w.unused() * (ask.targetSec() + (double) ask.transitionSec()) / 60);
        for (Candidate c : ask.candidates()) {
            List<MPVariable> mine = new ArrayList<>();
            for (Way way : c.options()) {
                MPVariable part = whole ? solver.makeBoolVar("") : solver.makeNumVar(0, 1, "");
                mine.add(part);
                solver.objective()
                        .setCoefficient(
                                part,
                                w.merit() * c.merit() * sat(way.activeSec())
                                        - w.idle() * (way.totalSec() - way.activeSec()) / 60.0
                                        + w.unused() * (way.totalSec() + (double) ask.transitionSec()) / 60);
            }
            parts.add(mine);
        }
    }

    private void demands() {
        MPConstraint time = solver.makeConstraint(-NO_LIMIT, ask.targetSec() + (double) ask.transitionSec());
        MPConstraint blocks = solver.makeConstraint(ask.blocksMin(), ask.blocksMax());
        Map<Place, MPConstraint> places = new HashMap<>();
        for (Place place : Place.values())
            places.put(
                    place, solver.makeConstraint(ask.needs(place) ? 1 : 0, place == Place.MAIN ? ask.blocksMax() : 1));
        Map<String, MPConstraint> groups = new HashMap<>();
        for (int c = 0; c < parts.size(); c++) {
            Candidate candidate = ask.candidates().get(c);
            MPConstraint must = candidate.must() ? solver.makeConstraint(1, 1) : null;
            MPConstraint group = groups.computeIfAbsent(candidate.group(), g -> solver.makeConstraint(-NO_LIMIT, 1));
            for (int o = 0; o < parts.get(c).size(); o++) {
                MPVariable part = parts.get(c).get(o);
                time.setCoefficient(part, candidate.options().get(o).totalSec() + (double) ask.transitionSec());
                blocks.setCoefficient(part, 1);
                places.get(candidate.part()).setCoefficient(part, 1);
                group.setCoefficient(part, 1);
                if (must != null) must.setCoefficient(part, 1);
            }
        }
    }

    private void aspects() {
        Map<String, Map<MPVariable, Double>> loads = new HashMap<>();
        for (int c = 0; c < parts.size(); c++) {
            Candidate candidate = ask.candidates().get(c);
            for (String aspect : candidate.aspects())
                for (int o = 0; o < parts.get(c).size(); o++)
                    loads.computeIfAbsent(aspect, a -> new HashMap<>())
                            .put(
                                    parts.get(c).get(o),
                                    candidate.options().get(o).activeSec()
                                            / Math.sqrt(candidate.aspects().size()));
        }
        double longest = Math.min(ask.targetSec(), FLAT_AFTER * ask.halfSec());
        DoubleUnaryOperator slope = at -> Math.log(2) / ask.halfSec() * Math.pow(2, -at / ask.halfSec());
        loads.values().forEach(load -> {
            MPVariable trained = solver.makeNumVar(0, 1, "");
            solver.objective().setCoefficient(trained, ask.weights().aspect());
            for (int t = 0; t < TANGENTS; t++) {
                double at = longest * t / (TANGENTS - 1);
                double rise = slope.applyAsDouble(at);
                MPConstraint under = solver.makeConstraint(-NO_LIMIT, sat(at) - rise * at);
                under.setCoefficient(trained, 1);
                load.forEach((part, sec) -> under.setCoefficient(part, -rise * sec));
            }
        });
    }

    private void familiesAndKit() {
        Map<String, MPConstraint> families = new HashMap<>();
        Map<String, MPVariable> kinds = new HashMap<>();
        for (int c = 0; c < parts.size(); c++) {
            Candidate candidate = ask.candidates().get(c);
            List<MPVariable> mine = parts.get(c);
            if (candidate.part() == Place.MAIN) {
                MPConstraint family = families.computeIfAbsent(candidate.family(), f -> {
                    MPVariable in = solver.makeNumVar(0, 1, "");
                    solver.objective().setCoefficient(in, ask.weights().family());
                    MPConstraint some = solver.makeConstraint(0, NO_LIMIT);
                    some.setCoefficient(in, -1);
                    return some;
                });
                mine.forEach(part -> family.setCoefficient(part, 1));
            }
            for (String kind : candidate.kit()) {
                MPVariable in = kinds.computeIfAbsent(kind, k -> {
                    MPVariable used = solver.makeNumVar(0, 1, "");
                    solver.objective().setCoefficient(used, -ask.weights().kit());
                    return used;
                });
                MPConstraint used = solver.makeConstraint(0, NO_LIMIT);
                used.setCoefficient(in, 1);
                mine.forEach(part -> used.setCoefficient(part, -1));
            }
        }
    }
}
