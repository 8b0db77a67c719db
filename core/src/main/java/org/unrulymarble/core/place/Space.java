package org.unrulymarble.core.place;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * A room or yard as the reckonings see it.
 *
 * @param lengthM 0 to 200 m
 * @param widthM 0 to 200 m
 * @param ceilingM 0 to 200 m, or null under open sky
 * @param wall the free wall, or null
 */
public record Space(
        Double lengthM,
        Double widthM,
        @Nullable Double ceilingM,
        @Nullable Wall wall) {
    public Space {
        Checks checks = new Checks().range("lengthM", lengthM, 0, 200).range("widthM", widthM, 0, 200);
        if (ceilingM != null) checks.range("ceilingM", ceilingM, 0, 200);
        checks.done();
    }

    public double longestM() {
        return Math.max(lengthM, widthM);
    }

    /** Whether the free wall is no longer than that. */
    public boolean wallIsAtMost(double m) {
        return wall == null || Rounding.fits(wall.runM(), m);
    }

    /** The floor in front of the wall that there can be: across the room from where the wall runs. */
    public double besideWallM() {
        double alongLength = wallIsAtMost(lengthM) ? widthM : 0;
        double alongWidth = wallIsAtMost(widthM) ? lengthM : 0;
        return Math.max(alongLength, alongWidth);
    }

    /** Whether wall and floor in front of it are inside the room. */
    public boolean wallFits() {
        return wall == null || Rounding.fits(wall.depthM(), besideWallM());
    }
}
