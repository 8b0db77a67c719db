package org.unrulymarble.core.ladder;

import java.util.List;
import org.unrulymarble.core.check.Checks;

/**
 * One rung of a ladder.
 *
 * @param id lasting, within the ladder; never reused for another task
 * @param lever the one thing changed against the rung below, {@code change} says how
 * @param task what to do, so that a child who has never seen it can start and knows when to stop
 * @param unit what one counted thing is called in the plural, such as "catches"
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
        List<Modifier> modifiers) {

    public Rung {
        modifiers = modifiers == null ? List.of() : List.copyOf(modifiers);
        new Checks()
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
                .done();
    }
}
