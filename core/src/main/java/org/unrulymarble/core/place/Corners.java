package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.place.SideBySide.StationAsk;
import org.unrulymarble.core.place.StationFloor.Laid;
import org.unrulymarble.core.place.StationFloor.Shape;

/** Where a station may be pushed to on a floor. */
final class Corners {

    private final StationFloor floor;
    private final Space room;

    Corners(StationFloor floor, Space room) {
        this.floor = floor;
        this.room = room;
    }

    /** Every corner that a shape may be pushed into: the room's, another's, and beside what is kept free. */
    List<Laid> of(StationAsk s, Shape shape, Laid[] laid) {
        FreeWall wall = shape.wall();
        List<Double> xs = corners(s, shape, laid, true);
        List<Double> ys = corners(s, shape, laid, false);
        if (wall != null) {
            Spots.Placed first = new Spots.Placed(
                    0,
                    0,
                    wall.alongLength() ? shape.alongM() : shape.acrossM(),
                    wall.alongLength() ? shape.acrossM() : shape.alongM());
            Area pinned = wall.inRoom(room, first);
            if (wall.alongLength()) ys = List.of(pinned.yM());
            else xs = List.of(pinned.xM());
        }
        List<Laid> out = new ArrayList<>();
        for (double x : xs.stream().distinct().toList())
            for (double y : ys.stream().distinct().toList()) {
                if (floor.meetsOther(s, shape, x, y, laid)) continue;
                Laid there = floor.at(s, shape, x, y);
                if (floor.why(s, there, laid) == null) out.add(there);
            }
        return out;
    }

    /** Where a side of the shape may begin along the length or across it. */
    private List<Double> corners(StationAsk s, Shape shape, Laid[] laid, boolean along) {
        double edge = s.footprint().edgeM();
        FreeWall wall = shape.wall();
        double size = along ? shape.alongM() : shape.acrossM();
        double from = wall == null ? edge : wall.fromM() + edge;
        double to = (wall != null ? wall.endM() : along ? room.lengthM() : room.widthM()) - edge - size;
        List<Double> out = new ArrayList<>(List.of(from, to));
        for (Laid l : laid)
            if (l != null) {
                double at = along ? l.area().xM() : l.area().yM();
                double end = at + (along ? l.area().alongM() : l.area().acrossM());
                out.add(end + floor.gapM(s, l));
                out.add(at - floor.gapM(s, l) - size);
            }
        for (Area a : floor.keptFree()) out.add(along ? a.xM() + a.alongM() : a.yM() + a.acrossM());
        out.removeIf(v -> v < from - 1e-9 || v > to + 1e-9);
        return out;
    }
}
