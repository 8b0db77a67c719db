package org.unrulymarble.core.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.place.FloorShares;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.SideBySide;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.Station;
import org.unrulymarble.core.propose.NextLesson.Answer;
import org.unrulymarble.core.propose.ProposeAsk.Pick;
import org.unrulymarble.core.propose.Proposer.Row;

/**
 * What a lesson with stations can be worth at most, and how long it can move each pupil. For each number of stations, rounds and seconds a question is made
 * in which every main task may be a station: with as few waves as it would have alone or with more of them, in no less time than it really takes, and all
 * together with no more floor and wall than there is. Every lesson with these stations is an answer to it, so that its bound is theirs.
 */
final class StationBound {

    private static final int MOST_BLOCKS = 12;
    private static final int MOST_WAVES = 6;
    private static final double ONLY = 1;
    private static final double SEC_PER_MIN = 60;
    private static final double SLACK = 1e-6;
    private static final int MOST_WHOLE = 12;
    private static final double WHOLE_SEC = 0.4;

    /** A task as a station of a group. */
    private record AtStation(int candidate, Block block, SideBySide.StationAsk ask, int fewestWaves) {}

    private final Lesson lesson;
    private final Setting setting;
    private final Answer proposer;
    private final ProposeAsk ask;
    private final List<Task> fitting;
    private final int longestVisitSec;
    private final int[] workSecs;
    private final int restSec;

    /** @param fitting the ask's candidates, in their order */
    StationBound(
            Lesson lesson, Setting setting, Answer proposer, NextLesson.Wish wish, ProposeAsk ask, List<Task> fitting) {
        this.lesson = lesson;
        this.setting = setting;
        this.proposer = proposer;
        this.ask = ask;
        this.fitting = fitting;
        this.restSec = Beside.restSec(wish == NextLesson.Wish.MORE_MOVING);
        this.workSecs = Beside.workSec(wish);
        this.longestVisitSec = Beside.longestVisitSec(wish);
    }

    /** @param worth of no lesson is more @param movingShare of the time until the bell, 0 to 1; each null where nothing is proven */
    record Most(@Nullable Double worth, @Nullable Double movingShare) {}

    /** Of all lessons, with stations or without. */
    Most most() {
        List<With> all = new ArrayList<>();
        all.add(new With(ask, List.of(), 0));
        for (int stations = Circuit.FEWEST_STATIONS; stations <= Beside.mostStations(setting); stations++) {
            List<AtStation> each = atStations(stations);
            for (int rounds : Beside.ROUNDS)
                for (int workSec : workSecs) {
                    if (rounds * workSec > longestVisitSec) continue;
                    With with = with(each, stations, rounds, workSec);
                    if (with.stations() < stations) continue;
                    all.add(with);
                }
        }
        Double moving = most(all.stream()
                .map(w -> new With(movingOnly(w.ask()), w.rows(), w.stations()))
                .toList());
        return new Most(most(all), moving == null ? null : (Double) share(moving));
    }

    /** The highest bound of several questions: each with tasks by halves first, then the highest with whole ones, until none by halves is above it. */
    private @Nullable Double most(List<With> questions) {
        PriorityQueue<Bounded> highest =
                new PriorityQueue<>(Comparator.comparing(Bounded::bound).reversed());
        for (With q : questions) {
            Double bound = proposer.bound(q.ask(), q.rows());
            if (bound == null) return null;
            highest.add(new Bounded(q, bound, false));
        }
        for (int n = 0; n < MOST_WHOLE && !highest.element().whole(); n++) {
            Bounded loose = highest.remove();
            Double closer = proposer.boundOfWhole(
                    loose.question().ask(), loose.question().rows(), WHOLE_SEC);
            double bound = closer == null ? loose.bound() : Math.min(closer, loose.bound());
            highest.add(new Bounded(loose.question(), bound, true));
        }
        return highest.element().bound();
    }

    private record Bounded(With question, double bound, boolean whole) {}

    /** @param movingOnly minutes that are missing to the bell, below 0 */
    private double share(double movingOnly) {
        return Math.min(1, 1 + (movingOnly + ask.transitionSec() / SEC_PER_MIN) / (ask.targetSec() / SEC_PER_MIN));
    }

    /** Nothing counts but the time that a pupil moves; that for changes is each task's own then. */
    private static ProposeAsk movingOnly(ProposeAsk ask) {
        int transition = ask.transitionSec();
        return new ProposeAsk(
                Math.min(Checks.MAX_SEC, ask.targetSec() + transition),
                0,
                ask.blocksMin(),
                ask.blocksMax(),
                ask.halfSec(),
                ask.leap(),
                ask.needOpen(),
                ask.needClose(),
                new ProposeAsk.Weights(0.0, 0.0, 0.0, ONLY, 0.0, 0.0, ONLY),
                ask.candidates().stream()
                        .map(c -> c.with(
                                c.must(),
                                c.options().stream()
                                        .map(w -> new ProposeAsk.Way(
                                                w.sets(), w.workSec(), w.totalSec() + transition, w.activeSec()))
                                        .toList()))
                        .toList());
    }

    private List<AtStation> atStations(int stations) {
        int group = (setting.pupils().size() + stations - 1) / stations;
        List<AtStation> out = new ArrayList<>();
        for (int i = 0; i < fitting.size(); i++) {
            if (!Beside.main(fitting.get(i))) continue;
            int candidate = i;
            Block block = fitting.get(i).here().block();
            Station.alone(block, group, setting)
                    .filter(alone -> alone.waves() != null)
                    .ifPresent(alone -> out.add(new AtStation(candidate, block, alone.ask(), alone.waves())));
        }
        return out;
    }

    /** The question with exactly so many stations. @param stations how many there are to choose from */
    private record With(ProposeAsk ask, List<Row> rows, int stations) {}

    private With with(List<AtStation> each, int stations, int rounds, int workSec) {
        List<ProposeAsk.Candidate> candidates = new ArrayList<>(ask.candidates());
        Map<Pick, Double> beside = new HashMap<>();
        Map<Pick, Double> wall = new HashMap<>();
        List<Map<Pick, Double>> floor = new ArrayList<>();
        for (int m = 0; m < FloorShares.measures(); m++) floor.add(new HashMap<>());
        List<Row> rows = new ArrayList<>();
        FloorShares shares = new FloorShares(
                setting.place(),
                setting.planning().thresholds().wayFreeM(),
                each.stream()
                        .mapToDouble(s -> s.ask().footprint().narrowestM())
                        .min()
                        .orElse(0));
        double[] free = shares.free();
        boolean[] tell =
                telling(each.stream().map(s -> shares.of(s.ask().footprint())).toList());
        int found = 0;
        for (AtStation s : each) {
            ProposeAsk.Candidate own = ask.candidates().get(s.candidate());
            List<Integer> spots = new ArrayList<>();
            List<ProposeAsk.Way> ways = ways(s, stations, rounds, workSec, spots);
            if (own.must()) {
                candidates.set(s.candidate(), own.with(false, own.options()));
                rows.add(inIt(s.candidate(), own.options().size(), candidates.size(), ways.size()));
            }
            if (ways.isEmpty()) continue;
            found++;
            double[] share = shares.of(s.ask().footprint());
            for (int w = 0; w < ways.size(); w++) {
                Pick pick = new Pick(candidates.size(), w);
                beside.put(pick, 1.0);
                for (int m = 0; m < share.length; m++) if (tell[m]) floor.get(m).put(pick, spots.get(w) * share[m]);
                Footprint f = s.ask().footprint();
                if (f.needsWall()) wall.put(pick, spots.get(w) * f.widthM());
            }
            candidates.add(own.named(own.id() + " beside").with(false, ways));
        }
        rows.add(new Row(beside, stations, stations));
        for (int m = 0; m < tell.length; m++)
            if (!floor.get(m).isEmpty()) rows.add(new Row(floor.get(m), 0, Math.max(0, free[m]) + SLACK));
        rows.add(new Row(wall, 0, wallM() + SLACK));
        int most = Math.min(MOST_BLOCKS, ask.blocksMax() - 1 + stations);
        return new With(ask.of(1, most, ask.weights(), candidates), rows, found);
    }

    /** Which measures say something: not those by which every spot takes at most as much as by another. */
    private static boolean[] telling(List<double[]> shares) {
        boolean[] tell = new boolean[FloorShares.measures()];
        for (int m = 0; m < tell.length; m++) {
            int own = m;
            tell[m] = true;
            for (int o = 0; o < tell.length && tell[m]; o++) {
                int other = o;
                if (o == m || (o > m && shares.stream().allMatch(s -> s[own] == s[other]))) continue;
                if (shares.stream().allMatch(s -> s[own] <= s[other])) tell[m] = false;
            }
        }
        return tell;
    }

    private double wallM() {
        return setting.place().walls().stream()
                .mapToDouble(w -> w.stretch().runM())
                .sum();
    }

    /** Once at least, alone or as a station. */
    private static Row inIt(int own, int ownWays, int station, int stationWays) {
        Map<Pick, Double> of = new HashMap<>();
        for (int o = 0; o < ownWays; o++) of.put(new Pick(own, o), 1.0);
        for (int o = 0; o < stationWays; o++) of.put(new Pick(station, o), 1.0);
        return new Row(of, 1, 1);
    }

    /** By the number of waves, of those that let everybody work as often. @param spots is told how many lie there at once, way by way */
    private List<ProposeAsk.Way> ways(AtStation s, int stations, int rounds, int workSec, List<Integer> spots) {
        List<ProposeAsk.Way> ways = new ArrayList<>();
        // The shorter sides of a mixed round may be a second less, and all that is shared is shared among the stations.
        int round = workSec - workSec % 2;
        double shared = (stations - 1.0) / stations * (Beside.CHANGE_SEC - lesson.transitionSec());
        for (int waves = s.fewestWaves(); waves <= MOST_WAVES; waves++) {
            int turns = waves * s.ask().parts();
            if (rounds % turns != 0) continue;
            int active = rounds / turns * workSec;
            double total = s.block().explainSec()
                    + rounds * (s.block().countInSec() + (double) round)
                    + (rounds - 1) * (double) restSec
                    + shared;
            ways.add(new ProposeAsk.Way(rounds, workSec, (int) Math.max(active, Math.floor(total)), active));
            spots.add((s.ask().crews() + waves - 1) / waves);
        }
        return ways;
    }
}
