package org.unrulymarble.core.measure;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;

/**
 * How far a class gets in a round of stepping back, as many pupils' rounds played out: a miss does what the stairs say, and the last step is where the
 * room ends. Seeded, so the same question has the same answer.
 *
 * @param low,likely,high furthest step held by a tenth, half and nine tenths of them; 0 where not even the first
 */
public record StepsHeld(int low, int likely, int high) {

    private static final int PLAYED = 400;
    private static final int MOST_TRIES = 2000;

    /**
     * Seconds of a try and of walking.
     *
     * @param stepSec to walk one step of distance
     */
    public record Seconds(double hitSec, double missSec, double stepSec) {}

    /**
     * @param shareOf share of tries that go in, of whoever has so large a part of the class below them
     * @param lastStep where the room ends, or null for no end
     */
    public static StepsHeld of(
            Stairs stairs, DoubleUnaryOperator shareOf, Seconds seconds, int roundSec, Integer lastStep) {
        SplittableRandom random = new SplittableRandom(17);
        int[] held = new int[PLAYED];
        for (int i = 0; i < PLAYED; i++)
            held[i] = round(stairs, shareOf.applyAsDouble((i + 0.5) / PLAYED), seconds, roundSec, lastStep, random);
        Arrays.sort(held);
        return new StepsHeld(held[PLAYED / 10], held[PLAYED / 2], held[PLAYED * 9 / 10]);
    }

    private static int round(
            Stairs stairs, double share, Seconds seconds, int roundSec, Integer lastStep, SplittableRandom random) {
        int step = 1;
        int run = 0;
        int held = 0;
        double sec = 0;
        for (int tries = 0; tries < MOST_TRIES; tries++) {
            boolean hit = random.nextDouble() < share;
            sec += hit ? seconds.hitSec() : seconds.missSec();
            if (sec > roundSec + 1e-9) break;
            int before = step;
            run = hit ? run + 1 : 0;
            if (run >= stairs.makesToStep()) {
                held = Math.max(held, step);
                run = 0;
                if (lastStep == null || step < lastStep) step++;
            } else if (!hit) step = Staircase.afterMiss(stairs.onMiss(), step);
            if (step != before) sec += Math.max(step, before) * seconds.stepSec();
        }
        return held;
    }
}
