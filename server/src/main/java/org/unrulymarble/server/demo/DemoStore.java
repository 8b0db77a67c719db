package org.unrulymarble.server.demo;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.place.Feature;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Surface;
import org.unrulymarble.core.place.Wall;

/** The demo's rooms and kit. */
final class DemoStore {

    private DemoStore() {}

    static Map<String, Place> spaces() {
        Map<String, Place> spaces = new LinkedHashMap<>();
        spaces.put(
                "Sail loft",
                Place.of(
                        new Space(9.2, 6.4, 2.7, new Wall(9.2, 6.4)),
                        Surface.WOOD,
                        Place.Wet.NEVER,
                        Feature.inWall(Feature.Kind.WAY_OUT, Feature.Edge.RIGHT, 4.6, 1.2),
                        Feature.inWall(Feature.Kind.WINDOW, Feature.Edge.RIGHT, 0.8, 3.0),
                        Feature.inWall(Feature.Kind.WINDOW, Feature.Edge.LEFT, 1.5, 3.0)));
        spaces.put(
                "Cloakroom corridor",
                Place.of(
                                new Space(14.0, 1.9, 2.4, null),
                                Surface.TILES,
                                Place.Wet.NEVER,
                                Feature.inWall(Feature.Kind.WAY_OUT, Feature.Edge.LEFT, 0.3, 1.3),
                                Feature.inWall(Feature.Kind.DOOR, Feature.Edge.RIGHT, 0.4, 0.9))
                        .withLowLamps());
        spaces.put(
                "Net store",
                Place.of(
                        new Space(12.5, 7.5, 4.1, new Wall(7.5, 12.5)),
                        Surface.CONCRETE,
                        Place.Wet.NEVER,
                        Feature.inWall(Feature.Kind.WAY_OUT, Feature.Edge.RIGHT, 0.0, 7.5),
                        new Feature(Feature.Kind.OBSTACLE, Feature.Edge.BOTTOM, 8.5, 2.5, 0.8)));
        spaces.put(
                "Classroom, desks back",
                Place.of(
                                new Space(5.6, 4.4, 2.6, null),
                                Surface.CARPET,
                                Place.Wet.NEVER,
                                Feature.inWall(Feature.Kind.DOOR, Feature.Edge.LEFT, 3.2, 0.9),
                                Feature.inWall(Feature.Kind.WINDOW, Feature.Edge.TOP, 0.6, 4.2))
                        .withBreakables()
                        .withNeighboursBelow());
        spaces.put(
                "Rope yard",
                Place.of(
                        new Space(16.0, 10.0, null, new Wall(16.0, 10.0)),
                        Surface.TARMAC,
                        Place.Wet.MORNINGS,
                        Feature.inWall(Feature.Kind.WAY_OUT, Feature.Edge.RIGHT, 4.0, 2.4)));
        spaces.put(
                "Home corner",
                Place.of(new Space(2.0, 2.2, 2.4, null), Surface.ANY, Place.Wet.NEVER)
                        .withBreakables()
                        .withNeighboursBelow());
        return spaces;
    }

    static List<Kit.Held> kit(KitKinds kinds) {
        List<Kit.Held> kit = new ArrayList<>();
        add(kit, kinds, "tennis-ball", 14);
        add(kit, kinds, "foam-ball", 10);
        add(kit, kinds, "bean-bag", 8);
        add(kit, kinds, "netball", 6);
        add(kit, kinds, "small-rugby-ball", 5);
        add(kit, kinds, "indoor-hockey-stick", 4);
        add(kit, kinds, "low-cone", 12);
        add(kit, kinds, "hoop", 9);
        add(kit, kinds, "paper-cup", 30);
        add(kit, kinds, "chalk", null);
        add(kit, kinds, "masking-tape", null);
        add(kit, kinds, "sock-ball", null);
        return kit;
    }

    private static void add(List<Kit.Held> kit, KitKinds kinds, String id, Integer count) {
        Kit.Condition condition = id.equals("netball") ? Kit.Condition.WORN : Kit.Condition.GOOD;
        kit.add(new Kit.Held(kinds.kind(id).orElseThrow(), count, condition));
    }
}
