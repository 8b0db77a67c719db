package org.unrulymarble.core.score;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.unrulymarble.core.ladder.Doses.OnMiss;
import org.unrulymarble.core.ladder.Scoring;
import org.unrulymarble.core.score.RoundDetail.Landing;

/**
 * What the taps of one pupil in one round come to, by the measure of the rung.
 *
 * @param score null where the taps do not make a result yet: a watch that was not stopped, numbers that were not all kept
 * @param hits null where the measure knows none; {@code misses} null where nobody counted them
 */
record Scored(Integer score, Integer hits, Integer misses, RoundDetail detail) {

    private static final Scored NOTHING = new Scored(null, null, null, null);
    private static final RunScript.Stairs PLAIN_STAIRS = new RunScript.Stairs(1, OnMiss.STAY, 0);

    /**
     * @param taps in order
     * @param missesCounted whether whoever tapped tapped misses too; where the measure lives by misses it makes no difference
     * @param endMs milliseconds of work in the round, at which a watch that still ran stood
     */
    static Scored of(List<RunEvent> taps, RunScript.ScriptRung rung, boolean missesCounted, long endMs) {
        Scoring scoring = rung.scoring().forMeasure(rung.measure());
        return switch (rung.measure()) {
            case LONGEST_RUN -> longestRun(taps);
            case HELD_FOR_TIME -> held(taps, endMs);
            case TIME_FOR_N, COURSE_TIME -> quickest(taps);
            case FURTHEST -> furthest(taps, rung.stairs() == null ? PLAIN_STAIRS : rung.stairs());
            case LEVELS -> levels(taps);
            case RINGS -> rings(taps, scoring.rings());
            case MADE_FROM_SPOTS -> {
                Scored plain = hits(taps, missesCounted, false);
                yield new Scored(plain.score, plain.hits, plain.misses, spots(taps, scoring.spots()));
            }
            case KEEP_ALL -> kept(taps, scoring.balls(), scoring.draw());
            case COUNT_IN_TIME, HITS_OF_N -> hits(taps, missesCounted, scoring.noBalls() != null);
            // Sides have points, not pupils: the log adds up the ends.
            case MATCH -> NOTHING;
        };
    }

    private static Scored hits(List<RunEvent> taps, boolean missesCounted, boolean noBalls) {
        int hits = count(taps, RunEvent.Kind.HIT);
        int misses = count(taps, RunEvent.Kind.MISS);
        return new Scored(
                hits, hits, missesCounted || misses > 0 ? (Integer) misses : null, noBalls ? bowled(taps) : null);
    }

    static Scored longestRun(List<RunEvent> taps) {
        int run = 0;
        int longest = 0;
        for (RunEvent e : taps) {
            run = e.kind() == RunEvent.Kind.HIT ? run + 1 : 0;
            longest = Math.max(longest, run);
        }
        return new Scored(longest, count(taps, RunEvent.Kind.HIT), count(taps, RunEvent.Kind.MISS), null);
    }

    /** The longest stretch from a start to its stop, in whole seconds that were held to the end. */
    private static Scored held(List<RunEvent> taps, long endMs) {
        long longest = -1;
        Long since = null;
        for (RunEvent e : taps) {
            if (e.kind() == RunEvent.Kind.START) since = e.offsetMs();
            else if (e.kind() == RunEvent.Kind.STOP && since != null) {
                longest = Math.max(longest, e.offsetMs() - since);
                since = null;
            }
        }
        if (since != null) longest = Math.max(longest, endMs - since);
        return longest < 0 ? NOTHING : new Scored((int) (longest / 1000), null, null, null);
    }

    /** The quickest go that was stopped; a second that was begun counts, as a gate of sixteen seconds is missed at 16.1. */
    private static Scored quickest(List<RunEvent> taps) {
        Long best = null;
        List<Integer> bestSplits = List.of();
        Long since = null;
        List<Integer> splits = new ArrayList<>();
        for (RunEvent e : taps) {
            if (e.kind() == RunEvent.Kind.START) {
                since = e.offsetMs();
                splits.clear();
            } else if (since != null && e.offsetMs() != null) {
                long ms = e.offsetMs() - since;
                if (e.kind() == RunEvent.Kind.SPLIT) splits.add((int) ms);
                if (e.kind() != RunEvent.Kind.STOP) continue;
                if (best == null || ms < best) {
                    best = ms;
                    bestSplits = List.copyOf(splits);
                }
                since = null;
            }
        }
        if (best == null) return NOTHING;
        return new Scored((int) ((best + 999) / 1000), null, null, RoundDetail.ofTime(best.intValue(), bestSplits));
    }

    private static Scored furthest(List<RunEvent> taps, RunScript.Stairs stairs) {
        StringBuilder results = new StringBuilder();
        for (RunEvent e : taps) results.append(e.kind() == RunEvent.Kind.HIT ? 'H' : 'M');
        Staircase walked = Staircase.of(new Staircase.StaircaseAsk(
                1, stairs.makesToStep(), stairs.onMiss(), results.toString(), stairs.stepM()));
        return new Scored(
                walked.furthestHeld(),
                count(taps, RunEvent.Kind.HIT),
                count(taps, RunEvent.Kind.MISS),
                RoundDetail.ofSteps(stairs.stepM()));
    }

    private static Scored levels(List<RunEvent> taps) {
        int highest = 0;
        for (RunEvent e : taps)
            if (e.kind() == RunEvent.Kind.HIT && e.score() != null) highest = Math.max(highest, e.score());
        return new Scored(highest, null, null, null);
    }

    /** On a line it is the smaller ring. A throw told without its place is a hit with the number of its ring, or a miss. */
    private static Scored rings(List<RunEvent> taps, List<Scoring.Ring> rings) {
        int points = 0;
        int inside = 0;
        int thrown = 0;
        List<Landing> landings = new ArrayList<>();
        for (RunEvent e : taps) {
            thrown++;
            if (e.kind() == RunEvent.Kind.HIT && e.score() != null && e.score() >= 1 && e.score() <= rings.size()) {
                points += rings.get(e.score() - 1).points();
                inside++;
            }
            if (e.kind() != RunEvent.Kind.LANDED) continue;
            landings.add(new Landing(e.xCm(), e.yCm()));
            double fromMiddle = Math.hypot(e.xCm(), e.yCm());
            for (Scoring.Ring ring : rings)
                if (fromMiddle <= ring.radiusCm() + 1e-9) {
                    points += ring.points();
                    inside++;
                    break;
                }
        }
        return new Scored(points, inside, thrown - inside, RoundDetail.ofLandings(landings));
    }

    private static RoundDetail spots(List<RunEvent> taps, int spots) {
        int[] made = new int[spots];
        for (RunEvent e : taps)
            if (e.kind() == RunEvent.Kind.HIT && e.score() != null && e.score() >= 1 && e.score() <= spots)
                made[e.score() - 1]++;
        return RoundDetail.ofSpots(java.util.Arrays.stream(made).boxed().toList());
    }

    /** Goes until all numbered balls are kept; goes after that are not looked at. */
    private static Scored kept(List<RunEvent> taps, int balls, Scoring.Draw draw) {
        Set<Integer> kept = new TreeSet<>();
        int goes = 0;
        int hits = 0;
        double guessed = 0;
        for (RunEvent e : taps) {
            if (kept.size() == balls) break;
            goes++;
            guessed += 1.0 / (draw == Scoring.Draw.ALL ? balls : balls - kept.size());
            if (e.kind() != RunEvent.Kind.HIT) continue;
            hits++;
            if (e.score() != null && e.score() >= 1 && e.score() <= balls) kept.add(e.score());
        }
        if (kept.size() < balls) return NOTHING;
        double open = goes - guessed;
        Double share = open < 1e-9 ? null : (Double) Math.max(0, (hits - guessed) / open);
        return new Scored(goes, hits, goes - hits, RoundDetail.ofShare(share));
    }

    private static RoundDetail bowled(List<RunEvent> taps) {
        Bowling.Ledger ledger = new Bowling.Ledger();
        int noBalls = 0;
        for (RunEvent e : taps) {
            boolean noBall = e.kind() == RunEvent.Kind.MISS && e.note() != null;
            if (noBall) noBalls++;
            ledger.add("batter", noBall ? List.of(Bowling.NoBall.valueOf(e.note())) : List.of());
        }
        return RoundDetail.ofNoBalls(noBalls, ledger.halfScores);
    }

    private static int count(List<RunEvent> taps, RunEvent.Kind kind) {
        return (int) taps.stream().filter(e -> e.kind() == kind).count();
    }
}
