package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * How many can work in a space at once, set out in rows. A plain grid: a cleverer packing may hold more.
 *
 * @param spots how many spots fit
 * @param waves how many waves the pupils make; 0 for no pupils, null where nothing fits
 * @param rows spots across the rows, 0 where nothing fits
 * @param columns spots in a row, 0 where nothing fits
 * @param placed the rectangles, 2,000 at most, measured from the corner of the room where wall and length begin; the wall runs along y = 0
 * @param reason why nothing fits, or null
 */
public record Spots(
        long spots,
        @Nullable Integer waves,
        long rows,
        long columns,
        List<Placed> placed,
        @Nullable Reason reason) {

    /** As many rectangles as anybody can draw; the count goes on. */
    private static final int MOST_PLACED = 2000;

    /** Far beyond any room, and small enough that rows times columns can be counted. */
    private static final double MOST_ALONG = 1e9;

    /** Why a space holds no spot. */
    public enum Reason {
        NO_WALL,
        WALL_TOO_SHORT,
        TOO_LITTLE_DEPTH,
        /** The mark would be above the free part of every wall. */
        WALL_TOO_LOW,
        CEILING_TOO_LOW,
        FLOOR_TOO_SMALL,
        /** Every spot would stand before a door, a way out, stairs, an obstacle or a window. */
        NOTHING_LEFT_FREE,
        /** It would fit alone, and not beside the other stations of its circuit. */
        NO_ROOM_BESIDE
    }

    /** The same grid with its rectangles where they lie in a room. */
    Spots at(List<Placed> inRoom) {
        return new Spots(spots, waves, rows, columns, List.copyOf(inRoom), reason);
    }

    /** The same grid with only these of its rectangles, and the waves that they make. */
    Spots only(List<Placed> left, int pupils, int perSpot) {
        if (left.isEmpty()) return new Spots(0, pupils == 0 ? 0 : null, 0, 0, List.of(), Reason.NOTHING_LEFT_FREE);
        int crowd = Rounding.ceil((double) pupils / ((double) left.size() * perSpot));
        return new Spots(left.size(), pupils == 0 ? 0 : Math.max(1, crowd), rows, columns, List.copyOf(left), null);
    }

    /** One spot on the floor, in metres; x along the room's length (or the wall), y across it (or away from the wall). */
    public record Placed(double xM, double yM, double alongM, double acrossM) {}

    /** The question: which space, which footprint, for how many pupils, how many of them to a spot. */
    public record SpotsAsk(@Nullable Space space, Footprint footprint, Integer pupils, Integer perSpot) {
        public SpotsAsk {
            new Checks()
                    .required("space", space)
                    .required("footprint", footprint)
                    .range("pupils", pupils, 0, 500)
                    .range("perSpot", perSpot, 1, 500)
                    .done();
        }
    }

    /** Source: the house's reckoning "spots"; along(room, size) = floor((room - 2 edge + gap) / (size + gap)), not below 0. */
    public static Spots of(SpotsAsk ask) {
        Space room = ask.space();
        Footprint f = ask.footprint();
        if (f.heightM() != null && room.ceilingM() != null && !Rounding.fits(f.heightM(), room.ceilingM()))
            return none(ask, Reason.CEILING_TOO_LOW);
        return f.needsWall() ? atWall(ask) : onFloor(ask);
    }

    private static Spots atWall(SpotsAsk ask) {
        Wall wall = ask.space().wall();
        Footprint f = ask.footprint();
        if (wall == null) return none(ask, Reason.NO_WALL);
        if (!Rounding.fits(f.lengthM() + f.edgeM(), wall.depthM())) return none(ask, Reason.TOO_LITTLE_DEPTH);
        long columns = along(wall.runM(), f.widthM(), f);
        if (columns == 0) return none(ask, Reason.WALL_TOO_SHORT);
        return placed(ask, columns, 1, f.widthM(), f.lengthM(), 0);
    }

    private static Spots onFloor(SpotsAsk ask) {
        Space room = ask.space();
        Footprint f = ask.footprint();
        long lengthwise = along(room.lengthM(), f.lengthM(), f);
        long acrossLength = along(room.widthM(), f.widthM(), f);
        long crosswise = along(room.lengthM(), f.widthM(), f);
        long acrossCross = along(room.widthM(), f.lengthM(), f);
        if (f.oneRow()) {
            lengthwise = Math.min(lengthwise, 1);
            acrossCross = Math.min(acrossCross, 1);
        }
        long straight = lengthwise * acrossLength;
        long turned = crosswise * acrossCross;
        if (straight == 0 && turned == 0) return none(ask, Reason.FLOOR_TOO_SMALL);
        return straight >= turned
                ? placed(ask, lengthwise, acrossLength, f.lengthM(), f.widthM(), f.edgeM())
                : placed(ask, crosswise, acrossCross, f.widthM(), f.lengthM(), f.edgeM());
    }

    /** How many of {@code sizeM} stand along {@code roomM}. */
    private static long along(double roomM, double sizeM, Footprint f) {
        double fit = Math.floor((roomM - 2 * f.edgeM() + f.gapM()) / (sizeM + f.gapM()) + Rounding.SLACK);
        return (long) Math.max(0, Math.min(MOST_ALONG, fit));
    }

    private static Spots placed(SpotsAsk ask, long columns, long rows, double alongM, double acrossM, double firstYM) {
        Footprint f = ask.footprint();
        List<Placed> rectangles = new ArrayList<>();
        for (int row = 0; row < rows && rectangles.size() < MOST_PLACED; row++)
            for (int column = 0; column < columns && rectangles.size() < MOST_PLACED; column++)
                rectangles.add(new Placed(
                        f.edgeM() + column * (alongM + f.gapM()),
                        firstYM + row * (acrossM + f.gapM()),
                        alongM,
                        acrossM));
        long spots = columns * rows;
        int crowd = Rounding.ceil((double) ask.pupils() / ((double) spots * ask.perSpot()));
        int waves = ask.pupils() == 0 ? 0 : Math.max(1, crowd);
        return new Spots(spots, waves, rows, columns, List.copyOf(rectangles), null);
    }

    private static Spots none(SpotsAsk ask, Reason reason) {
        return none(ask.pupils(), reason);
    }

    static Spots none(int pupils, Reason reason) {
        return new Spots(0, pupils == 0 ? 0 : null, 0, 0, List.of(), reason);
    }
}
