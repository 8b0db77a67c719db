package org.unrulymarble.core.place;

import java.util.List;
import org.unrulymarble.core.check.Checks;

/**
 * A space with all that decides what may be done there.
 *
 * @param wet whether the floor is wet, and when
 * @param breakables lamps without a guard, displays, pots
 * @param neighboursBelow somebody who hears every bounce
 * @param othersWall the wall belongs to somebody who has to be asked
 * @param cars traffic beside it
 * @param openWater water to fall into
 * @param lowLamps lamps that hang below the ceiling
 */
public record Place(
        Space size,
        Surface surface,
        Wet wet,
        Boolean breakables,
        Boolean neighboursBelow,
        Boolean othersWall,
        Boolean cars,
        Boolean openWater,
        Boolean lowLamps,
        List<Feature> features) {

    /** When the floor is wet. */
    public enum Wet {
        NEVER,
        MORNINGS,
        NOW
    }

    public Place {
        surface = surface == null ? Surface.ANY : surface;
        wet = wet == null ? Wet.NEVER : wet;
        breakables = breakables != null && breakables;
        neighboursBelow = neighboursBelow != null && neighboursBelow;
        othersWall = othersWall != null && othersWall;
        cars = cars != null && cars;
        openWater = openWater != null && openWater;
        lowLamps = lowLamps != null && lowLamps;
        features = features == null ? List.of() : List.copyOf(features);
        new Checks().required("size", size).entries("features", features, 0, 40).done();
    }

    /** A space of which only the size is known. */
    public static Place of(Space size) {
        return new Place(size, null, null, null, null, null, null, null, null, null);
    }

    /** A space without dangers of its own. */
    public static Place of(Space size, Surface surface, Wet wet, Feature... features) {
        return new Place(size, surface, wet, null, null, null, null, null, null, List.of(features));
    }

    /** The same with things that break. */
    public Place withBreakables() {
        return new Place(size, surface, wet, true, neighboursBelow, othersWall, cars, openWater, lowLamps, features);
    }

    /** The same with somebody below who hears every bounce. */
    public Place withNeighboursBelow() {
        return new Place(size, surface, wet, breakables, true, othersWall, cars, openWater, lowLamps, features);
    }

    /** The same with lamps that hang below the ceiling. */
    public Place withLowLamps() {
        return new Place(size, surface, wet, breakables, neighboursBelow, othersWall, cars, openWater, true, features);
    }

    /** Whether the free wall runs along the length, at the top; else it runs along the width, at the left. */
    public boolean wallAlongLength() {
        Wall wall = size.wall();
        return wall == null || (wall.runM() <= size.lengthM() + 1e-9 && wall.depthM() <= size.widthM() + 1e-9);
    }

    public boolean has(Feature.Kind kind) {
        return features.stream().anyMatch(f -> f.kind() == kind);
    }

    /** Whether a window lies in the free wall. */
    public boolean windowInWall() {
        Feature.Edge edge = wallAlongLength() ? Feature.Edge.TOP : Feature.Edge.LEFT;
        return size.wall() != null
                && features.stream().anyMatch(f -> f.kind() == Feature.Kind.WINDOW && f.edge() == edge);
    }
}
