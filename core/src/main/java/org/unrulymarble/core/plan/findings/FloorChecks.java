package org.unrulymarble.core.plan.findings;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.measure.Furthest;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Pacing;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** Whether the floor that a block gives holds what is done on it: a spot of the teacher's own, a way back by steps. */
final class FloorChecks {

    private static final double SHORTEST_STEP_M = 0.2;

    private final View view;
    private final Mends mends;
    private final List<Found> out;

    private FloorChecks(View view, List<Found> out) {
        this.view = view;
        this.mends = new Mends(view);
        this.out = out;
    }

    static void look(View view, List<Found> out) {
        FloorChecks checks = new FloorChecks(view, out);
        for (Placed p : view.tasks()) {
            checks.spot(p);
            checks.staircase(p);
        }
    }

    /** Too short for where they stand stops it; a little smaller than usual is a word of warning. */
    private void spot(Placed p) {
        Footprint own = p.block().spot();
        if (own == null || p.station() != null) return;
        Footprint needed = p.needed();
        Double standM = p.standM();
        boolean across = needed.oneRow() || needed.needsWall();
        boolean tooShort = across && standM != null && !Rounding.fits(standM, own.lengthM());
        boolean smaller =
                !Rounding.fits(needed.lengthM(), own.lengthM()) || !Rounding.fits(needed.widthM(), own.widthM());
        if (!tooShort && !smaller) return;
        Footprint asTask = new Footprint(
                Math.max(own.lengthM(), needed.lengthM()),
                Math.max(own.widthM(), needed.widthM()),
                own.gapM(),
                own.edgeM(),
                own.needsWall(),
                own.oneRow(),
                own.heightM());
        out.add((tooShort ? Found.stop(Code.SPOT_TOO_SMALL) : Found.mind(Code.SPOT_TOO_SMALL))
                .at(p)
                .figure("haveM", own.lengthM())
                .figure("haveByM", own.widthM())
                .figure("needM", needed.lengthM())
                .figure("byM", needed.widthM())
                .figure("standM", tooShort ? standM : null)
                .school(Finding.School.SAFETY)
                .mend(mends.first(() -> Optional.of(Change.of(
                        Mend.Kind.SPOT_AS_TASK,
                        Map.of("needM", asTask.lengthM(), "byM", asTask.widthM()),
                        new BlockEdit.SetSpot(p.block().id(), asTask)))))
                .done());
    }

    /** A way back of enough places to be worth stepping for; where the rung itself goes by places its gate has asked for the floor already. */
    private void staircase(Placed p) {
        if (!(p.block().dose() instanceof BlockDose.ByStaircase dose)
                || p.rung().measure() instanceof Furthest) return;
        double left = Pacing.leftToStepBackM(p, view.setting());
        int least = view.thresholds().placesLeast();
        if (dose.stepM() <= 0 || Rounding.fits((least - 1) * dose.stepM(), left)) return;
        double shorter = Math.floor(left / (least - 1) * 10 + Rounding.SLACK) / 10;
        int places = 1 + Math.max(0, Rounding.floor(left / dose.stepM()));
        out.add((places < 2 ? Found.stop(Code.STAIRCASE_TOO_LONG) : Found.mind(Code.STAIRCASE_TOO_LONG))
                .at(p)
                .figure("stepM", dose.stepM())
                .figure("leftM", Math.max(0, left))
                .figure("places", places)
                .beyond("placesLeast", least)
                .mend(mends.first(
                        () -> shorter < SHORTEST_STEP_M
                                ? Optional.empty()
                                : Optional.of(Change.of(
                                        Mend.Kind.SHORTER_STEPS,
                                        Map.of("stepM", shorter),
                                        new BlockEdit.SetDose(
                                                p.block().id(),
                                                new BlockDose.ByStaircase(
                                                        dose.makesToStep(), dose.onMiss(), shorter, dose.limitSec())))),
                        () -> Optional.of(Change.of(
                                Mend.Kind.BY_THE_CLOCK,
                                Map.of(),
                                new BlockEdit.SetDose(
                                        p.block().id(),
                                        BlockDose.byClock(
                                                p.rung().doses().clock().workSec()))))))
                .done());
    }
}
