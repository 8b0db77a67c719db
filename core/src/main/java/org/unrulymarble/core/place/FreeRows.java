package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.unrulymarble.core.check.Rounding;

/**
 * Rows of spots that all look one way, each slid on its own past what is in the way. Every packing of rows can be pushed until each row touches the
 * edge, something that is in the way, or the row before, and each spot likewise: with those places alone the count is the most that rows can hold.
 */
final class FreeRows {

    /** As many rows as one looks through; a floor of more holds everybody anyway. */
    private static final int MOST_PLACES = 400;

    private final double lengthM;
    private final double alongM;
    private final double acrossM;
    private final Footprint footprint;
    private final List<Area> inTheWay;

    /**
     * @param lengthM of the floor, along the rows
     * @param alongM of one spot, along the rows; {@code acrossM} the other way
     * @param inTheWay floor that stays free, measured as the spots are
     */
    FreeRows(double lengthM, double alongM, double acrossM, Footprint footprint, List<Area> inTheWay) {
        this.lengthM = lengthM;
        this.alongM = alongM;
        this.acrossM = acrossM;
        this.footprint = footprint;
        this.inTheWay = inTheWay;
    }

    /** One row at such a place, as many as stand in it; {@code edgeM} at its two ends. */
    List<Spots.Placed> row(double yM) {
        List<Spots.Placed> row = new ArrayList<>();
        double from = footprint.edgeM();
        while (Rounding.fits(from + alongM + footprint.edgeM(), lengthM)) {
            double past = pastWhatIsInTheWay(from, yM);
            if (past <= from) {
                row.add(new Spots.Placed(from, yM, alongM, acrossM));
                from += alongM + footprint.gapM();
            } else from = past;
        }
        return row;
    }

    private double pastWhatIsInTheWay(double xM, double yM) {
        Area spot = new Area(xM, yM, alongM, acrossM);
        double past = xM;
        for (Area a : inTheWay) if (spot.meets(a)) past = Math.max(past, a.xM() + a.alongM());
        return past;
    }

    /** As many as stand in rows one beside the other on a floor of such a width; in one row where the task allows no second. */
    List<Spots.Placed> rows(double widthM) {
        List<Double> places = places(widthM);
        List<List<Spots.Placed>> rowAt = places.stream().map(this::row).toList();
        int[] most = new int[places.size() + 1];
        int[] next = new int[places.size()];
        for (int i = places.size() - 1; i >= 0; i--) {
            next[i] = after(places, i);
            int beyond = footprint.oneRow() ? 0 : most[next[i]];
            most[i] = Math.max(most[i + 1], rowAt.get(i).size() + beyond);
        }
        List<Spots.Placed> all = new ArrayList<>();
        for (int i = 0; i < places.size(); )
            if (most[i] == most[i + 1]) i++;
            else {
                all.addAll(rowAt.get(i));
                i = footprint.oneRow() ? places.size() : next[i];
            }
        return all;
    }

    /** Where a row can begin, first to last. */
    private List<Double> places(double widthM) {
        double last = widthM - footprint.edgeM() - acrossM;
        List<Double> from = new ArrayList<>(List.of(footprint.edgeM()));
        for (Area a : inTheWay) from.add(Math.max(footprint.edgeM(), a.yM() + a.acrossM()));
        TreeSet<Double> places = new TreeSet<>();
        for (double place : from)
            for (double y = place;
                    y <= last + Rounding.SLACK && places.size() < MOST_PLACES;
                    y += acrossM + footprint.gapM()) places.add(y);
        return List.copyOf(places);
    }

    private int after(List<Double> places, int row) {
        double free = places.get(row) + acrossM + footprint.gapM() - Rounding.SLACK;
        int next = row + 1;
        while (next < places.size() && places.get(next) < free) next++;
        return next;
    }
}
