package org.unrulymarble.server.propose;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearArgument;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import com.google.ortools.sat.NoOverlap2dConstraint;
import java.util.ArrayList;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.place.LayoutProver;

/**
 * Lays stations out by a constraint solver, to the millimetre: each has one of its sizes, of every two one lies beside the other or above it, nobody is
 * beyond whoever throws across the floor.
 */
@Component
class CpSatLayout implements LayoutProver {

    private static final double MM = 1000;
    private static final double HAIR_MM = 1e-3;
    private static final long FARTHEST_MM = 1_000_000;

    /** Worth in whole numbers; shares of up to twelve rounds are told apart. */
    private static final double WORTH = 27_720;

    private final SolverLibrary library;
    private final double mostSec;

    CpSatLayout(SolverLibrary library, @Value("${marble.layout-sec:2.5}") double mostSec) {
        this.library = library;
        this.mostSec = mostSec;
    }

    @Override
    public Proof better(List<Station> stations, List<Apart> apart, double above) {
        if (!library.loaded()) return Proof.NONE;
        Model model = new Model(stations, apart);
        long least = Math.round(above * stations.size() * WORTH) + 1;
        model.atLeast(least);
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(mostSec).setNumWorkers(1).setRandomSeed(1);
        CpSolverStatus status = solver.solve(model.model);
        return switch (status) {
            case INFEASIBLE -> new Proof(List.of(), above);
            case OPTIMAL, FEASIBLE ->
                new Proof(model.put(solver), solver.bestObjectiveBound() / WORTH / stations.size());
            case MODEL_INVALID -> throw new IllegalStateException(model.model.validate());
            default -> Proof.NONE;
        };
    }

    /** The question as a model. */
    private static final class Model {

        private final CpModel model = new CpModel();
        private final List<Station> stations;
        private final List<Apart> apart;
        private final List<List<BoolVar>> chosen = new ArrayList<>();
        private final List<IntVar> xs = new ArrayList<>();
        private final List<IntVar> ys = new ArrayList<>();
        private final List<LinearExpr> alongs = new ArrayList<>();
        private final List<LinearExpr> acrosses = new ArrayList<>();
        private final LinearExprBuilder worth = LinearExpr.newBuilder();

        Model(List<Station> stations, List<Apart> apart) {
            this.stations = stations;
            this.apart = apart;
            stations.forEach(this::station);
            for (int i = 0; i < stations.size(); i++) for (int j = i + 1; j < stations.size(); j++) pair(i, j);
            noOverlap();
            model.maximize(worth.build());
        }

        void atLeast(long units) {
            model.addGreaterOrEqual(worth.build(), units);
        }

        private void station(Station s) {
            int i = chosen.size();
            List<BoolVar> mine = new ArrayList<>();
            LinearExprBuilder along = LinearExpr.newBuilder();
            LinearExprBuilder across = LinearExpr.newBuilder();
            long far = s.options().stream()
                    .mapToLong(o -> Math.max(down(o.xToM()), down(o.yToM())))
                    .max()
                    .orElse(0);
            IntVar x = model.newIntVar(0, Math.max(0, far), "x" + i);
            IntVar y = model.newIntVar(0, Math.max(0, far), "y" + i);
            for (Option o : s.options()) {
                BoolVar it = model.newBoolVar("o" + i + "_" + mine.size());
                mine.add(it);
                along.addTerm(it, up(o.alongM()));
                across.addTerm(it, up(o.acrossM()));
                worth.addTerm(it, Math.round(o.worth() * WORTH));
                model.addLinearConstraint(x, up(o.xFromM()), Math.max(up(o.xFromM()), down(o.xToM())))
                        .onlyEnforceIf(it);
                model.addLinearConstraint(y, up(o.yFromM()), Math.max(up(o.yFromM()), down(o.yToM())))
                        .onlyEnforceIf(it);
                for (Rect r : o.barred()) keepOff(it, o, x, y, r);
            }
            model.addExactlyOne(List.<Literal>copyOf(mine));
            chosen.add(mine);
            xs.add(x);
            ys.add(y);
            alongs.add(along.build());
            acrosses.add(across.build());
        }

        private void keepOff(BoolVar it, Option o, IntVar x, IntVar y, Rect r) {
            List<Literal> one = new ArrayList<>(List.of(it.not()));
            one.add(when(
                    model.newBoolVar(""), x, LinearExpr.constant(up(o.alongM())), LinearExpr.constant(down(r.xM()))));
            one.add(when(
                    model.newBoolVar(""), LinearExpr.constant(up(r.xM() + r.alongM())), LinearExpr.constant(0), x));
            one.add(when(
                    model.newBoolVar(""), y, LinearExpr.constant(up(o.acrossM())), LinearExpr.constant(down(r.yM()))));
            one.add(when(
                    model.newBoolVar(""), LinearExpr.constant(up(r.yM() + r.acrossM())), LinearExpr.constant(0), y));
            model.addBoolOr(one);
        }

        /** True only where from + size <= to. */
        private BoolVar when(BoolVar it, LinearArgument from, LinearArgument size, LinearArgument to) {
            model.addLessOrEqual(LinearExpr.newBuilder().add(from).add(size).build(), to)
                    .onlyEnforceIf(it);
            return it;
        }

        private void pair(int i, int j) {
            double own = Math.max(stations.get(i).apartM(), stations.get(j).apartM());
            long gap = up(apart.stream()
                    .filter(a -> Math.min(a.one(), a.other()) == i && Math.max(a.one(), a.other()) == j)
                    .mapToDouble(Apart::gapM)
                    .reduce(own, Math::max));
            BoolVar left = beside("left", i, j, true, gap);
            BoolVar right = beside("right", j, i, true, gap);
            BoolVar above = beside("above", i, j, false, gap);
            BoolVar below = beside("below", j, i, false, gap);
            model.addBoolOr(List.<Literal>of(left, right, above, below));
            thrown(i, j, left, right, above, below);
            thrown(j, i, right, left, below, above);
        }

        private BoolVar beside(String name, int first, int then, boolean along, long gap) {
            LinearExpr size = along ? alongs.get(first) : acrosses.get(first);
            return when(
                    model.newBoolVar(name + first + "_" + then),
                    along ? xs.get(first) : ys.get(first),
                    LinearExpr.newBuilder().add(size).add(gap).build(),
                    along ? xs.get(then) : ys.get(then));
        }

        /** Beyond i, up to the edge of the room, j may not lie. @param left that i lies left of j, and so on */
        private void thrown(int i, int j, BoolVar left, BoolVar right, BoolVar above, BoolVar below) {
            for (int o = 0; o < chosen.get(i).size(); o++) {
                Option option = stations.get(i).options().get(o);
                if (option.way() == null) continue;
                boolean along = switch (option.way()) {
                    case LEFT, RIGHT -> true;
                    case TOP, BOTTOM -> false;
                };
                BoolVar before = beside("clear", i, j, !along, 0);
                BoolVar after = beside("clear", j, i, !along, 0);
                Literal behind = switch (option.way()) {
                    case RIGHT -> right;
                    case LEFT -> left;
                    case BOTTOM -> below;
                    case TOP -> above;
                };
                model.addBoolOr(List.<Literal>of(chosen.get(i).get(o).not(), behind, before, after));
            }
        }

        /** Follows from the pairs; the solver sees more of it this way. */
        private void noOverlap() {
            NoOverlap2dConstraint none = model.addNoOverlap2D();
            for (int i = 0; i < stations.size(); i++)
                none.addRectangle(interval(xs.get(i), alongs.get(i)), interval(ys.get(i), acrosses.get(i)));
        }

        private IntervalVar interval(IntVar from, LinearExpr size) {
            IntVar length = model.newIntVar(0, FARTHEST_MM, "");
            model.addEquality(length, size);
            return model.newIntervalVar(from, length, model.newIntVar(0, FARTHEST_MM, ""), "");
        }

        List<Put> put(CpSolver solver) {
            List<Put> out = new ArrayList<>();
            for (int i = 0; i < stations.size(); i++) {
                int option = 0;
                while (!solver.booleanValue(chosen.get(i).get(option))) option++;
                out.add(new Put(option, solver.value(xs.get(i)) / MM, solver.value(ys.get(i)) / MM));
            }
            return out;
        }

        private static long up(double m) {
            return (long) Math.ceil(m * MM - HAIR_MM);
        }

        private static long down(double m) {
            return (long) Math.floor(m * MM + HAIR_MM);
        }
    }
}
