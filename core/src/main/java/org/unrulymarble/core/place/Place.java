package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;

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
 * @param otherWalls free walls besides the one that {@code size} has
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
        List<Feature> features,
        List<FreeWall> otherWalls) {

    private static final int MOST_OTHER_WALLS = 7;

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
        otherWalls = otherWalls == null ? List.of() : Collections.unmodifiableList(new ArrayList<>(otherWalls));
        new Checks()
                .required("size", size)
                .entries("features", features, 0, 40)
                .entries("otherWalls", otherWalls, 0, MOST_OTHER_WALLS)
                .done();
        checkWalls(size, otherWalls);
    }

    /** A space with the one wall that its size has, or none. */
    public Place(
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
        this(
                size,
                surface,
                wet,
                breakables,
                neighboursBelow,
                othersWall,
                cars,
                openWater,
                lowLamps,
                features,
                List.of());
    }

    /** Each lies on its side of the room with the floor before it inside, and none on another. */
    private static void checkWalls(Space size, List<FreeWall> others) {
        Checks checks = new Checks();
        List<FreeWall> before = new ArrayList<>(first(size));
        for (int i = 0; i < others.size(); i++) {
            FreeWall w = others.get(i);
            String at = "otherWalls[" + i + "].";
            double side = w.sideM(size);
            checks.that(Rounding.fits(w.fromM(), side), at + "fromM", Fault.Rule.RANGE, 0, side);
            if (Rounding.fits(w.fromM(), side))
                checks.that(Rounding.fits(w.endM(), side), at + "stretch.runM", Fault.Rule.RANGE, 0, side - w.fromM());
            checks.that(
                            Rounding.fits(w.stretch().depthM(), w.acrossM(size)),
                            at + "stretch.depthM",
                            Fault.Rule.RANGE,
                            0,
                            w.acrossM(size))
                    .that(before.stream().noneMatch(w::overlaps), at + "fromM", Fault.Rule.WALLS_MEET);
            before.add(w);
        }
        checks.done();
    }

    /** All free walls, the first one first. */
    public List<FreeWall> walls() {
        if (otherWalls.isEmpty()) return first(size);
        List<FreeWall> all = new ArrayList<>(first(size));
        all.addAll(otherWalls);
        return all;
    }

    private static List<FreeWall> first(Space size) {
        if (size.wall() == null) return List.of();
        return List.of(new FreeWall(wallAlongLength(size) ? Feature.Edge.TOP : Feature.Edge.LEFT, 0.0, size.wall()));
    }

    /** The same room with these free walls besides its first. */
    public Place withOtherWalls(FreeWall... walls) {
        return new Place(
                size,
                surface,
                wet,
                breakables,
                neighboursBelow,
                othersWall,
                cars,
                openWater,
                lowLamps,
                features,
                List.of(walls));
    }

    /** A space of which only the size is known. */
    public static Place of(Space size) {
        return new Place(size, null, null, null, null, null, null, null, null, null, null);
    }

    /** A space without dangers of its own. */
    public static Place of(Space size, Surface surface, Wet wet, Feature... features) {
        return new Place(size, surface, wet, null, null, null, null, null, null, List.of(features));
    }

    /** The same with things that break. */
    public Place withBreakables() {
        return new Place(
                size, surface, wet, true, neighboursBelow, othersWall, cars, openWater, lowLamps, features, otherWalls);
    }

    /** The same with somebody below who hears every bounce. */
    public Place withNeighboursBelow() {
        return new Place(
                size, surface, wet, breakables, true, othersWall, cars, openWater, lowLamps, features, otherWalls);
    }

    /** The same with lamps that hang below the ceiling. */
    public Place withLowLamps() {
        return new Place(
                size,
                surface,
                wet,
                breakables,
                neighboursBelow,
                othersWall,
                cars,
                openWater,
                true,
                features,
                otherWalls);
    }

    /** Whether the free wall runs along the length, at the top; else it runs along the width, at the left. */
    public boolean wallAlongLength() {
        return wallAlongLength(size);
    }

    private static boolean wallAlongLength(Space size) {
        Wall wall = size.wall();
        return wall == null || (wall.runM() <= size.lengthM() + 1e-9 && wall.depthM() <= size.widthM() + 1e-9);
    }

    public boolean has(Feature.Kind kind) {
        return features.stream().anyMatch(f -> f.kind() == kind);
    }
}
