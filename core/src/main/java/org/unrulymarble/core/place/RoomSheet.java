package org.unrulymarble.core.place;

import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * {@link Spots} with the people in it: who works, who counts or feeds, who waits. The crews spread evenly over the waves.
 *
 * @param working in the fullest wave
 * @param counting beside them: whoever of a spot does not work
 * @param waiting for a spot
 * @param partsToRotate until everybody at a spot has worked
 * @param turns waves times parts, 0 where nothing fits
 */
public record RoomSheet(Spots spots, int working, int counting, int waiting, int partsToRotate, int turns) {

    /** The question of the spots, and how many of a spot's crew work at once: 1 to perSpot. */
    public record RoomSheetAsk(Spots.SpotsAsk room, Integer workingPerSpot) {
        public RoomSheetAsk {
            new Checks()
                    .required("room", room)
                    .range("workingPerSpot", workingPerSpot, 1, 500)
                    .that(
                            room == null || workingPerSpot == null || workingPerSpot <= room.perSpot(),
                            "workingPerSpot",
                            Fault.Rule.AT_MOST_FIELD,
                            "perSpot")
                    .done();
        }
    }

    public static RoomSheet of(RoomSheetAsk ask) {
        Spots spots = Spots.of(ask.room());
        int pupils = ask.room().pupils();
        int perSpot = ask.room().perSpot();
        int crew = Math.max(1, Math.min(perSpot, pupils));
        int parts = ceil(crew, ask.workingPerSpot());
        int waves = spots.waves() == null ? 0 : spots.waves();
        if (waves == 0) return new RoomSheet(spots, 0, 0, pupils, parts, 0);
        int atSpots = Math.min(pupils, ceil(ceil(pupils, perSpot), waves) * perSpot);
        int working = Math.min(atSpots, ceil(atSpots, perSpot) * ask.workingPerSpot());
        return new RoomSheet(spots, working, atSpots - working, pupils - atSpots, parts, waves * parts);
    }

    private static int ceil(int a, int b) {
        return (a + b - 1) / b;
    }
}
