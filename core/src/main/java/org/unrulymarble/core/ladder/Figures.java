package org.unrulymarble.core.ladder;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.unrulymarble.core.measure.CourseTime;
import org.unrulymarble.core.measure.Furthest;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.HeldForTime;
import org.unrulymarble.core.measure.HitsOfN;
import org.unrulymarble.core.measure.KeepAll;
import org.unrulymarble.core.measure.MadeFromSpots;
import org.unrulymarble.core.measure.Match;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.NoBalls;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.measure.TimeForN;

/**
 * The figures of a rung that are in force: its own, or what a block says instead.
 *
 * @param until what ends a round
 * @param n how many tries a round has, null where the clock ends it
 * @param orReps fewer than n that may be chosen instead, in order; else empty
 * @param sec how long a round lasts, at most where something else ends it
 * @param stairs how it is stepped back, or null where nobody steps
 * @param markers how many markers lie of which one is called, or null where none is
 * @param sides how many sides are worked one after the other, 1 or 2
 */
public record Figures(
        Rung rung,
        Until until,
        Integer n,
        List<Integer> orReps,
        int sec,
        Measure measure,
        Gate gate,
        Stairs stairs,
        Double standM,
        Integer markers,
        int sides) {

    /** What ends a round. */
    public enum Until {
        CLOCK,
        COUNT,
        GATE,
        STAIRCASE,
        ALONE
    }

    /** As the ladder has them, with the dose that suits its measure. */
    public static Figures of(Rung rung) {
        boolean tries = rung.measure() instanceof HitsOfN || rung.measure() instanceof NoBalls;
        Integer of = rung.gate().outOf();
        return new Figures(
                rung,
                tries ? Until.COUNT : Until.CLOCK,
                tries ? of == null ? rung.doses().count().reps() : of : null,
                List.of(),
                rung.doses().clock().workSec(),
                rung.measure(),
                rung.gate(),
                rung.measure() instanceof Furthest furthest ? furthest.stairs() : null,
                rung.standM(),
                rung.calls() == null ? null : (Integer) rung.calls().words().size(),
                Side.of(rung.sides()).size());
    }

    /** What the sentences are filled from. */
    Map<String, Object> named() {
        Map<String, Object> named = new HashMap<>();
        rung.figures().forEach((name, value) -> named.put(name, said(name, value)));
        named.put("n", tries());
        named.put("sec", seconds(sec));
        named.put("bothSec", seconds(2.0 * sec));
        named.put("reach", gate.reach());
        if (gate.outOf() != null) named.put("of", gate.outOf());
        if (gate instanceof Gate.SoManyIn timed) named.put("inSec", seconds(timed.inSec()));
        if (rung.claps() != null) named.put("claps", rung.claps());
        if (standM != null) named.put("stand", length(standM));
        if (markers != null) named.put("markers", markers);
        if (measure instanceof MadeFromSpots spots) {
            named.put("spots", spots.spots());
            named.put("back", spots.spotBackM() == 0 ? "" : length(spots.spotBackM()));
            named.put("spotOrder", Message.ours("spots." + spots.spotOrder(), named));
            named.put("spotsLie", Message.ours(spots.spotBackM() == 0 ? "spots.round" : "spots.behind", named));
        }
        if (measure instanceof KeepAll keep) named.put("balls", keep.balls());
        if (measure instanceof Match match && match.targetScore() != null) named.put("toScore", match.targetScore());
        if (stairs != null) {
            named.put("makes", stairs.makesToStep());
            named.put("onMiss", stairs.onMiss().name());
            named.put("step", stairs.unit() == Stairs.Unit.SHOE ? shoes(1) : length(stairs.stepM()));
            Double startM = stairs.startM() == null ? standM : stairs.startM();
            if (startM != null)
                named.put(
                        "start",
                        stairs.unit() == Stairs.Unit.SHOE && stairs.stepM() > 0
                                ? shoes(startM / stairs.stepM())
                                : length(startM));
            named.put("stepping", Message.ours("stepping", named));
            named.put("places", Message.ours("places", named));
        }
        if (!orReps.isEmpty())
            named.put("fewer", orReps.stream().map(String::valueOf).collect(Collectors.joining(", ")));
        named.put("sides", sides);
        named.put("turn", rung.sides() == Sides.BOTH_DIRECTIONS ? "round" : "side");
        named.put("unit", rung.unit());
        named.put("goes", Message.ours(goes(), named));
        return named;
    }

    /** 0 where the clock ends the round: sentences then leave the number out. */
    private int tries() {
        if (measure instanceof TimeForN fixed) return fixed.n();
        return n == null ? 0 : n;
    }

    private String goes() {
        if (until == Until.COUNT && !orReps.isEmpty()) return "goes.choice";
        if (until == Until.COUNT)
            return measure instanceof HitsOfN || measure instanceof NoBalls ? "goes.tries" : "goes.count";
        if (until == Until.GATE) return "goes.gate";
        if (until == Until.STAIRCASE) return "goes.staircase";
        if (until == Until.ALONE) return "goes.alone";
        if (measure instanceof HeldForTime) return "goes.held";
        boolean ends = measure instanceof TimeForN || measure instanceof CourseTime || measure instanceof KeepAll;
        return ends ? "goes.done" : "goes.clock";
    }

    /** By its name: a figure that ends in M is a length in metres, one in Sec seconds, one in Shoes shoe lengths, any other a plain number. */
    private static Object said(String name, double value) {
        if (name.endsWith("M")) return length(value);
        if (name.endsWith("Sec")) return seconds(value);
        if (name.endsWith("Shoes")) return shoes(value);
        return value;
    }

    private static String length(double m) {
        return m < 1 ? Message.ours("length.cm", Map.of("cm", 100 * m)) : Message.ours("length.m", Map.of("m", m));
    }

    private static String seconds(double sec) {
        return Message.ours("seconds", Map.of("sec", sec));
    }

    private static String shoes(double n) {
        return Message.ours("length.shoes", Map.of("n", Math.round(n)));
    }
}
