package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.place.SideBySide.StationAsk;
import org.unrulymarble.core.place.SideBySide.Way;
import org.unrulymarble.core.place.StationFloor.Shape;

/** The rectangles that a station's spots may make in a room, whatever lies beside them. */
final class StationShapes {

    private final Place place;

    StationShapes(Place place) {
        this.place = place;
    }

    /** Every way in which so many spots of a station may lie: rows and columns, along the room or across it, at each wall that reaches. */
    List<Shape> of(StationAsk s, int spots) {
        Footprint f = s.footprint();
        Double ceilingM = place.size().ceilingM();
        if (f.heightM() != null && ceilingM != null && f.heightM() > ceilingM + 1e-9) return List.of();
        List<Shape> out = new ArrayList<>();
        if (f.needsWall()) {
            for (FreeWall wall : place.walls()) if (reaches(s, wall)) out.add(atWall(f, spots, wall));
        } else {
            for (int rows = 1; rows <= spots; rows++) {
                int columns = (spots + rows - 1) / rows;
                if ((rows - 1) * columns >= spots) continue;
                // Who throws stands side by side: one deep along the throw.
                if (!f.oneRow() || columns == 1) turned(f, columns, rows, false, out);
                if (!f.oneRow() || rows == 1) turned(f, columns, rows, true, out);
            }
        }
        return out.stream().filter(shape -> inRoom(f, shape)).toList();
    }

    private boolean inRoom(Footprint f, Shape shape) {
        double edge = 2 * f.edgeM();
        FreeWall at = shape.wall();
        if (at == null)
            return shape.alongM() + edge <= place.size().lengthM() + 1e-9
                    && shape.acrossM() + edge <= place.size().widthM() + 1e-9;
        double run = at.alongLength() ? shape.alongM() : shape.acrossM();
        double depth = at.alongLength() ? shape.acrossM() : shape.alongM();
        return run + edge <= at.stretch().runM() + 1e-9
                && depth + f.edgeM() <= at.stretch().depthM() + 1e-9;
    }

    private static boolean reaches(StationAsk s, FreeWall wall) {
        return s.markM() == null || wall.stretch().reaches(s.markM());
    }

    private static Shape atWall(Footprint f, int spots, FreeWall wall) {
        return wall.alongLength()
                ? new Shape(spots, 1, f.widthM(), f.lengthM(), f.gapM(), way(wall), wall)
                : new Shape(1, spots, f.lengthM(), f.widthM(), f.gapM(), way(wall), wall);
    }

    private static void turned(Footprint f, int columns, int rows, boolean turned, List<Shape> out) {
        double along = turned ? f.widthM() : f.lengthM();
        double across = turned ? f.lengthM() : f.widthM();
        if (!f.oneRow()) {
            out.add(new Shape(columns, rows, along, across, f.gapM(), null, null));
            return;
        }
        for (Way way : turned ? List.of(Way.BOTTOM, Way.TOP) : List.of(Way.RIGHT, Way.LEFT))
            out.add(new Shape(columns, rows, along, across, f.gapM(), way, null));
    }

    /** Where the ball goes: at the wall. */
    static Way way(FreeWall wall) {
        return Way.valueOf(wall.edge().name());
    }
}
