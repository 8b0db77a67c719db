package org.unrulymarble.server.demo;

import java.util.SplittableRandom;
import org.unrulymarble.core.ladder.Family;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.server.store.PupilDetails;

/**
 * One made-up pupil who practises: a skill for each family that grows a little with every lesson, a pace, and an other hand
 * that is behind; what a rung asks is told by its planning share. Draws tries one by one; knows nothing of gates or bests.
 */
final class PupilModel {

    private final SplittableRandom random;
    private final double[] skill = new double[Family.values().length];
    private final double growth;
    private final double pace;
    private final double otherHandGap;
    private final PupilDetails.Hand strongHand;

    PupilModel(PupilDetails details, int place, SplittableRandom random) {
        this.random = random;
        this.strongHand = details.strongHand();
        for (int f = 0; f < skill.length; f++) skill[f] = -1.0 + 0.9 * normal();
        this.growth = 0.04 + 0.08 * random.nextDouble();
        this.pace = 0.85 + 0.35 * random.nextDouble();
        // A few have one hand well behind.
        this.otherHandGap = place % 9 == 3 ? 1.8 : 0.2 + 0.4 * random.nextDouble();
    }

    /** What one round came to. */
    record Round(int score, int hits, int misses) {}

    void practise(Family family) {
        skill[family.ordinal()] += growth;
    }

    Round round(Ladder ladder, Rung rung, Side side, int workSec) {
        double p = chance(ladder.family(), rung, side);
        return switch (rung.measure().kind()) {
            case HITS_OF_N, NO_BALLS ->
                ofTries(p, rung.gate().outOf() == null ? 10 : rung.gate().outOf());
            case LONGEST_RUN -> longest(p, rung, workSec);
            case FURTHEST -> furthest(p);
            case HELD_FOR_TIME ->
                new Round(Math.max(3, (int) (workSec * Math.min(1, p + 0.2 * random.nextDouble()))), 0, 0);
            case RINGS -> points(p);
            default -> inTime(p, rung, workSec);
        };
    }

    private double chance(Family family, Rung rung, Side side) {
        double share = rung.pace().share();
        double logit = skill[family.ordinal()] + Math.log(share / (1 - share));
        boolean other = strongHand == PupilDetails.Hand.RIGHT ? side == Side.LEFT : side == Side.RIGHT;
        if (other) logit -= otherHandGap;
        return 1 / (1 + Math.exp(-logit));
    }

    private Round inTime(double p, Rung rung, int workSec) {
        double left = workSec;
        int hits = 0;
        int misses = 0;
        while (true) {
            boolean hit = random.nextDouble() < p;
            left -= pace * (hit ? rung.pace().hitSec() : rung.pace().missSec());
            if (left < 0) return new Round(hits, hits, misses);
            if (hit) hits++;
            else misses++;
        }
    }

    private Round ofTries(double p, int tries) {
        int hits = 0;
        for (int i = 0; i < tries; i++) if (random.nextDouble() < p) hits++;
        return new Round(hits, hits, tries - hits);
    }

    private Round longest(double p, Rung rung, int workSec) {
        double left = workSec;
        int hits = 0;
        int misses = 0;
        int run = 0;
        int longest = 0;
        while (true) {
            boolean hit = random.nextDouble() < p;
            left -= pace * (hit ? rung.pace().hitSec() : rung.pace().missSec());
            if (left < 0) return new Round(longest, hits, misses);
            if (hit) {
                hits++;
                longest = Math.max(longest, ++run);
            } else {
                misses++;
                run = 0;
            }
        }
    }

    private Round furthest(double p) {
        int step = 1;
        int held = 0;
        int hits = 0;
        for (int i = 0; i < 12; i++) {
            if (random.nextDouble() < p - 0.06 * step) {
                hits++;
                held = Math.max(held, step++);
            } else {
                step = Math.max(1, step - 1);
            }
        }
        return new Round(held, hits, 12 - hits);
    }

    private Round points(double p) {
        int points = 0;
        int hits = 0;
        for (int i = 0; i < 10; i++) {
            if (random.nextDouble() > p) continue;
            hits++;
            double where = random.nextDouble();
            points += where < 0.2 ? 5 : where < 0.55 ? 3 : 1;
        }
        return new Round(points, hits, 10 - hits);
    }

    private double normal() {
        double sum = 0;
        for (int i = 0; i < 12; i++) sum += random.nextDouble();
        return sum - 6;
    }
}
