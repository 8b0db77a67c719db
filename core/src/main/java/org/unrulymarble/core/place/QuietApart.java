package org.unrulymarble.core.place;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.place.SideBySide.SideBySideAsk;
import org.unrulymarble.core.place.SideBySide.Station;

/**
 * A quiet station with a loud one nearer than is wanted.
 *
 * @param quiet place among the stations, from 0; {@code loud} likewise
 * @param gapM of floor between the two
 */
public record QuietApart(int quiet, int loud, double gapM) {

    /** Those that are too near, as the stations lie; who finds no room is near to nobody. */
    public static List<QuietApart> tooNear(SideBySideAsk ask, List<Station> stations) {
        return nearerThan(ask.quietApartM(), ask, stations);
    }

    static List<QuietApart> nearerThan(double apartM, SideBySideAsk ask, List<Station> stations) {
        List<QuietApart> out = new ArrayList<>();
        for (int q = 0; q < stations.size(); q++)
            for (int l = 0; l < stations.size(); l++) {
                if (ask.stations().get(q).noise() != Noise.QUIET
                        || ask.stations().get(l).noise() != Noise.LOUD
                        || !stations.get(q).fits()
                        || !stations.get(l).fits()) continue;
                double gap = gapM(stations.get(q), stations.get(l));
                if (gap < apartM - Rounding.SLACK) out.add(new QuietApart(q, l, gap));
            }
        return out;
    }

    /** The wider of the two gaps, along the room or across it: what the layout keeps free. */
    private static double gapM(Station a, Station b) {
        Area one = Area.of(a);
        return Math.max(0, Math.max(one.gapAlongM(Area.of(b)), one.gapAcrossM(Area.of(b))));
    }
}
