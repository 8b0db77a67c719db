package org.unrulymarble.core.place;

import org.unrulymarble.core.check.Checks;

/**
 * The free stretch of wall.
 *
 * @param runM length along the wall, 0 to 200 m
 * @param depthM free floor in front of it, 0 to 200 m
 */
public record Wall(Double runM, Double depthM) {
    public Wall {
        new Checks().range("runM", runM, 0, 200).range("depthM", depthM, 0, 200).done();
    }
}
