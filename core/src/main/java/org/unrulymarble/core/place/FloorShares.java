package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What spots that lie on a floor at the same time take of it, measured in many ways: by none of them can spots that do not overlap come to more than 1,
 * wherever they lie. Besides the area these count how much of the length or the width is barred to another: of two spots that are wider than half of a
 * corridor none lies beside the other, so that their lengths add up. What has to stay free, as before a door, takes its share as well. Source: dual feasible functions for packing in two dimensions, u(k)(x) = floor((k+1) x) / k
 * where (k+1) x is not whole, else x.
 */
public final class FloorShares {

    private static final int MOST_K = 3;
    private static final double SAME = 1e-9;

    /** Of what lies apart so much is counted to each spot, and all round the floor as well. */
    private static final double[] APART_M = {0.1, 0.2, 0.4};

    private static final int OF_A_SIZE = (MOST_K + 1) * (MOST_K + 1);

    private final Space room;
    private final double[] free;

    /** @param freeM depth of what stays free before doors and ways @param leastM no spot is narrower: where less is left beside those, nothing lies */
    public FloorShares(Place place, double freeM, double leastM) {
        this.room = place.size();
        this.free = new double[measures()];
        Arrays.fill(free, 1);
        List<Area> counted = new ArrayList<>();
        for (Area kept : StationFloor.keptFree(place, freeM)) {
            Area inRoom = withUseless(inRoom(kept), leastM);
            // Of two that overlap one is counted.
            if (counted.stream().anyMatch(inRoom::meets)) continue;
            counted.add(inRoom);
            take(inRoom);
        }
    }

    /** By each measure, what spots may come to together: 1 less what stays free. */
    public double[] free() {
        return free.clone();
    }

    /** With what is too narrow for any spot between it and a side of the room. */
    private Area withUseless(Area a, double leastM) {
        Area longer = stretched(a, leastM, room.lengthM());
        return stretched(longer.turned(), leastM, room.widthM()).turned();
    }

    private static Area stretched(Area a, double leastM, double roomM) {
        double from = a.xM() < leastM - SAME ? 0 : a.xM();
        double to = roomM - a.xM() - a.alongM() < leastM - SAME ? roomM : a.xM() + a.alongM();
        return new Area(from, a.yM(), to - from, a.acrossM());
    }

    private Area inRoom(Area a) {
        double x = Math.max(0, a.xM());
        double y = Math.max(0, a.yM());
        return new Area(
                x,
                y,
                Math.max(0, Math.min(room.lengthM(), a.xM() + a.alongM()) - x),
                Math.max(0, Math.min(room.widthM(), a.yM() + a.acrossM()) - y));
    }

    /** A spot may lie against it: what is counted to the spot for lying apart is not there. */
    private void take(Area kept) {
        for (int a = 0; a < APART_M.length; a++) {
            double along = Math.max(0, kept.alongM() - APART_M[a]) / (room.lengthM() + APART_M[a]);
            double across = Math.max(0, kept.acrossM() - APART_M[a]) / (room.widthM() + APART_M[a]);
            double[] takes = shares(along, across);
            for (int m = 0; m < OF_A_SIZE; m++) free[a * OF_A_SIZE + m] -= takes[m];
        }
    }

    /** How many measures there are. */
    public static int measures() {
        return APART_M.length * OF_A_SIZE;
    }

    /** Of one spot, by each measure; it may lie along the room or across it. */
    public double[] of(Footprint f) {
        double[] least = new double[measures()];
        for (int a = 0; a < APART_M.length; a++) {
            double apartM = Math.min(f.gapM(), APART_M[a]);
            double lengthM = room.lengthM() + APART_M[a];
            double widthM = room.widthM() + APART_M[a];
            double[] along = shares((f.lengthM() + apartM) / lengthM, (f.widthM() + apartM) / widthM);
            double[] across = shares((f.widthM() + apartM) / lengthM, (f.lengthM() + apartM) / widthM);
            for (int m = 0; m < OF_A_SIZE; m++) least[a * OF_A_SIZE + m] = Math.min(along[m], across[m]);
        }
        return least;
    }

    private static double[] shares(double x, double y) {
        double[] out = new double[OF_A_SIZE];
        // What is longer than the room cannot lie that way round.
        boolean fits = x <= 1 + SAME && y <= 1 + SAME;
        for (int i = 0; i <= MOST_K; i++)
            for (int j = 0; j <= MOST_K; j++) out[i * (MOST_K + 1) + j] = fits ? dual(i, x) * dual(j, y) : 2;
        return out;
    }

    /** @param k 0 for the size itself */
    private static double dual(int k, double x) {
        double times = (k + 1) * x;
        if (k == 0 || Math.abs(times - Math.rint(times)) < SAME) return x;
        return Math.floor(times) / k;
    }
}
