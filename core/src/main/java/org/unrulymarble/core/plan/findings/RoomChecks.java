package org.unrulymarble.core.plan.findings;

import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.unrulymarble.core.flight.Toss;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.ladder.Caution;
import org.unrulymarble.core.ladder.Manner;
import org.unrulymarble.core.ladder.RefusedPlace;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.place.Feature;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Noise;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.place.Wall;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;

/** What the room does not give. */
final class RoomChecks {

    private static final int NOON_MIN = 12 * 60;
    private static final double TOSS_RELEASE_M = 1.1;
    private static final double TOSS_CATCH_M = 1.0;
    private static final double USUAL_RADIUS_M = 0.05;

    private final View view;
    private final Mends mends;
    private final List<Found> out;

    private RoomChecks(View view, List<Found> out) {
        this.view = view;
        this.mends = new Mends(view);
        this.out = out;
    }

    static void look(View view, List<Found> out) {
        RoomChecks checks = new RoomChecks(view, out);
        for (Placed p : view.tasks()) {
            checks.fits(p);
            checks.surface(p);
            checks.refused(p);
            checks.noise(p);
            checks.breakables(p);
            checks.rollsAway(p);
            checks.claps(p);
        }
    }

    private void fits(Placed p) {
        Spots spots = p.layout().spots();
        if (spots.reason() != null) {
            out.add(reason(Found.stop(Code.valueOf(spots.reason().name())).at(p), p, spots.reason())
                    .mend(mends.first(
                            () -> CircuitChecks.takeApart(p, spots.reason()),
                            () -> mends.otherRung(
                                    p, r -> !r.id().equals(p.rung().id())),
                            () -> mends.tighter(
                                    p, after -> after.layout().spots().spots() > 0),
                            () -> mends.otherTask(p),
                            () -> mends.remove(p)))
                    .done());
            return;
        }
        if (p.station() != null) return;
        int most = view.thresholds().wavesMost();
        int waves = spots.waves() == null ? 1 : spots.waves();
        if (waves > most)
            out.add((waves > p.waves() ? Found.stop(Code.WAVES_MANY) : Found.mind(Code.WAVES_MANY))
                    .at(p)
                    .figure("waves", waves)
                    .figure("spots", spots.spots())
                    .figure("addsSec", p.waitingSec())
                    .beyond("wavesMost", most)
                    .mend(mends.first(
                            () -> mends.tighter(
                                    p, after -> after.layout().spots().waves() < waves),
                            () -> mends.otherTask(p)))
                    .done());
    }

    private Found.Draft reason(Found.Draft draft, Placed p, Spots.Reason reason) {
        Footprint f = p.footprint();
        Space room = view.setting().place().size();
        return switch (reason) {
            case NO_WALL -> draft;
            case WALL_TOO_SHORT ->
                draft.figure("needM", f.widthM() + 2 * f.edgeM())
                        .figure("haveM", firstWall().runM());
            case TOO_LITTLE_DEPTH ->
                draft.figure("needM", f.lengthM() + f.edgeM())
                        .figure("haveM", firstWall().depthM());
            case WALL_TOO_LOW ->
                draft.figure("needM", p.block().mark().highM())
                        .figure(
                                "haveM",
                                view.setting().place().walls().stream()
                                        .mapToDouble(w -> w.stretch().heightM())
                                        .max()
                                        .orElse(0));
            case CEILING_TOO_LOW -> draft.figure("needM", f.heightM()).figure("haveM", room.ceilingM());
            case FLOOR_TOO_SMALL ->
                draft.figure("needM", f.lengthM() + 2 * f.edgeM())
                        .figure("byM", f.widthM() + 2 * f.edgeM())
                        .figure("haveM", room.lengthM())
                        .figure("haveByM", room.widthM());
            case NO_ROOM_BESIDE -> draft;
            case NOTHING_LEFT_FREE ->
                draft.figure("before", p.layout().leftFree())
                        .figure("windows", p.layout().leftForWindows())
                        .beyond("wayFreeM", view.thresholds().wayFreeM());
        };
    }

    /** The one that the reason is told of. */
    private Wall firstWall() {
        return view.setting().place().walls().get(0).stretch();
    }

    private void surface(Placed p) {
        Place place = view.setting().place();
        if (!p.ladder().worksOn(place.surface()))
            out.add(Found.stop(Code.SURFACE)
                    .at(p)
                    .figure("surface", place.surface().name())
                    .mend(mends.first(() -> mends.otherTask(p), () -> mends.remove(p)))
                    .done());
        if (place.wet() == Place.Wet.NEVER || !mindsWet(p)) return;
        Integer start = view.lesson().startMin();
        if (place.wet() == Place.Wet.MORNINGS && start != null && start >= NOON_MIN) return;
        Found.Draft draft = place.wet() == Place.Wet.NOW ? Found.stop(Code.WET) : Found.mind(Code.WET);
        out.add(draft.at(p)
                .figure("when", place.wet().name())
                .school(Finding.School.SAFETY)
                .mend(mends.first(() -> mends.otherTask(p), () -> mends.remove(p)))
                .done());
    }

    /** Working feet slip whatever the ladder says of floors. */
    private boolean mindsWet(Placed p) {
        return p.ladder().refuses(RefusedPlace.WET_FLOOR)
                || p.ladder().cautions().contains(Caution.WET_FLOOR)
                || view.rungsInUse(p).stream().anyMatch(r -> r.manner().feet() == Manner.Feet.WORKING);
    }

    private void refused(Placed p) {
        Place place = view.setting().place();
        Map<RefusedPlace, Boolean> here = Map.of(
                RefusedPlace.LOW_LAMPS, place.lowLamps(),
                RefusedPlace.OTHERS_WALL,
                        place.othersWall() && p.ladder().footprint().needsWall(),
                RefusedPlace.NEIGHBOURS_BELOW, place.neighboursBelow(),
                RefusedPlace.BREAKABLES, place.breakables(),
                RefusedPlace.STAIRS, place.has(Feature.Kind.STAIRS),
                RefusedPlace.CARS, place.cars(),
                RefusedPlace.OPEN_WATER, place.openWater());
        for (RefusedPlace refused : p.ladder().refusedPlaces()) {
            if (!here.getOrDefault(refused, false)) continue;
            out.add(Found.stop(Code.PLACE_REFUSED)
                    .at(p)
                    .about(refused.name())
                    .figure("place", refused.name())
                    .school(Finding.School.SAFETY)
                    .mend(mends.first(() -> mends.otherTask(p), () -> mends.remove(p)))
                    .done());
        }
    }

    private void noise(Placed p) {
        if (!view.setting().place().neighboursBelow() || p.ladder().refuses(RefusedPlace.NEIGHBOURS_BELOW)) return;
        Noise noise = p.ladder().noise();
        boolean silentBall = !view.balls(p).isEmpty() && view.balls(p).stream().noneMatch(KitKind::bounces);
        if (noise == Noise.QUIET || (noise == Noise.BOUNCE && silentBall)) return;
        Predicate<KitKind> silent = k -> !k.bounces();
        out.add(Found.mind(Code.NOISE)
                .at(p)
                .figure("noise", noise.name())
                .mend(mends.first(
                        () -> noise == Noise.BOUNCE
                                ? mends.otherBall(p, Mend.Kind.QUIETER_BALL, silent)
                                : java.util.Optional.empty(),
                        () -> mends.otherTask(p)))
                .done());
    }

    private void breakables(Placed p) {
        Place place = view.setting().place();
        if (!place.breakables() || p.ladder().refuses(RefusedPlace.BREAKABLES)) return;
        List<KitKind> firm = view.balls(p).stream().filter(k -> !k.soft()).toList();
        if (firm.isEmpty()) return;
        out.add(Found.stop(Code.BREAKABLES)
                .at(p)
                .figure("ball", firm.get(0).name())
                .school(Finding.School.SAFETY)
                .mend(mends.first(
                        () -> mends.otherBall(p, Mend.Kind.SOFTER_BALL, KitKind::soft),
                        () -> mends.otherTask(p),
                        () -> mends.remove(p)))
                .done());
    }

    private void rollsAway(Placed p) {
        Place place = view.setting().place();
        if (!place.cars() && !place.openWater()) return;
        List<KitKind> rolling = view.balls(p).stream().filter(KitKind::rolls).toList();
        if (rolling.isEmpty()) return;
        out.add(Found.stop(Code.ROLLS_AWAY)
                .at(p)
                .figure("ball", rolling.get(0).name())
                .figure("to", place.cars() ? "CARS" : "OPEN_WATER")
                .school(Finding.School.SAFETY)
                .mend(mends.first(
                        () -> mends.otherBall(p, Mend.Kind.SOFTER_BALL, k -> !k.rolls()),
                        () -> mends.otherTask(p),
                        () -> mends.remove(p)))
                .done());
    }

    private void claps(Placed p) {
        Double ceiling = view.setting().place().size().ceilingM();
        if (ceiling == null) return;
        List<Rung> tooMany = view.rungsInUse(p).stream()
                .filter(r -> r.claps() != null && r.claps() > clapsThatFit(p, ceiling))
                .toList();
        if (tooMany.isEmpty()) return;
        int most = tooMany.stream().mapToInt(Rung::claps).max().orElseThrow();
        int fit = clapsThatFit(p, ceiling);
        out.add(Found.stop(Code.CLAPS_TOO_MANY)
                .at(p)
                .figure("claps", most)
                .figure("fit", fit)
                .figure("haveM", ceiling)
                .school(Finding.School.FLIGHT)
                .mend(mends.first(
                        () -> mends.otherRung(p, r -> r.claps() == null || r.claps() <= fit),
                        () -> mends.otherTask(p),
                        () -> mends.remove(p)))
                .done());
    }

    private int clapsThatFit(Placed p, double ceilingM) {
        double radius = view.balls(p).stream()
                .filter(k -> k.sizeCm() != null)
                .mapToDouble(k -> k.sizeCm() / 200)
                .max()
                .orElse(USUAL_RADIUS_M);
        var usual = view.setting().planning().usual();
        return Toss.of(new Toss.TossAsk(
                        ceilingM,
                        usual.lampClearanceM(),
                        radius,
                        TOSS_RELEASE_M,
                        TOSS_CATCH_M,
                        usual.clapSec(),
                        usual.handsSec()))
                .claps();
    }
}
