package org.unrulymarble.core.ladder;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.measure.Furthest;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.HitsOfN;
import org.unrulymarble.core.measure.LongestRun;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Stairs;
import org.unrulymarble.core.measure.TimeForN;

/**
 * One rung of a ladder.
 *
 * @param id lasting, within the ladder; never reused for another task
 * @param lever the one thing changed against the rung below, {@code change} says how
 * @param task what to do, so that a child who has never seen it can start and knows when to stop
 * @param unit what one counted thing is called in the plural, such as "catches"
 * @param manner how this rung wants to be done
 * @param claps claps under the toss, 0 to 20, or null where nothing is clapped
 * @param heightM free height that this rung needs, or null for that of its ladder
 * @param standM distance from wall, partner or target, 0 to 200, or null where there is none
 * @param measure how a round is scored, with the figures that it needs
 * @param gate what opens the next rung
 * @param calls what is called at random, or null where nothing is
 * @param delivery the ball that comes at whoever works, or null
 * @param figures of its own that its sentences name: in metres where the name ends in M, seconds in Sec, shoe lengths in Shoes
 * @param kit how its kit differs from its ladder's
 * @param steps what is done one after the other, for a warm-up, a cool-down or a routine; else empty
 */
@JsonIgnoreProperties(value = "ways", allowGetters = true)
public record Rung(
        String id,
        String name,
        Lever lever,
        String change,
        String task,
        String counts,
        String countsNot,
        Sides sides,
        Measure measure,
        String unit,
        Gate gate,
        Pace pace,
        Doses doses,
        String easier,
        String harder,
        List<Modifier> modifiers,
        Manner manner,
        @Nullable Integer claps,
        @Nullable Double heightM,
        @Nullable Double standM,
        @Nullable RandomCalls calls,
        @Nullable Delivery delivery,
        List<String> steps,
        Map<String, Double> figures,
        RungKit kit) {

    /** How far a body reaches behind the toes that stand at the line; ours. */
    public static final double BODY_M = 0.3;

    public Rung {
        kit = kit == null ? RungKit.AS_ITS_LADDER : kit;
        manner = manner == null ? Manner.ANY : manner;
        steps = steps == null ? List.of() : List.copyOf(steps);
        figures = figures == null ? Map.of() : Map.copyOf(figures);
        modifiers = modifiers == null ? List.of() : List.copyOf(modifiers);
        Checks checks = new Checks()
                .text("id", id, 40)
                .text("name", name, 100)
                .required("lever", lever)
                .text("change", change, 160)
                .text("task", task, 600)
                .text("counts", counts, 160)
                .text("countsNot", countsNot, 160)
                .required("sides", sides)
                .required("measure", measure)
                .text("unit", unit, 30)
                .required("gate", gate)
                .required("pace", pace)
                .required("doses", doses)
                .text("easier", easier, 160)
                .text("harder", harder, 160)
                .entries("steps", steps, 0, 20);
        if (claps != null) checks.range("claps", claps, 0, 20);
        if (heightM != null) checks.range("heightM", heightM, 0, 200);
        if (standM != null) checks.length("standM", standM);
        if (measure != null && gate != null)
            checks.that(measure.mayHave(gate), "gate", Fault.Rule.ONE_OF, "reach alone");
        figures.forEach((figure, value) -> checks.range("figures." + figure, value, 0, Checks.MAX_SEC));
        checks.done();
    }

    /** Each sentence can be filled from the figures that this rung has. */
    void sentences(Checks checks, String at) {
        Map<String, Object> named = Figures.of(this).named();
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("name", name);
        texts.put("change", change);
        texts.put("task", task);
        texts.put("counts", counts);
        texts.put("countsNot", countsNot);
        texts.put("easier", easier);
        texts.put("harder", harder);
        texts.forEach((field, text) -> {
            try {
                for (String figure : Message.names(text))
                    checks.that(named.containsKey(figure), at + field, Fault.Rule.UNKNOWN, "{" + figure + "}");
            } catch (IllegalArgumentException e) {
                checks.that(false, at + field, Fault.Rule.UNKNOWN, "{");
            }
        });
    }

    /** From wall, partner or target to behind the one who works, at the end of a way back that its gate asks for; 0 where nobody stands off. */
    double wayM() {
        return wayM(standM, gate);
    }

    /** The same with a lesson's own place and gate. */
    double wayM(Double from, Gate asked) {
        double standsM = from == null ? 0 : from;
        if (measure instanceof Furthest furthest) {
            Stairs stairs = furthest.stairs();
            boolean moved = from != null && !from.equals(standM);
            double startM = stairs.startM() == null || moved ? standsM : stairs.startM();
            standsM = Math.max(standsM, startM + asked.reach() * stairs.stepM());
        }
        return standsM == 0 ? 0 : standsM + BODY_M;
    }

    /** Its measure and those that a block may score it by instead. */
    @JsonProperty("ways")
    public List<Measure.Kind> ways() {
        return measure.ways();
    }

    /**
     * What opens the next rung where it is scored by another measure: the same row, share or pace, said so that it holds there. Where nothing was said
     * of a length, the planning dose has it.
     */
    public Gate gateUnder(Measure other) {
        if (other.kind() == measure.kind()) return gate;
        if (other instanceof TimeForN fixed) {
            double perSec = gate instanceof Gate.SoManyIn timed
                    ? (double) timed.reach() / timed.inSec()
                    : (double) gate.reach() / doses.clock().workSec();
            return new Gate.Reach(Math.max(1, Rounding.floor(fixed.n() / perSec)));
        }
        if (!(gate instanceof Gate.Reach)) return gate;
        if (measure instanceof LongestRun) return new Gate.InARow(gate.reach());
        if (measure instanceof HitsOfN hits) {
            int of = hits.n() == null ? doses.count().reps() : hits.n();
            return new Gate.SoManyOf(Math.min(gate.reach(), of), of);
        }
        if (measure instanceof TimeForN fixed) return new Gate.SoManyIn(fixed.n(), gate.reach());
        return new Gate.SoManyIn(gate.reach(), doses.clock().workSec());
    }

    /** Its sentences with its own figures. */
    public RungWords words() {
        return RungWords.of(Figures.of(this));
    }

    /** The same rung with its sentences as they read. */
    Rung with(RungWords words) {
        return new Rung(
                id,
                words.name(),
                lever,
                words.change(),
                words.task(),
                words.counts(),
                words.countsNot(),
                sides,
                measure,
                unit,
                gate,
                pace,
                doses,
                words.easier(),
                words.harder(),
                modifiers,
                manner,
                claps,
                heightM,
                standM,
                calls,
                delivery,
                steps,
                figures,
                kit);
    }
}
