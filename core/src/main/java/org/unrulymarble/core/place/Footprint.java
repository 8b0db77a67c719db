package org.unrulymarble.core.place;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * The floor that one working spot takes.
 *
 * @param lengthM along the throw or the run, above 0 to 200 m
 * @param widthM across it, above 0 to 200 m
 * @param gapM free floor between two spots, 0 to 200 m
 * @param edgeM free floor to the edge of the room, 0 to 200 m
 * @param needsWall whether the spot stands at a free wall
 * @param oneRow whether all must stand side by side and send the ball the same way
 * @param heightM free height that the task needs, or null if any ceiling does
 */
public record Footprint(
        Double lengthM,
        Double widthM,
        Double gapM,
        Double edgeM,
        Boolean needsWall,
        Boolean oneRow,
        @Nullable Double heightM) {
    public Footprint {
        Checks checks = new Checks()
                .above("lengthM", lengthM, 0, 200)
                .above("widthM", widthM, 0, 200)
                .range("gapM", gapM, 0, 200)
                .range("edgeM", edgeM, 0, 200)
                .required("needsWall", needsWall)
                .required("oneRow", oneRow);
        if (heightM != null) checks.range("heightM", heightM, 0, 200);
        checks.done();
    }

    /** The shorter side. */
    public double narrowestM() {
        return Math.min(lengthM, widthM);
    }
}
