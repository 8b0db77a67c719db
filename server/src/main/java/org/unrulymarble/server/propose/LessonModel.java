package org.unrulymarble.server.propose;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearArgument;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.unrulymarble.core.propose.ProposeAsk;
import org.unrulymarble.core.propose.ProposeAsk.Candidate;
import org.unrulymarble.core.propose.ProposeAsk.Pick;
import org.unrulymarble.core.propose.ProposeAsk.Place;
import org.unrulymarble.core.propose.ProposeAsk.Way;

/**
 * The core's question as a model of whole numbers. What saturates is held under tangents: they lie above a concave curve, so that the model's best is a
 * bound of the lesson's worth and never less than it. What the order costs is held from below.
 */
final class LessonModel {

    /** Units in which worth is reckoned: whole numbers, each rounded up, so that the bound stays one. */
    private static final double WORTH = 1e5;

    /** Units of the load that trains an aspect, a second. */
    private static final double LOAD = 10;

    private static final long FINER = 100;
    private static final int TANGENTS = 30;
    /** In halves; nothing to speak of comes after. */
    private static final double FLAT_AFTER = 6;

    private static final int EFFORTS = 5;
    private static final int BESIDE = 2;
    private static final double LEAP_UNIT = 100;

    /** Of so few ways also the order is modelled exactly; of more that takes longer than it tightens. */
    private static final int FEW_WAYS = 250;

    private final ProposeAsk ask;
    private final CpModel model = new CpModel();
    private final List<Pick> picks = new ArrayList<>();
    private final List<BoolVar> chosen = new ArrayList<>();
    private final List<List<BoolVar>> byCandidate = new ArrayList<>();

    private IntVar leaps;
    private final LinearExprBuilder worth = LinearExpr.newBuilder();

    LessonModel(ProposeAsk ask) {
        this.ask = ask;
        for (int c = 0; c < ask.candidates().size(); c++) {
            List<BoolVar> mine = new ArrayList<>();
            for (int o = 0; o < ask.candidates().get(c).options().size(); o++) {
                BoolVar x = model.newBoolVar("x" + c + "_" + o);
                picks.add(new Pick(c, o));
                chosen.add(x);
                mine.add(x);
            }
            byCandidate.add(mine);
        }
        demands();
        eachByItself();
        aspects();
        families();
        kit();
        if (ask.weights().effort() > 0) {
            leaps();
            if (picks.size() <= FEW_WAYS) order();
        }
        model.maximize(worth.build());
    }

    /** In the core's own units. */
    double worthOf(double units) {
        return units / WORTH;
    }

    CpModel model() {
        return model;
    }

    void hint(List<Pick> hint) {
        Set<Pick> in = new HashSet<>(hint);
        if (!hint.isEmpty())
            for (int i = 0; i < picks.size(); i++) model.addHint(chosen.get(i), in.contains(picks.get(i)) ? 1 : 0);
    }

    List<Pick> picked(CpSolver solver) {
        List<Pick> in = new ArrayList<>();
        for (int i = 0; i < picks.size(); i++) if (solver.booleanValue(chosen.get(i))) in.add(picks.get(i));
        return in;
    }

    private void demands() {
        Map<String, List<Literal>> groups = new HashMap<>();
        Map<Place, List<Literal>> parts = new HashMap<>();
        for (int c = 0; c < byCandidate.size(); c++) {
            Candidate candidate = ask.candidates().get(c);
            groups.computeIfAbsent(candidate.group(), g -> new ArrayList<>()).addAll(byCandidate.get(c));
            parts.computeIfAbsent(candidate.part(), g -> new ArrayList<>()).addAll(byCandidate.get(c));
            if (candidate.must()) model.addExactlyOne(literals(byCandidate.get(c)));
        }
        groups.values().forEach(g -> model.addAtMostOne(g));
        for (Place part : Place.values()) {
            List<Literal> mine = parts.getOrDefault(part, List.of());
            if (part != Place.MAIN && !mine.isEmpty()) model.addAtMostOne(mine);
            if (ask.needs(part)) model.addGreaterOrEqual(LinearExpr.sum(mine.toArray(new LinearArgument[0])), 1);
        }
        LinearExpr blocks = LinearExpr.sum(all());
        model.addLinearConstraint(blocks, ask.blocksMin(), ask.blocksMax());
        model.addLessOrEqual(
                weighted(way -> way.totalSec() + (long) ask.transitionSec()),
                (long) ask.targetSec() + ask.transitionSec());
    }

    private static List<Literal> literals(List<BoolVar> vars) {
        return List.copyOf(vars);
    }

    private LinearArgument[] all() {
        return chosen.toArray(new LinearArgument[0]);
    }

    private interface OfWay {
        long figure(Way way);
    }

    private LinearExpr weighted(OfWay figure) {
        long[] of = picks.stream().mapToLong(p -> figure.figure(ask.way(p))).toArray();
        return LinearExpr.weightedSum(all(), of);
    }

    private double sat(double sec) {
        return 1 - Math.pow(2, -sec / ask.halfSec());
    }

    private void add(IntVar term, double of) {
        worth.addTerm(term, units(of));
    }

    private static long units(double of) {
        return (long) Math.ceil(of * WORTH);
    }

    /** Merit, idle and unused time follow from each pick alone. */
    private void eachByItself() {
        ProposeAsk.Weights w = ask.weights();
        worth.add(units(-w.unused() * (ask.targetSec() + (double) ask.transitionSec()) / 60));
        for (int i = 0; i < picks.size(); i++) {
            Way way = ask.way(picks.get(i));
            Candidate c = ask.candidates().get(picks.get(i).candidate());
            add(
                    chosen.get(i),
                    w.merit() * c.merit() * sat(way.activeSec())
                            - w.idle() * (way.totalSec() - way.activeSec()) / 60.0
                            + w.unused() * (way.totalSec() + (double) ask.transitionSec()) / 60);
        }
    }

    private void aspects() {
        Set<String> names = new HashSet<>();
        ask.candidates().forEach(c -> names.addAll(c.aspects()));
        for (String name : names.stream().sorted().toList()) {
            LinearExprBuilder load = LinearExpr.newBuilder();
            for (int i = 0; i < picks.size(); i++) {
                Candidate c = ask.candidates().get(picks.get(i).candidate());
                if (!c.aspects().contains(name)) continue;
                double sec = ask.way(picks.get(i)).activeSec()
                        / Math.sqrt(c.aspects().size());
                load.addTerm(chosen.get(i), (long) Math.ceil(sec * LOAD));
            }
            LinearExpr loaded = load.build();
            double most = ask.weights().aspect();
            IntVar trained = model.newIntVar(0, units(most), "trained " + name);
            double longest = Math.min(ask.targetSec(), FLAT_AFTER * ask.halfSec());
            for (int t = 0; t < TANGENTS; t++) {
                double at = longest * t / (TANGENTS - 1);
                double slope = Math.log(2) / ask.halfSec() * Math.pow(2, -at / ask.halfSec());
                // The load is in small units: worth is held a hundred times finer on both sides.
                long rise = (long) Math.ceil(most * slope * WORTH * FINER / LOAD);
                long base = (long) Math.ceil(most * (sat(at) - slope * at) * WORTH * FINER);
                model.addLessOrEqual(
                        LinearExpr.term(trained, FINER),
                        LinearExpr.newBuilder().addTerm(loaded, rise).add(base).build());
            }
            worth.addTerm(trained, 1);
        }
    }

    private void families() {
        Map<String, List<BoolVar>> families = new HashMap<>();
        for (int c = 0; c < byCandidate.size(); c++)
            if (ask.candidates().get(c).part() == Place.MAIN)
                families.computeIfAbsent(ask.candidates().get(c).family(), f -> new ArrayList<>())
                        .addAll(byCandidate.get(c));
        families.forEach((name, of) -> {
            BoolVar in = model.newBoolVar("family " + name);
            model.addLessOrEqual(in, LinearExpr.sum(of.toArray(new LinearArgument[0])));
            add(in, ask.weights().family());
        });
    }

    private void kit() {
        Map<String, BoolVar> kinds = new HashMap<>();
        for (int c = 0; c < byCandidate.size(); c++)
            for (String kind : ask.candidates().get(c).kit()) {
                BoolVar in = kinds.computeIfAbsent(kind, k -> model.newBoolVar("kit " + k));
                model.addGreaterOrEqual(in, LinearExpr.sum(byCandidate.get(c).toArray(new LinearArgument[0])));
            }
        kinds.values().forEach(in -> add(in, -ask.weights().kit()));
    }

    /**
     * The least that the leaps cost, whatever the order: who climbs from an effort of 2 to a higher one and back has two free leaps, and one more for each
     * block between; the same downwards, where nothing is between. The exact order of what is chosen is the core's.
     */
    private void leaps() {
        double free = ask.leap();
        List<LinearExprBuilder> chosenOf = new ArrayList<>();
        for (int e = 0; e <= EFFORTS; e++) chosenOf.add(LinearExpr.newBuilder());
        for (int i = 0; i < picks.size(); i++)
            chosenOf.get(ask.candidates().get(picks.get(i).candidate()).effort())
                    .addTerm(chosen.get(i), 1);
        leaps = model.newIntVar(0, (long) (ask.blocksMax() * EFFORTS * LEAP_UNIT), "leaps");
        for (int e = 1; e <= EFFORTS; e++) {
            long least = (long) Math.floor(2 * (Math.abs(e - BESIDE) - free) * LEAP_UNIT);
            if (least <= 0) continue;
            BoolVar any = model.newBoolVar("effort" + e);
            model.addGreaterOrEqual(
                    LinearExpr.newBuilder().addTerm(any, ask.blocksMax()).build(),
                    chosenOf.get(e).build());
            LinearExprBuilder paid = LinearExpr.newBuilder().add(leaps);
            for (int between = BESIDE + 1; between < e; between++)
                paid.addTerm(chosenOf.get(between).build(), (long) Math.ceil(free * LEAP_UNIT));
            model.addGreaterOrEqual(
                    paid.build(), LinearExpr.newBuilder().addTerm(any, least).build());
        }
        add(leaps, -ask.weights().effort() / LEAP_UNIT);
    }

    /**
     * Efforts at each place; a place that is not taken carries on the effort before it, so that it costs nothing, and the one that closes comes after all.
     */
    private void order() {
        int places = ask.blocksMax();
        LinearExprBuilder[] ofEffort = new LinearExprBuilder[EFFORTS + 1];
        LinearExprBuilder[] opens = new LinearExprBuilder[EFFORTS + 1];
        LinearExprBuilder closes = LinearExpr.newBuilder();
        LinearExprBuilder isClosed = LinearExpr.newBuilder();
        for (int e = 1; e <= EFFORTS; e++) {
            ofEffort[e] = LinearExpr.newBuilder();
            opens[e] = LinearExpr.newBuilder();
        }
        for (int c = 0; c < byCandidate.size(); c++) {
            Candidate candidate = ask.candidates().get(c);
            for (BoolVar x : byCandidate.get(c)) {
                if (candidate.part() == Place.CLOSE) {
                    closes.addTerm(x, candidate.effort());
                    isClosed.addTerm(x, 1);
                } else ofEffort[candidate.effort()].addTerm(x, 1);
                if (candidate.part() == Place.OPEN) opens[candidate.effort()].addTerm(x, 1);
            }
        }
        BoolVar[][] at = new BoolVar[places][EFFORTS + 1];
        LinearArgument before = LinearExpr.constant(BESIDE);
        BoolVar takenBefore = null;
        List<IntVar> over = new ArrayList<>();
        for (int p = 0; p < places; p++) {
            BoolVar taken = model.newBoolVar("taken" + p);
            LinearExprBuilder one = LinearExpr.newBuilder();
            LinearExprBuilder effort = LinearExpr.newBuilder();
            for (int e = 1; e <= EFFORTS; e++) {
                at[p][e] = model.newBoolVar("e" + p + "_" + e);
                one.addTerm(at[p][e], 1);
                effort.addTerm(at[p][e], e);
            }
            model.addEquality(one.build(), taken);
            if (takenBefore != null) model.addImplication(taken, takenBefore);
            takenBefore = taken;
            IntVar here = model.newIntVar(1, EFFORTS, "effort" + p);
            model.addEquality(here, effort.build()).onlyEnforceIf(taken);
            model.addEquality(here, before).onlyEnforceIf(taken.not());
            over.add(leap(before, here));
            before = here;
        }
        for (int e = 1; e <= EFFORTS; e++) {
            LinearExprBuilder placed = LinearExpr.newBuilder();
            for (int p = 0; p < places; p++) placed.addTerm(at[p][e], 1);
            model.addEquality(placed.build(), ofEffort[e].build());
            model.addLessOrEqual(opens[e].build(), at[0][e]);
        }
        BoolVar closed = model.newBoolVar("closed");
        model.addEquality(closed, isClosed.build());
        IntVar last = model.newIntVar(1, EFFORTS, "last");
        model.addEquality(last, closes.build()).onlyEnforceIf(closed);
        model.addEquality(last, before).onlyEnforceIf(closed.not());
        over.add(leap(before, last));
        over.add(leap(last, LinearExpr.constant(BESIDE)));
        model.addGreaterOrEqual(leaps, LinearExpr.sum(over.toArray(new LinearArgument[0])));
    }

    private IntVar leap(LinearArgument from, LinearArgument to) {
        IntVar over = model.newIntVar(0, (long) (EFFORTS * LEAP_UNIT), "leap");
        long free = (long) Math.ceil(ask.leap() * LEAP_UNIT);
        long unit = (long) LEAP_UNIT;
        for (int sign = -1; sign <= 1; sign += 2)
            model.addGreaterOrEqual(
                    LinearExpr.newBuilder().add(over).add(free).build(),
                    LinearExpr.newBuilder()
                            .addTerm(to, sign * unit)
                            .addTerm(from, -sign * unit)
                            .build());
        return over;
    }
}
