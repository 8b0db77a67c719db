package org.unrulymarble.core.ladder;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;

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
 * @param steps what is done one after the other, for a warm-up, a cool-down or a routine; else empty
 */
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
        Integer claps,
        Double heightM,
        Double standM,
        RandomCalls calls,
        Delivery delivery,
        List<String> steps) {

    public Rung {
        manner = manner == null ? Manner.ANY : manner;
        steps = steps == null ? List.of() : List.copyOf(steps);
        modifiers = modifiers == null ? List.of() : List.copyOf(modifiers);
        Checks checks = new Checks()
                .text("id", id, 40)
                .text("name", name, 60)
                .required("lever", lever)
                .text("change", change, 160)
                .text("task", task, 400)
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
        checks.done();
    }
}
