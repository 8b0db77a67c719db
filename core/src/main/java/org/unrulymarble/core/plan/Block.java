package org.unrulymarble.core.plan;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.ladder.Modifier;

/**
 * One block of a lesson as the teacher sets it. How many turns it takes is never typed: the plan works it out.
 *
 * @param id lasting within the lesson
 * @param sides which sides are asked on a two-sided rung; on any other rung it changes nothing
 * @param waitIsRest rest school: whether waiting for the others' turns counts as rest
 * @param counted whether results are collected; a warm-up is usually not counted
 * @param meanwhile the quiet task of the waves that wait for a spot, or null
 */
public record Block(
        String id,
        String ladderId,
        String rungId,
        List<Modifier> modifiers,
        Dose dose,
        Integer sets,
        SideChoice sides,
        Integer setupSec,
        Integer explainSec,
        Integer countInSec,
        Integer sideSwapSec,
        Integer turnSwapSec,
        Integer restSec,
        Boolean waitIsRest,
        Boolean counted,
        Task meanwhile) {

    /** Which sides a two-sided rung is done on in this block. */
    public enum SideChoice {
        EACH,
        FIRST_ONLY,
        SECOND_ONLY
    }

    /** A rung of a ladder. */
    public record Task(String ladderId, String rungId) {
        public Task {
            new Checks()
                    .text("ladderId", ladderId, 60)
                    .text("rungId", rungId, 60)
                    .done();
        }
    }

    public Block {
        modifiers = modifiers == null ? List.of() : List.copyOf(modifiers);
        new Checks()
                .text("id", id, 60)
                .text("ladderId", ladderId, 60)
                .text("rungId", rungId, 60)
                .required("dose", dose)
                .range("sets", sets, 1, 60)
                .required("sides", sides)
                .seconds("setupSec", setupSec)
                .seconds("explainSec", explainSec)
                .seconds("countInSec", countInSec)
                .seconds("sideSwapSec", sideSwapSec)
                .seconds("turnSwapSec", turnSwapSec)
                .seconds("restSec", restSec)
                .required("waitIsRest", waitIsRest)
                .required("counted", counted)
                .done();
    }
}
