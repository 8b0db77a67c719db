package org.unrulymarble.core.plan.findings;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.flight.NetOnWall;
import org.unrulymarble.core.flight.Reaction;
import org.unrulymarble.core.flight.WallMark;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.ladder.Delivery;
import org.unrulymarble.core.ladder.NetMark;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** What can hurt: balls too fast, swings too near, throws across each other; and a mark that trains the wrong flight. */
final class SafetyChecks {

    /** From the middle of a body to its side. */
    private static final double BODY_M = 0.25;

    /** Of a ball in the air; ours, a round figure. */
    private static final double DRAG = 0.5;

    private static final double NET_CLEARANCE_M = 0.15;

    private final View view;
    private final Mends mends;
    private final List<Found> out;

    private SafetyChecks(View view, List<Found> out) {
        this.view = view;
        this.mends = new Mends(view);
        this.out = out;
    }

    static void look(View view, List<Found> out) {
        SafetyChecks checks = new SafetyChecks(view, out);
        for (Placed p : view.tasks()) {
            checks.reaction(p);
            checks.swing(p);
            checks.partnerInSwing(p);
            checks.lines(p);
            checks.mark(p);
        }
    }

    private void reaction(Placed p) {
        boolean hard = view.balls(p).stream().anyMatch(KitKind::hard);
        Optional<Delivery> tooFast = view.rungsInUse(p).stream()
                .map(r -> view.delivery(p, r))
                .flatMap(Optional::stream)
                .filter(d -> !needed(d, hard).enough())
                .findFirst();
        if (tooFast.isEmpty()) return;
        Delivery d = tooFast.get();
        boolean known = view.setting().pupils().stream().map(PlanPupil::age).anyMatch(a -> a != null);
        out.add(Found.stop(Code.TOO_FAST_TO_REACT)
                .at(p)
                .figure("speedMs", d.speedMs())
                .figure("fromM", d.fromM())
                .figure("leastM", needed(d, hard).leastDistanceM())
                .figure("age", view.youngest())
                .figure("ageKnown", known)
                .figure("hard", hard)
                .school(Finding.School.SAFETY)
                .mend(mends.first(
                        () -> hard ? mends.otherBall(p, Mend.Kind.SOFTER_BALL, k -> !k.hard()) : Optional.empty(),
                        () -> asRung(p, hard),
                        () -> mends.otherRung(p, r -> inTime(r, hard)),
                        () -> mends.otherTask(p),
                        () -> mends.remove(p)))
                .done());
    }

    /** Where the teacher moved them nearer: back to where the rung is done from, if that is far enough. */
    private Optional<Change> asRung(Placed p, boolean hard) {
        if (p.block().standM() == null || !view.rungsInUse(p).stream().allMatch(r -> inTime(r, hard)))
            return Optional.empty();
        return standAsRung(p);
    }

    private static Optional<Change> standAsRung(Placed p) {
        if (p.block().standM() == null || p.rung().standM() == null) return Optional.empty();
        return Optional.of(Change.of(
                Mend.Kind.STAND_AS_RUNG,
                Map.of("standM", p.rung().standM()),
                new BlockEdit.SetStand(p.block().id(), null)));
    }

    private boolean inTime(Rung rung, boolean hard) {
        return rung.delivery() == null || needed(rung.delivery(), hard).enough();
    }

    private Reaction needed(Delivery d, boolean hard) {
        Planning planning = view.setting().planning();
        Planning.ReactionByAge at = planning.reaction(view.youngest());
        return Reaction.of(new Reaction.ReactionAsk(
                d.speedMs(),
                at.reactionSec(),
                at.handMoveSec(),
                hard,
                planning.usual().hardMarginShare(),
                d.fromM()));
    }

    /** Whoever swings reaches so far; the neighbour's body must be beyond that and a margin. */
    private void swing(Placed p) {
        Double reach = p.ladder().swingM();
        if (reach == null || p.layout().spots().spots() < 2) return;
        Footprint f = p.footprint();
        double need = reach + BODY_M + view.thresholds().swingMarginM();
        double have = Math.min(f.widthM(), f.lengthM()) + f.gapM();
        if (Rounding.fits(need, have)) return;
        double gap = Math.ceil((f.gapM() + need - have) * 10 - Rounding.SLACK) / 10;
        Footprint wider =
                new Footprint(f.lengthM(), f.widthM(), gap, f.edgeM(), f.needsWall(), f.oneRow(), f.heightM());
        String id = p.block().id();
        out.add(Found.stop(Code.SWING_TOO_NEAR)
                .at(p)
                .figure("haveM", have)
                .figure("needM", need)
                .figure("reachM", reach)
                .beyond("swingMarginM", view.thresholds().swingMarginM())
                .school(Finding.School.SAFETY)
                .mend(mends.first(() -> Optional.of(
                        Change.of(Mend.Kind.WIDER_SPOTS, Map.of("gapM", gap), new BlockEdit.SetSpot(id, wider)))))
                .done());
    }

    /** Who feeds or rolls stands opposite, and must be out of reach of what is swung. */
    private void partnerInSwing(Placed p) {
        Double reach = p.ladder().swingM();
        if (reach == null || !p.ladder().partnerWorks() || p.standM() == null) return;
        double need = reach + BODY_M + view.thresholds().swingMarginM();
        if (Rounding.fits(need, p.standM())) return;
        out.add(Found.stop(Code.PARTNER_IN_SWING)
                .at(p)
                .figure("haveM", p.standM())
                .figure("needM", need)
                .figure("reachM", reach)
                .beyond("swingMarginM", view.thresholds().swingMarginM())
                .school(Finding.School.SAFETY)
                .mend(mends.first(
                        () -> p.rung().standM() != null
                                        && Rounding.fits(need, p.rung().standM())
                                ? standAsRung(p)
                                : Optional.empty(),
                        () -> mends.otherRung(p, r -> r.standM() != null && Rounding.fits(need, r.standM())),
                        () -> mends.otherTask(p),
                        () -> mends.remove(p)))
                .done());
    }

    /** Throwers stand in one row and throw the same way; a spot of the teacher's own may have given that up. */
    private void lines(Placed p) {
        Footprint own = p.block().spot();
        if (!p.ladder().footprint().oneRow() || own == null || own.oneRow()) return;
        if (p.ladder().footprint().needsWall()
                || p.layout().spots().rows() < 2
                || p.layout().spots().columns() < 1) return;
        String id = p.block().id();
        Footprint row = new Footprint(
                own.lengthM(), own.widthM(), own.gapM(), own.edgeM(), own.needsWall(), true, own.heightM());
        out.add(Found.stop(Code.THROW_LINES)
                .at(p)
                .figure("rows", p.layout().spots().rows())
                .school(Finding.School.SAFETY)
                .mend(mends.first(
                        () -> Optional.of(Change.of(Mend.Kind.ONE_ROW, Map.of(), new BlockEdit.SetSpot(id, row)))))
                .done());
    }

    private void mark(Placed p) {
        NetMark net = p.ladder().net();
        Double stand = p.standM();
        if (net == null || stand == null) return;
        Planning.NetPreset preset = view.setting().planning().net(net.preset()).orElse(null);
        if (preset == null || stand <= 0 || stand > preset.distanceM()) return;
        WallMark.WallMarkAsk serve = new WallMark.WallMarkAsk(
                net.launchM(),
                net.angleDeg(),
                preset.distanceM(),
                preset.heightM(),
                NET_CLEARANCE_M,
                preset.landWithinM(),
                stand);
        // Of the balls in play the lightest flies lowest: a doubtful mark errs high.
        Optional<Map.Entry<KitKind, WallMark>> lightest = view.balls(p).stream()
                .filter(k -> k.sizeCm() != null && k.massG() != null)
                .map(k -> Map.entry(k, through(serve, k)))
                .filter(e -> e.getValue().feasible())
                .max(Comparator.comparing(e -> e.getValue().lowMarkM()));
        WallMark mark = lightest.map(Map.Entry::getValue).orElseGet(() -> WallMark.of(serve));
        if (!mark.feasible() || mark.netHeightMark() == WallMark.PlainMark.IN_BAND) return;
        // Err high: the edges are rounded up to whole centimetres.
        Block.Band band = new Block.Band(up(mark.lowMarkM()), up(mark.highMarkM()));
        Block.Band own = p.block().mark();
        // A doubtful mark errs high: a band that begins higher is the teacher's choice.
        if (own != null && Rounding.fits(band.lowM(), own.lowM())) return;
        String id = p.block().id();
        out.add(Found.mind(own == null ? Code.MARK_NOT_NET_HEIGHT : Code.MARK_TOO_LOW)
                .figure("ownLowM", own == null ? null : own.lowM())
                .at(p)
                .figure("standM", stand)
                .figure("netM", preset.heightM())
                .figure("net", preset.name())
                .figure("lowM", band.lowM())
                .figure("highM", band.highM())
                .figure("ball", lightest.map(e -> e.getKey().name()).orElse(null))
                .school(Finding.School.FLIGHT)
                .mend(mends.first(() -> Optional.of(Change.of(
                        Mend.Kind.MARK_BAND,
                        Map.of("lowM", band.lowM(), "highM", band.highM()),
                        new BlockEdit.SetBand(id, band)))))
                .done());
    }

    private static WallMark through(WallMark.WallMarkAsk serve, KitKind ball) {
        return NetOnWall.markThroughAir(serve, ball.sizeCm() / 200, new NetOnWall.Air(ball.massG() / 1000, DRAG));
    }

    private static double up(double m) {
        return Math.ceil(m * 100 - Rounding.SLACK) / 100;
    }
}
