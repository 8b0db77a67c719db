package org.unrulymarble.core.place;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * The free stretch of wall.
 *
 * @param runM length along the wall, 0 to 200 m
 * @param depthM free floor in front of it, 0 to 200 m
 * @param heightM how high it is free, 0 to 200 m, or null as high as anybody throws
 * @param holds what is on it, in the teacher's words, or null
 */
public record Wall(
        Double runM,
        Double depthM,
        @Nullable Double heightM,
        @Nullable String holds) {
    private static final int HOLDS_LETTERS = 80;

    public Wall {
        holds = holds == null || holds.isBlank() ? null : holds;
        Checks checks = new Checks().range("runM", runM, 0, 200).range("depthM", depthM, 0, 200);
        if (heightM != null) checks.range("heightM", heightM, 0, 200);
        if (holds != null) checks.text("holds", holds, HOLDS_LETTERS);
        checks.done();
    }

    /** A wall of which only run and floor are known. */
    public Wall(Double runM, Double depthM) {
        this(runM, depthM, null, null);
    }

    /** Whether a mark so high is still on it. */
    public boolean reaches(double m) {
        return heightM == null || m <= heightM + 1e-9;
    }
}
