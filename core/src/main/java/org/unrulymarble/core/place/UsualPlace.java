package org.unrulymarble.core.place;

/** Places that nearly every school or home has, with the measures that are usual there: a beginning, to be corrected with a tape. */
public enum UsualPlace {
    /** A school's corridor: long, narrow, a way out at one end and a door at the other. */
    CORRIDOR(Place.of(
                    new Space(14.0, 2.2, 2.6, null),
                    Surface.TILES,
                    Place.Wet.NEVER,
                    Feature.inWall(Feature.Kind.WAY_OUT, Feature.Edge.LEFT, 0.4, 1.4),
                    Feature.inWall(Feature.Kind.DOOR, Feature.Edge.RIGHT, 0.6, 1.0))
            .withLowLamps()),

    /** What is left of a classroom when the desks stand along the walls: no wall to play against. */
    CLASSROOM(Place.of(
                    new Space(6.5, 5.0, 2.8, null),
                    Surface.ANY,
                    Place.Wet.NEVER,
                    Feature.inWall(Feature.Kind.DOOR, Feature.Edge.LEFT, 3.6, 0.9),
                    Feature.inWall(Feature.Kind.WINDOW, Feature.Edge.TOP, 0.5, 5.5))
            .withBreakables()),

    /** A corner of a hall, with one wall to play against. */
    HALL_CORNER(Place.of(
            new Space(9.0, 6.0, 4.5, new Wall(9.0, 6.0)),
            Surface.WOOD,
            Place.Wet.NEVER,
            Feature.inWall(Feature.Kind.WAY_OUT, Feature.Edge.RIGHT, 4.0, 1.8))),

    /** A yard under a roof, open at one side. */
    COVERED_YARD(Place.of(
            new Space(12.0, 7.0, 3.2, new Wall(12.0, 7.0)),
            Surface.CONCRETE,
            Place.Wet.MORNINGS,
            Feature.inWall(Feature.Kind.WAY_OUT, Feature.Edge.RIGHT, 2.0, 4.0))),

    /** A yard under the sky, with one wall. */
    YARD(Place.of(
            new Space(18.0, 10.0, null, new Wall(12.0, 10.0)),
            Surface.TARMAC,
            Place.Wet.MORNINGS,
            Feature.inWall(Feature.Kind.WAY_OUT, Feature.Edge.RIGHT, 4.0, 2.4))),

    /** A room in a flat: somebody lives below, and things stand about. */
    FLAT(Place.of(
                    new Space(3.0, 2.5, 2.4, null),
                    Surface.ANY,
                    Place.Wet.NEVER,
                    Feature.inWall(Feature.Kind.DOOR, Feature.Edge.LEFT, 1.5, 0.8))
            .withBreakables()
            .withNeighboursBelow());

    private final Place place;

    UsualPlace(Place place) {
        this.place = place;
    }

    public Place place() {
        return place;
    }
}
