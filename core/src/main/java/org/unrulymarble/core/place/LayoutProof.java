package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.place.SideBySide.SideBySideAsk;
import org.unrulymarble.core.place.SideBySide.StationAsk;
import org.unrulymarble.core.place.SideBySideSearch.Level;
import org.unrulymarble.core.place.StationFloor.Laid;
import org.unrulymarble.core.place.StationFloor.Shape;

/** What the search found, bettered by a solver where it is not known to be the best, or proven. */
final class LayoutProof {

    private final SideBySideAsk ask;
    private final SideBySideSearch search;
    private final StationShapes shapes;
    private final StationFloor floor;
    private final Space room;

    LayoutProof(SideBySideAsk ask) {
        this.ask = ask;
        this.search = new SideBySideSearch(ask);
        this.shapes = new StationShapes(ask.place());
        this.floor = new StationFloor(ask);
        this.room = ask.place().size();
    }

    SideBySide by(LayoutProver prover) {
        SideBySide now = search.run();
        List<List<Level>> levels = ask.stations().stream().map(search::levels).toList();
        if (now.proven() || levels.stream().anyMatch(List::isEmpty)) return now;
        List<List<Level>> levelOf = new ArrayList<>();
        List<List<Shape>> shapeOf = new ArrayList<>();
        List<LayoutProver.Station> stations = new ArrayList<>();
        for (int i = 0; i < levels.size(); i++) {
            StationAsk s = ask.stations().get(i);
            List<Level> ofLevel = new ArrayList<>();
            List<Shape> ofShape = new ArrayList<>();
            List<LayoutProver.Option> options = new ArrayList<>();
            for (Level level : levels.get(i))
                for (Shape shape : shapes.of(s, level.spots())) {
                    ofLevel.add(level);
                    ofShape.add(shape);
                    options.add(option(s, shape, level));
                }
            levelOf.add(ofLevel);
            shapeOf.add(ofShape);
            stations.add(new LayoutProver.Station(
                    Math.max(SideBySide.LEAST_GAP_M, s.footprint().gapM()), options));
        }
        LayoutProver.Proof proof = prover.better(stations, now.share());
        // A solver puts all of them somewhere or none: where one finds no room now, it proves nothing of the others.
        boolean all = now.stations().stream().allMatch(SideBySide.Station::fits)
                || !proof.put().isEmpty();
        double most =
                !all || proof.most() == null ? now.most() : Math.max(now.share(), Math.min(now.most(), proof.most()));
        Laid[] laid = new Laid[levels.size()];
        int[] chosen = new int[levels.size()];
        for (int i = 0; i < laid.length && proof.put().size() == laid.length; i++) {
            LayoutProver.Put put = proof.put().get(i);
            StationAsk s = ask.stations().get(i);
            Laid there = floor.at(s, shapeOf.get(i).get(put.option()), put.xM(), put.yM());
            // What a solver says is believed only where it is legal here.
            if (floor.why(s, there, laid) != null) return now.within(most);
            laid[i] = there;
            chosen[i] = levels.get(i).indexOf(levelOf.get(i).get(put.option()));
        }
        return laid[0] == null ? now.within(most) : search.result(levels, chosen, laid, most);
    }

    private LayoutProver.Option option(StationAsk s, Shape shape, Level level) {
        double edge = s.footprint().edgeM();
        FreeWall wall = shape.wall();
        List<LayoutProver.Rect> barred = new ArrayList<>();
        for (Area a : floor.keptFree()) barred.add(rect(a));
        if (wall == null)
            return new LayoutProver.Option(
                    level.worth(),
                    shape.alongM(),
                    shape.acrossM(),
                    shape.way(),
                    edge,
                    room.lengthM() - edge - shape.alongM(),
                    edge,
                    room.widthM() - edge - shape.acrossM(),
                    barred);
        double run = wall.alongLength() ? shape.alongM() : shape.acrossM();
        double deep = wall.alongLength() ? shape.acrossM() : shape.alongM();
        if (s.windowsHurt())
            for (Area a : wall.windows(ask.place(), deep))
                barred.add(rect(wall.inRoom(room, new Spots.Placed(a.xM(), a.yM(), a.alongM(), a.acrossM()))));
        Area at = wall.inRoom(room, new Spots.Placed(0, 0, run, deep));
        double from = wall.fromM() + edge;
        double to = wall.endM() - edge - run;
        return new LayoutProver.Option(
                level.worth(),
                shape.alongM(),
                shape.acrossM(),
                null,
                wall.alongLength() ? from : at.xM(),
                wall.alongLength() ? to : at.xM(),
                wall.alongLength() ? at.yM() : from,
                wall.alongLength() ? at.yM() : to,
                barred);
    }

    private static LayoutProver.Rect rect(Area a) {
        return new LayoutProver.Rect(a.xM(), a.yM(), a.alongM(), a.acrossM());
    }
}
