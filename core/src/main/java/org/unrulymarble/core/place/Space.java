package org.unrulymarble.core.place;

import org.unrulymarble.core.check.Checks;

/**
 * A room or yard as the reckonings see it.
 *
 * @param lengthM 0 to 200 m
 * @param widthM 0 to 200 m
 * @param ceilingM 0 to 200 m, or null under open sky
 * @param wall the free wall, or null
 */
public record Space(Double lengthM, Double widthM, Double ceilingM, Wall wall) {
    public Space {
        Checks checks = new Checks().range("lengthM", lengthM, 0, 200).range("widthM", widthM, 0, 200);
        if (ceilingM != null) checks.range("ceilingM", ceilingM, 0, 200);
        checks.done();
    }
}
