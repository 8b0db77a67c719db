package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.place.SideBySide.Hindrance;
import org.unrulymarble.core.place.SideBySide.SideBySideAsk;
import org.unrulymarble.core.place.SideBySide.Station;
import org.unrulymarble.core.place.SideBySide.StationAsk;
import org.unrulymarble.core.place.SideBySide.Way;
import org.unrulymarble.core.place.SideBySide.Why;
import org.unrulymarble.core.place.StationFloor.Laid;
import org.unrulymarble.core.place.StationFloor.Shape;

/** Pushes the stations' rectangles from corner to corner, those first by which most could work. Used once; not thread-safe. */
final class SideBySideSearch {

    private static final int MOST_WAVES = 6;
    private static final int MOST_ASSIGNMENTS = 80;
    private static final int MOST_TRIES = 1500;

    /** Loud and quiet lie so many times as far apart as is wanted, where that goes. */
    private static final int FARTHER = 2;

    /** So many spots in so many rows, one way round. @param worth the share of the visit that a pupil works */
    record Level(int waves, int spots, double worth) {}

    private final SideBySideAsk ask;
    private final StationFloor floor;
    private final Corners corners;
    private final Set<Noise> noises;
    private final StationShapes shapes;

    /** What one spot of each station takes of the floor. */
    private final List<double[]> shares;

    private final double[] freeShares;

    private int tries;

    SideBySideSearch(SideBySideAsk ask) {
        this.ask = ask;
        this.floor = new StationFloor(ask, 0);
        this.corners = new Corners(floor, ask.place().size());
        this.noises = ask.stations().stream().map(StationAsk::noise).collect(Collectors.toSet());
        this.shapes = new StationShapes(ask.place());
        FloorShares each = new FloorShares(
                ask.place(),
                ask.freeM(),
                ask.stations().stream()
                        .mapToDouble(s -> s.footprint().narrowestM())
                        .min()
                        .orElse(0));
        this.freeShares = each.free();
        this.shares = ask.stations().stream().map(s -> each.of(s.footprint())).toList();
    }

    SideBySide run() {
        List<List<Level>> levels = ask.stations().stream().map(this::levels).toList();
        List<int[]> assignments = assignments(levels);
        double most = assignments.isEmpty() ? 0 : share(levels, assignments.get(0));
        for (int[] chosen : assignments) {
            Optional<List<Laid>> laid = laid(levels, chosen);
            if (laid.isPresent()) return result(levels, chosen, laid.get().toArray(new Laid[0]), most);
        }
        return asManyAsFit(levels, most);
    }

    /** So many spots of each, wherever they find room; whatever the rounds are. */
    private Optional<List<Laid>> laid(List<List<Level>> levels, int[] chosen) {
        List<Spotted> spotted = new ArrayList<>();
        for (int i = 0; i < chosen.length; i++) {
            StationAsk s = ask.stations().get(i);
            spotted.add(new Spotted(
                    s.footprint(),
                    levels.get(i).get(chosen[i]).spots(),
                    s.crews(),
                    s.markM(),
                    s.windowsHurt(),
                    s.noise(),
                    s.at()));
        }
        Question question = new Question(ask.place(), List.copyOf(spotted), ask.freeM(), ask.quietApartM());
        Optional<List<Laid>> known = LAID.get(question);
        if (known != null) return known;
        Optional<List<Laid>> found =
                laid(levels, chosen, new Wish(corners, false, false)).map(first -> asWished(levels, chosen, first));
        LAID.put(question, found);
        return found;
    }

    /**
     * What a layout should have besides room for all.
     *
     * @param corners on a floor with room between loud stations and quiet ones
     * @param inSight whether an adult is to see all of them
     * @param more whether it is more than has to be
     */
    private record Wish(Corners corners, boolean inSight, boolean more) {}

    private Optional<List<Laid>> laid(List<List<Level>> levels, int[] chosen, Wish wish) {
        Laid[] laid = new Laid[levels.size()];
        tries = 0;
        return lay(order(), 0, levels, chosen, laid, wish) ? Optional.of(List.of(laid)) : Optional.empty();
    }

    /** The same stations with the same spots where all are in sight and loud ones lie off quiet ones, farther where that goes; as they are where it does not. */
    private List<Laid> asWished(List<List<Level>> levels, int[] chosen, List<Laid> first) {
        boolean drowned = noises.contains(Noise.LOUD) && noises.contains(Noise.QUIET) && ask.quietApartM() > 0;
        boolean hidden = !inSight(levels, chosen, first);
        List<Wish> wishes = new ArrayList<>();
        for (boolean inSight : hidden ? List.of(true, false) : List.of(true)) {
            if (drowned)
                for (int times = FARTHER; times > 0; times--)
                    wishes.add(new Wish(corners(times * ask.quietApartM()), inSight, true));
            if (hidden && inSight) wishes.add(new Wish(corners, true, true));
        }
        return wishes.stream()
                .map(wish -> laid(levels, chosen, wish))
                .flatMap(Optional::stream)
                .findFirst()
                .orElse(first);
    }

    private Corners corners(double quietApartM) {
        return new Corners(new StationFloor(ask, quietApartM), ask.place().size());
    }

    private boolean inSight(List<List<Level>> levels, int[] chosen, List<Laid> laid) {
        if (!AdultPlace.hides(ask.place())) return true;
        List<Station> stations =
                result(levels, chosen, laid.toArray(new Laid[0]), 0).stations();
        return AdultPlace.of(ask, stations).filter(AdultPlace::all).isPresent();
    }

    /** A station with its number of spots. */
    private record Spotted(
            Footprint footprint,
            int spots,
            int crews,
            @Nullable Double markM,
            boolean windowsHurt,
            Noise noise,
            Spots.@Nullable Placed at) {}

    private record Question(Place place, List<Spotted> stations, double freeM, double quietApartM) {}

    // The same stations are asked for with other rounds, seconds and edits beside them, and mostly find no room.
    private static final int KEPT = 4_000;
    private static final Map<Question, Optional<List<Laid>>> LAID =
            Collections.synchronizedMap(new LinkedHashMap<>(KEPT, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Question, Optional<List<Laid>>> eldest) {
                    return size() > KEPT;
                }
            });

    /** How many spots a station may have, those that let most work first; what does not even fit alone is none of them. */
    List<Level> levels(StationAsk s) {
        List<Level> out = new ArrayList<>();
        int spotsMost = s.mostSpots() == null ? s.crews() : Math.max(1, Math.min(s.mostSpots(), s.crews()));
        for (int waves = 1; waves <= MOST_WAVES; waves++) {
            int spots = (s.crews() + waves - 1) / waves;
            if (spots > spotsMost || (waves > 1 && (s.crews() + waves - 2) / (waves - 1) == spots)) continue;
            int turns = waves * s.parts();
            double worth = (double) (s.rounds() / turns) / s.rounds();
            Level level = new Level(waves, spots, worth);
            if (!shapes.of(s, level.spots()).isEmpty()) out.add(level);
        }
        return out;
    }

    /** What each station may have, best first: by what they come to together, at most so many, and no more floor or wall than there is. */
    private List<int[]> assignments(List<List<Level>> levels) {
        List<int[]> all = new ArrayList<>();
        if (levels.stream().anyMatch(List::isEmpty)) return all;
        fill(levels, new int[levels.size()], 0, all);
        all.sort(Comparator.comparingDouble((int[] a) -> -share(levels, a))
                .thenComparingInt(a -> wavesOfNobody(levels, a))
                .thenComparingInt(a -> spots(levels, a)));
        return all.stream()
                .filter(a -> mayFit(levels, a))
                .limit(MOST_ASSIGNMENTS)
                .toList();
    }

    private void fill(List<List<Level>> levels, int[] at, int station, List<int[]> out) {
        if (station == levels.size()) {
            out.add(at.clone());
            return;
        }
        // Many stations with many levels each: of each the best three.
        int many = levels.size() > 5
                ? Math.min(3, levels.get(station).size())
                : levels.get(station).size();
        for (int level = 0; level < many; level++) {
            at[station] = level;
            fill(levels, at, station + 1, out);
        }
    }

    private double share(List<List<Level>> levels, int[] chosen) {
        return IntStream.range(0, chosen.length)
                .mapToDouble(i -> levels.get(i).get(chosen[i]).worth())
                .average()
                .orElse(0);
    }

    /** Where a visit is too short for everybody whatever is done, fewer waves are nearer to it. */
    private static int wavesOfNobody(List<List<Level>> levels, int[] chosen) {
        int waves = 0;
        for (int i = 0; i < chosen.length; i++) {
            Level level = levels.get(i).get(chosen[i]);
            if (level.worth() == 0) waves += level.waves();
        }
        return waves;
    }

    private int spots(List<List<Level>> levels, int[] chosen) {
        return IntStream.range(0, chosen.length)
                .map(i -> levels.get(i).get(chosen[i]).spots())
                .sum();
    }

    private boolean mayFit(List<List<Level>> levels, int[] chosen) {
        double[] floorShare = new double[FloorShares.measures()];
        double wall = 0;
        for (int i = 0; i < chosen.length; i++) {
            Footprint f = ask.stations().get(i).footprint();
            int spots = levels.get(i).get(chosen[i]).spots();
            for (int m = 0; m < floorShare.length; m++) floorShare[m] += spots * shares.get(i)[m];
            if (f.needsWall()) wall += spots * f.widthM() + (spots - 1) * f.gapM();
        }
        double free = ask.place().walls().stream()
                .mapToDouble(w -> w.stretch().runM())
                .sum();
        return IntStream.range(0, floorShare.length).allMatch(m -> floorShare[m] <= freeShares[m] + 1e-9)
                && wall <= free + 1e-9;
    }

    /** Those that were put somewhere first, then those at the wall, then the largest. */
    private List<Integer> order() {
        return IntStream.range(0, ask.stations().size())
                .boxed()
                .sorted(Comparator.comparing(
                                (Integer i) -> ask.stations().get(i).at() == null)
                        .thenComparing(i -> !ask.stations().get(i).footprint().needsWall())
                        .thenComparingDouble(i -> {
                            StationAsk s = ask.stations().get(i);
                            return -s.crews()
                                    * s.footprint().lengthM()
                                    * s.footprint().widthM();
                        }))
                .toList();
    }

    private boolean lay(List<Integer> order, int n, List<List<Level>> levels, int[] chosen, Laid[] laid, Wish wish) {
        if (n == order.size()) return !wish.inSight() || inSight(levels, chosen, List.of(laid));
        int station = order.get(n);
        StationAsk s = ask.stations().get(station);
        List<Shape> all = shapes.of(s, levels.get(station).get(chosen[station]).spots());
        boolean held = false;
        for (Shape shape : all) {
            Optional<Laid> put = put(s, shape, laid);
            if (put.isEmpty()) continue;
            held = true;
            laid[station] = put.get();
            if (lay(order, n + 1, levels, chosen, laid, wish)) return true;
            laid[station] = null;
        }
        // For a mere wish nothing is taken from where it was put.
        if (held && wish.more()) return false;
        for (Shape shape : all)
            for (Laid there : wish.corners().of(s, shape, laid)) {
                if (++tries > MOST_TRIES) return false;
                laid[station] = there;
                if (lay(order, n + 1, levels, chosen, laid, wish)) return true;
                laid[station] = null;
            }
        return false;
    }

    /** Where the teacher put it, if it has the size that it had then and may be there. */
    private Optional<Laid> put(StationAsk s, Shape shape, Laid[] laid) {
        if (s.at() == null
                || Math.abs(shape.alongM() - s.at().alongM()) > Rounding.SLACK
                || Math.abs(shape.acrossM() - s.at().acrossM()) > Rounding.SLACK) return Optional.empty();
        Laid there = floor.at(s, shape, s.at().xM(), s.at().yM());
        return floor.why(s, there, laid) == null ? Optional.of(there) : Optional.empty();
    }

    Optional<Why> hindrance(SideBySide now, int station, Spots.Placed at) {
        Laid[] others = new Laid[now.stations().size()];
        for (int i = 0; i < others.length; i++)
            if (i != station) others[i] = asLaid(i, now.stations().get(i));
        Station own = now.stations().get(station);
        if (!own.fits()) return Optional.of(new Why(Hindrance.OUTSIDE, null));
        StationAsk s = ask.stations().get(station);
        Shape shape = s.footprint().needsWall() ? wholeAtWall(s, at) : whole(own.way(), null, at);
        return Optional.ofNullable(floor.why(s, floor.at(s, shape, at.xM(), at.yM()), others));
    }

    /** As one rectangle; null for what has no room. */
    private Laid asLaid(int i, Station s) {
        if (!s.fits()) return null;
        StationAsk asked = ask.stations().get(i);
        Spots.Placed at = new Spots.Placed(s.xM(), s.yM(), s.alongM(), s.acrossM());
        Shape whole = asked.footprint().needsWall() ? wholeAtWall(asked, at) : whole(s.way(), null, at);
        return floor.at(asked, whole, s.xM(), s.yM());
    }

    private static Shape whole(Way way, FreeWall wall, Spots.Placed at) {
        return new Shape(1, 1, at.alongM(), at.acrossM(), 0, way, wall);
    }

    /** At the wall at which it lies, else at the first one, where it then does not. */
    private Shape wholeAtWall(StationAsk s, Spots.Placed at) {
        Area a = new Area(at.xM(), at.yM(), at.alongM(), at.acrossM());
        List<FreeWall> walls = ask.place().walls();
        FreeWall wall = walls.stream()
                .filter(w -> w.holds(ask.place().size(), a, s.footprint().edgeM()))
                .findFirst()
                .orElse(walls.get(0));
        return whole(StationShapes.way(wall), wall, at);
    }

    /** Where nothing holds all of them: one after the other, as small as may be, and who finds no room is told so. */
    private SideBySide asManyAsFit(List<List<Level>> levels, double most) {
        Laid[] laid = new Laid[levels.size()];
        int[] chosen = new int[levels.size()];
        for (int station : order()) {
            List<Level> own = levels.get(station);
            for (int level = own.size() - 1; level >= 0 && laid[station] == null; level--) {
                StationAsk s = ask.stations().get(station);
                chosen[station] = level;
                for (Shape shape : shapes.of(s, own.get(level).spots())) {
                    List<Laid> there = corners.of(s, shape, laid);
                    if (there.isEmpty()) continue;
                    laid[station] = there.get(0);
                    break;
                }
            }
        }
        return result(levels, chosen, laid, most);
    }

    SideBySide result(List<List<Level>> levels, int[] chosen, Laid[] laid, double most) {
        List<Station> out = new ArrayList<>();
        double worth = 0;
        for (int i = 0; i < laid.length; i++) {
            if (laid[i] == null) {
                out.add(Station.none(levels.get(i).isEmpty() ? alone(i) : Spots.Reason.NO_ROOM_BESIDE));
                continue;
            }
            Level level = levels.get(i).get(chosen[i]);
            Area a = laid[i].area();
            worth += level.worth();
            out.add(new Station(
                    a.xM(),
                    a.yM(),
                    a.alongM(),
                    a.acrossM(),
                    spotsOf(laid[i], level.spots()),
                    level.waves(),
                    laid[i].shape().way(),
                    null));
        }
        return new SideBySide(List.copyOf(out), laid.length == 0 ? 0 : worth / laid.length, most);
    }

    /** Why a station does not even fit when it is alone. */
    private Spots.Reason alone(int station) {
        StationAsk s = ask.stations().get(station);
        Spots.Reason reason = Layout.of(new Layout.LayoutAsk(
                        ask.place(), s.footprint(), 1, 1, null, s.markM(), s.windowsHurt(), ask.freeM()))
                .spots()
                .reason();
        return reason == null ? Spots.Reason.NO_ROOM_BESIDE : reason;
    }

    private static List<Spots.Placed> spotsOf(Laid laid, int spots) {
        Shape s = laid.shape();
        List<Spots.Placed> out = new ArrayList<>();
        for (int row = 0; row < s.rows(); row++)
            for (int column = 0; column < s.columns() && out.size() < spots; column++)
                out.add(new Spots.Placed(
                        laid.area().xM() + column * (s.spotAlongM() + s.gapM()),
                        laid.area().yM() + row * (s.spotAcrossM() + s.gapM()),
                        s.spotAlongM(),
                        s.spotAcrossM()));
        return out;
    }
}
