package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.place.SideBySide.SideBySideAsk;
import org.unrulymarble.core.place.SideBySide.StationAsk;
import org.unrulymarble.core.place.SideBySideSearch.Level;
import org.unrulymarble.core.place.StationFloor.Laid;
import org.unrulymarble.core.place.StationFloor.Shape;

/** What the search found, bettered by a solver where it is not known to be the best, or proven; of the best one in which loud stations lie off quiet ones, where that is found. */
final class LayoutProof {

    /** Less than any two layouts differ in work. */
    private static final double A_LITTLE = 1e-4;

    private final SideBySideAsk ask;
    private final SideBySideSearch search;
    private final StationShapes shapes;
    private final StationFloor floor;
    private final Space room;

    LayoutProof(SideBySideAsk ask) {
        this.ask = ask;
        this.search = new SideBySideSearch(ask);
        this.shapes = new StationShapes(ask.place());
        this.floor = new StationFloor(ask, 0);
        this.room = ask.place().size();
    }

    SideBySide by(LayoutProver prover) {
        SideBySide now = search.run();
        List<List<Level>> levels = ask.stations().stream().map(search::levels).toList();
        boolean drowned = !QuietApart.tooNear(ask, now.stations()).isEmpty();
        if ((now.proven() && !drowned) || levels.stream().anyMatch(List::isEmpty)) return now;
        Sizes sizes = sizes(levels);
        SideBySide best = now;
        if (!now.proven()) {
            LayoutProver.Proof proof = prover.better(sizes.stations(), List.of(), now.share());
            // A solver puts all of them somewhere or none: where one finds no room now, it proves nothing of the
            // others.
            boolean all = now.stations().stream().allMatch(SideBySide.Station::fits)
                    || !proof.put().isEmpty();
            double most = !all || proof.most() == null
                    ? now.most()
                    : Math.max(now.share(), Math.min(now.most(), proof.most()));
            best = laid(proof, sizes, most)
                    .filter(found -> inSight(found) || !inSight(now))
                    .orElseGet(() -> now.within(most));
        }
        return QuietApart.tooNear(ask, best.stations()).isEmpty() ? best : apart(best, sizes, prover);
    }

    /** As much work, and loud stations off quiet ones; as it is where that is not found. */
    private SideBySide apart(SideBySide best, Sizes sizes, LayoutProver prover) {
        List<LayoutProver.Apart> apart = new ArrayList<>();
        for (int i = 0; i < ask.stations().size(); i++)
            for (int j = i + 1; j < ask.stations().size(); j++)
                if (ask.stations().get(i).noise().drowns(ask.stations().get(j).noise()))
                    apart.add(new LayoutProver.Apart(i, j, ask.quietApartM()));
        return laid(prover.better(sizes.stations(), apart, best.share() - A_LITTLE), sizes, best.most())
                .filter(found -> found.share() >= best.share() - Rounding.SLACK)
                .filter(found -> inSight(found) || !inSight(best))
                .filter(found -> QuietApart.tooNear(ask, found.stations()).isEmpty())
                .orElse(best);
    }

    private boolean inSight(SideBySide laid) {
        return AdultPlace.of(ask, laid.stations()).filter(AdultPlace::all).isPresent();
    }

    /** What each station may be, for a solver, and what that is here. */
    private record Sizes(
            List<LayoutProver.Station> stations,
            List<List<Level>> levels,
            List<List<Level>> levelOf,
            List<List<Shape>> shapeOf) {}

    private Sizes sizes(List<List<Level>> levels) {
        Sizes out = new Sizes(new ArrayList<>(), levels, new ArrayList<>(), new ArrayList<>());
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
            out.levelOf().add(ofLevel);
            out.shapeOf().add(ofShape);
            out.stations()
                    .add(new LayoutProver.Station(
                            Math.max(SideBySide.LEAST_GAP_M, s.footprint().gapM()), options));
        }
        return out;
    }

    /** Empty where a solver found none: what it says is believed only where it is legal here. */
    private Optional<SideBySide> laid(LayoutProver.Proof proof, Sizes sizes, double most) {
        int n = ask.stations().size();
        if (proof.put().size() != n) return Optional.empty();
        Laid[] laid = new Laid[n];
        int[] chosen = new int[n];
        for (int i = 0; i < n; i++) {
            LayoutProver.Put put = proof.put().get(i);
            StationAsk s = ask.stations().get(i);
            Laid there = floor.at(s, sizes.shapeOf().get(i).get(put.option()), put.xM(), put.yM());
            if (floor.why(s, there, laid) != null) return Optional.empty();
            laid[i] = there;
            chosen[i] = sizes.levels().get(i).indexOf(sizes.levelOf().get(i).get(put.option()));
        }
        return Optional.of(search.result(sizes.levels(), chosen, laid, most));
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
