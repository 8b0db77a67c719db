package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Where in a room a station lies, as somebody in the room would say it.
 *
 * @param by what is near to it and to no other station, else on which side of the room it is as seen from the one free wall; null where neither tells
 */
public record Whereabouts(Part part, @Nullable Landmark by) {

    /** Of a room, by thirds; one that is narrow has ends and a middle. */
    public enum Part {
        CORNER,
        END,
        SIDE,
        MIDDLE
    }

    /** What is seen in a room, the most telling first. */
    public enum Landmark {
        DOOR,
        WAY_OUT,
        STAIRS,
        WINDOW,
        FREE_WALL,
        FREE_WALL_SIDE,
        ACROSS_FROM_FREE_WALL
    }

    /** In a room that is not as wide nobody tells one side from the other. */
    private static final double NARROW_M = 4;

    private static final double NEAR_M = 1.5;

    private record Seen(Landmark what, Area area) {}

    /** Of each that is placed, in its order; null for what is not placed. */
    public static List<@Nullable Whereabouts> of(Place place, List<Spots.@Nullable Placed> placed) {
        List<Area> areas = new ArrayList<>();
        for (Spots.Placed p : placed) areas.add(p == null ? null : new Area(p.xM(), p.yM(), p.alongM(), p.acrossM()));
        List<Seen> landmarks = landmarks(place);
        List<@Nullable Whereabouts> out = new ArrayList<>();
        for (int i = 0; i < areas.size(); i++) {
            Area area = areas.get(i);
            out.add(area == null ? null : new Whereabouts(part(place.size(), area), by(i, areas, landmarks, place)));
        }
        return out;
    }

    private static Part part(Space room, Area a) {
        boolean atEnd = outer(a.xM() + a.alongM() / 2, room.lengthM());
        boolean atSide = outer(a.yM() + a.acrossM() / 2, room.widthM());
        boolean endsAreShort = room.lengthM() >= room.widthM();
        if (atEnd && atSide) return Part.CORNER;
        if (!atEnd && !atSide) return Part.MIDDLE;
        return atEnd == endsAreShort ? Part.END : Part.SIDE;
    }

    private static boolean outer(double atM, double sideM) {
        return sideM >= NARROW_M && (atM < sideM / 3 || atM > sideM * 2 / 3);
    }

    private static @Nullable Landmark by(int own, List<Area> areas, List<Seen> landmarks, Place place) {
        return landmarks.stream()
                .filter(seen -> aloneNear(seen.area(), areas) == own)
                .map(Seen::what)
                .min(Comparator.naturalOrder())
                .orElseGet(() -> fromWall(place, areas.get(own)));
    }

    private static @Nullable Landmark fromWall(Place place, Area a) {
        if (place.walls().size() != 1) return null;
        FreeWall wall = place.walls().get(0);
        double acrossM = wall.acrossM(place.size());
        double midM = wall.alongLength() ? a.yM() + a.acrossM() / 2 : a.xM() + a.alongM() / 2;
        if (!outer(midM, acrossM)) return null;
        boolean first = wall.edge() == Feature.Edge.TOP || wall.edge() == Feature.Edge.LEFT;
        return midM < acrossM / 2 == first ? Landmark.FREE_WALL_SIDE : Landmark.ACROSS_FROM_FREE_WALL;
    }

    /** The one station that is near to it; -1 for none, and for several. */
    private static int aloneNear(Area seen, List<Area> areas) {
        List<Integer> near = IntStream.range(0, areas.size())
                .boxed()
                .filter(i -> areas.get(i) != null && apartM(areas.get(i), seen) <= NEAR_M)
                .toList();
        return near.size() == 1 ? near.get(0) : -1;
    }

    private static double apartM(Area a, Area b) {
        return Math.hypot(Math.max(0, a.gapAlongM(b)), Math.max(0, a.gapAcrossM(b)));
    }

    private static List<Seen> landmarks(Place place) {
        List<Seen> out = new ArrayList<>();
        for (Feature f : place.features())
            switch (f.kind()) {
                case DOOR -> out.add(new Seen(Landmark.DOOR, f.area(place.size(), 0)));
                case WAY_OUT -> out.add(new Seen(Landmark.WAY_OUT, f.area(place.size(), 0)));
                case STAIRS -> out.add(new Seen(Landmark.STAIRS, f.area(place.size(), 0)));
                case WINDOW -> out.add(new Seen(Landmark.WINDOW, f.area(place.size(), 0)));
                case BREAKABLE, OBSTACLE -> {}
            }
        for (FreeWall wall : place.walls())
            out.add(new Seen(
                    Landmark.FREE_WALL,
                    wall.inRoom(
                            place.size(), new Spots.Placed(0, 0, wall.stretch().runM(), 0))));
        return out;
    }
}
