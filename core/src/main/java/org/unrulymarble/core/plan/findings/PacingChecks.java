package org.unrulymarble.core.plan.findings;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.BlockPlan;
import org.unrulymarble.core.plan.GateOdds;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Pacing;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** Doses that this class cannot do in the time: a gate most cannot reach, a count that takes longer than was planned. */
final class PacingChecks {

    private final View view;
    private final LessonPlan plan;
    private final List<Found> out;

    private PacingChecks(View view, LessonPlan plan, List<Found> out) {
        this.view = view;
        this.plan = plan;
        this.out = out;
    }

    static void look(View view, LessonPlan plan, List<Found> out) {
        PacingChecks checks = new PacingChecks(view, plan, out);
        for (int i = 0; i < view.placed().size(); i++) {
            Placed p = view.placed().get(i);
            if (!p.isTask() || view.setting().pupils().isEmpty()) continue;
            checks.possible(p);
            checks.gate(p, plan.blocks().get(i));
            checks.count(p, plan.blocks().get(i));
        }
    }

    /** A gate of the teacher's own that no pupil can meet, however good, with what the block gives. */
    private void possible(Placed p) {
        Gate own = p.block().gate();
        if (own == null || !cannotBeMet(own, p)) return;
        out.add(Found.mind(Code.GATE_CANNOT_BE_MET)
                .at(p)
                .figure("reach", own.reach())
                .figure("of", own.outOf())
                .figure("inSec", own instanceof Gate.SoManyIn in ? in.inSec() : null)
                .figure("reps", own instanceof Gate.SoManyIn ? null : p.reps())
                .figure("hitSec", p.rung().pace().hitSec())
                .mend(Change.of(
                        Mend.Kind.GATE_AS_RUNG,
                        Map.of(),
                        new BlockEdit.SetGate(p.block().id(), null)))
                .done());
    }

    private static boolean cannotBeMet(Gate gate, Placed p) {
        Integer reps = p.reps();
        if (gate instanceof Gate.SoManyIn in)
            return in.reach() * p.rung().pace().hitSec() > in.inSec() + Rounding.SLACK;
        if (gate.outOf() != null) return reps != null && GateOdds.measure(p).byGoes() && gate.outOf() > reps;
        return gate instanceof Gate.InARow && reps != null && gate.reach() > reps;
    }

    private void gate(Placed p, BlockPlan block) {
        Pacing pacing = block.pacing();
        if (!(p.block().dose() instanceof BlockDose.ByGate dose) || pacing.reachGate() == null) return;
        int pupils = p.members(view.setting()).size();
        double share = pacing.reachGate() / pupils;
        double wanted = view.thresholds().gateShare();
        if (share >= wanted) return;
        Gate gate = GateOdds.gate(p);
        out.add(Found.mind(Code.GATE_OUT_OF_REACH)
                .at(p)
                .figure("reach", gate.reach())
                .figure("of", gate.outOf())
                .figure("expected", pacing.reachGate())
                .figure("pupils", pupils)
                .figure("limitSec", dose.limitSec())
                .figure("byPlanningRate", pacing.byPlanningRate())
                .beyond("gateShare", wanted)
                .school(Finding.School.BY_GATE)
                .mend(new Mends(view)
                        .first(
                                () -> lowerGate(p, gate, wanted),
                                () -> new Mends(view)
                                        .otherRung(
                                                p,
                                                r -> p.ladder().numberOf(r.id())
                                                        < p.ladder()
                                                                .numberOf(
                                                                        p.rung().id()))))
                .done());
    }

    /** The highest gate that enough of them can be expected to reach. */
    private Optional<Change> lowerGate(Placed p, Gate gate, double wanted) {
        int reach = GateOdds.highest(p, gate, wanted, view.setting());
        if (reach < 1) return Optional.empty();
        return Optional.of(Change.of(
                Mend.Kind.GATE_THAT_SUITS,
                Map.of("reach", reach),
                new BlockEdit.SetGate(p.block().id(), gate.to(reach))));
    }

    private void count(Placed p, BlockPlan block) {
        if (!(p.block().dose() instanceof BlockDose.ByCount dose)) return;
        Double half = block.pacing().halfSec();
        double planned = p.workSec();
        double share = view.thresholds().countShare();
        if (half != null && planned >= share * half) return;
        int reps = dose.reps() * (p.mixed() ? 2 : 1);
        double need = half == null ? 3 * planned : half;
        double secPerRep = Math.ceil(need / reps * 10) / 10;
        String id = p.block().id();
        out.add(Found.mind(Code.COUNT_TAKES_LONGER)
                .at(p)
                .figure("reps", reps)
                .figure("plannedSec", planned)
                .figure("halfSec", need)
                .figure("byPlanningRate", block.pacing().byPlanningRate())
                .beyond("countShare", share)
                .school(Finding.School.BY_COUNT)
                .mend(
                        p.station() != null
                                ? CircuitChecks.longerRounds(p, need)
                                : Change.of(
                                        Mend.Kind.TIME_FOR_COUNT,
                                        Map.of("secPerRep", secPerRep),
                                        new BlockEdit.SetDose(
                                                id, new BlockDose.ByCount(dose.reps(), secPerRep, dose.orReps()))))
                .done());
    }
}
