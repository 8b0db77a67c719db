package org.unrulymarble.core.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.chance.GateChance;
import org.unrulymarble.core.chance.RateSpread;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.ladder.Pace;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.measure.StepsHeld;
import org.unrulymarble.core.place.FreeWall;
import org.unrulymarble.core.place.Space;

/**
 * What a dose asks of this class: how long it takes them and how many get there, from their own ability and, for whoever has no try on this ladder,
 * from the rung's planning rate with wide uncertainty.
 *
 * @param byPlanningRate pupils without a counted try on the ladder
 * @param halfSec seconds of one round until half of them are through; null by clock and by staircase, or beyond three limits
 * @param fourOfFiveSec the same for four of five
 * @param reachGate how many can be expected to meet the gate in the block; null where that cannot be told
 * @param stepLikely by staircase: the furthest step that half of the class hold in the round; with low and high a tenth and nine tenths
 */
public record Pacing(
        int byPlanningRate,
        @Nullable Double halfSec,
        @Nullable Double fourOfFiveSec,
        @Nullable Double reachGate,
        @Nullable Integer stepLow,
        @Nullable Integer stepLikely,
        @Nullable Integer stepHigh) {

    private static final double LONGEST = 3;
    private static final double STEP_SEC = 1;

    static Pacing of(Placed placed, Setting setting) {
        if (!placed.isTask()) return new Pacing(0, null, null, null, null, null, null);
        RateSpread rates = GateOdds.rates(placed, setting);
        int unknown = (int) placed.members(setting).stream()
                .filter(pupil ->
                        setting.standings().able(pupil.id(), placed.ladder()).isEmpty())
                .count();
        return switch (placed.block().dose().type()) {
            case CLOCK -> new Pacing(unknown, null, null, reach(placed, rates, setting), null, null, null);
            case STAIRCASE -> staircase(placed, rates, unknown, setting);
            case COUNT, GATE, SELF_PACED -> {
                Map<Double, Double> known = new HashMap<>();
                DoubleUnaryOperator asked = through(placed, rates);
                DoubleUnaryOperator through = sec -> known.computeIfAbsent(sec, asked::applyAsDouble);
                double longest = LONGEST * placed.workSec();
                yield new Pacing(
                        unknown,
                        until(through, 0.5, longest),
                        until(through, 0.8, longest),
                        reach(placed, rates, setting),
                        null,
                        null,
                        null);
            }
        };
    }

    /** Share of the class that is through after so many seconds of one round. */
    private static DoubleUnaryOperator through(Placed placed, RateSpread rates) {
        Rung rung = placed.rung();
        Pace pace = rung.pace();
        BlockDose dose = placed.block().dose();
        Gate gate = GateOdds.gate(placed);
        Measure measure = InForce.measure(placed, rung);
        if (dose.type() == BlockDose.Type.GATE && GateChance.known(measure, gate))
            return sec -> rates.mean(p -> GateChance.within(measure, gate, pace, p, sec));
        Integer reps = placed.reps();
        int n = reps == null ? rung.doses().count().reps() : reps;
        return measure.byGoes()
                ? sec -> rates.mean(p -> GateChance.triesWithin(n, pace, p, sec))
                : sec -> rates.mean(p -> GateChance.hitsWithin(n, pace, p, sec));
    }

    /** The share only grows with time, so halving finds the second. */
    private static Double until(DoubleUnaryOperator through, double share, double longest) {
        if (through.applyAsDouble(longest) < share) return null;
        double low = 0;
        double high = longest;
        while (high - low > STEP_SEC) {
            double middle = (low + high) / 2;
            if (through.applyAsDouble(middle) >= share) high = middle;
            else low = middle;
        }
        return Math.ceil(high);
    }

    private static Double reach(Placed placed, RateSpread rates, Setting setting) {
        return GateOdds.chance(placed, GateOdds.gate(placed), rates)
                .map(c -> c * placed.members(setting).size())
                .orElse(null);
    }

    private static Pacing staircase(Placed placed, RateSpread rates, int unknown, Setting setting) {
        Pace pace = placed.rung().pace();
        Stairs stairs = ((BlockDose.ByStaircase) placed.block().dose()).stairs();
        StepsHeld steps = StepsHeld.of(
                stairs,
                rates::quantile,
                new StepsHeld.Seconds(pace.hitSec(), pace.missSec(), pace.stepSec()),
                placed.workSec(),
                lastStep(placed, stairs, setting));
        return new Pacing(unknown, null, null, null, steps.low(), steps.likely(), steps.high());
    }

    private static Integer lastStep(Placed placed, Stairs stairs, Setting setting) {
        if (stairs.stepM() <= 0) return null;
        return Math.max(1, 1 + Rounding.floor(leftToStepBackM(placed, setting) / stairs.stepM()));
    }

    /** From the first place to where the room ends: before the free wall, the shallowest of those that are worked at, else along its longer side, with a body's room behind. May be below 0. */
    public static double leftToStepBackM(Placed placed, Setting setting) {
        Space room = setting.place().size();
        List<FreeWall> walls = setting.place().walls();
        boolean atWall = placed.ladder().footprint().needsWall() && !walls.isEmpty();
        double endM = atWall ? leastDepthM(placed, walls) : Math.max(room.lengthM(), room.widthM());
        Stairs own = InForce.stairs(placed, placed.rung());
        Double starts = placed.block().standM() != null
                ? placed.block().standM()
                : own != null && own.startM() != null
                        ? own.startM()
                        : placed.rung().standM();
        return endM - Rung.BODY_M - (starts == null ? 0 : starts);
    }

    private static double leastDepthM(Placed placed, List<FreeWall> walls) {
        return walls.stream()
                .filter(w -> placed.layout().atWalls().stream().anyMatch(at -> at.edge() == w.edge()))
                .mapToDouble(w -> w.stretch().depthM())
                .min()
                .orElse(walls.get(0).stretch().depthM());
    }
}
