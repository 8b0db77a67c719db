package org.unrulymarble.core.aim;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;

/**
 * {@link Rings} and {@link Landings} together: from counts, or from where throws landed, what the aim is worth and which of aim and scatter to
 * correct. The interval of a radius or a distance is that of the scatter carried over; the points are worked out at both of its ends.
 *
 * @param hits throws per ring, counted here where landings are given
 * @param rings null without throws
 * @param landings null with fewer than two landings
 * @param throwsToTell how many throws in all it would take, going on like this, to tell such a bias from chance; null where it is told already or
 *     more than 10,000
 * @param unseenBiasCm how far off the aim may be and still go unseen as often as once in five rows like this; null with fewer than two landings
 * @param correct which to work on
 */
public record AimSheet(
        List<Integer> hits,
        int outside,
        @Nullable Rings rings,
        @Nullable Interval radiusForShareCm,
        @Nullable Interval distanceForShareM,
        @Nullable Interval pointsPerThrow,
        @Nullable Landings landings,
        @Nullable Integer throwsToTell,
        @Nullable Double unseenBiasCm,
        Correct correct) {

    /** What to correct. COUNTS_ONLY: nobody can tell from counts; TOO_FEW: fewer than five landings. */
    public enum Correct {
        COUNTS_ONLY,
        TOO_FEW,
        AIM,
        SCATTER,
        BOTH,
        NEITHER
    }

    /** Ends of a 90 % interval, low first. */
    public record Interval(double low, double high) {}

    private static final int FEWEST_LANDINGS = 5;
    private static final int MOST_THROWS = 10_000;

    /** As {@link Rings.RingsAsk}, but nought throws are no fault; with points (0 to 10,000) the counts are taken from them. */
    public record AimSheetAsk(
            List<Rings.Ring> rings,
            List<Integer> hits,
            Integer outside,
            List<Landings.Point> points,
            Double distanceM,
            Double wantShare) {
        public AimSheetAsk {
            new Checks()
                    .entries("rings", rings, 1, 12)
                    .required("hits", hits)
                    .range("outside", outside, 0, 100_000)
                    .entries("points", points, 0, 10_000)
                    .length("distanceM", distanceM)
                    .between("wantShare", wantShare, 0, 1)
                    .done();
            Checks checks = new Checks().entries("hits", hits, rings.size(), rings.size());
            for (int i = 0; i < hits.size(); i++) checks.range("hits[" + i + "]", hits.get(i), 0, 100_000);
            for (int i = 1; i < rings.size(); i++)
                checks.that(
                        rings.get(i).outerRadiusCm() > rings.get(i - 1).outerRadiusCm(),
                        "rings[" + i + "].outerRadiusCm",
                        Fault.Rule.ABOVE_FIELD,
                        "rings[" + (i - 1) + "].outerRadiusCm");
            checks.done();
            rings = List.copyOf(rings);
            hits = List.copyOf(hits);
            points = List.copyOf(points);
        }
    }

    public static AimSheet of(AimSheetAsk ask) {
        int[] counted = ask.points().isEmpty() ? null : count(ask);
        List<Integer> hits = new ArrayList<>(ask.hits());
        int outside = ask.outside();
        if (counted != null) {
            for (int i = 0; i < hits.size(); i++) hits.set(i, counted[i]);
            outside = counted[hits.size()];
        }
        long inside = hits.stream().mapToLong(h -> h).sum();
        Rings rings = inside + outside == 0
                ? null
                : Rings.of(new Rings.RingsAsk(ask.rings(), hits, outside, ask.distanceM(), ask.wantShare()));
        boolean known = rings != null && rings.verdict() == Rings.Verdict.OK;
        Landings landings = ask.points().size() < 2 ? null : Landings.of(new Landings.LandingsAsk(ask.points()));
        return new AimSheet(
                List.copyOf(hits),
                outside,
                rings,
                known ? radius(rings) : null,
                known ? distance(rings) : null,
                known ? points(ask, rings) : null,
                landings,
                landings == null ? null : throwsToTell(landings, ask.points().size()),
                landings == null ? null : (Double) Unseen.biasCm(ask.points().size(), landings.spreadCm()),
                correct(ask, landings));
    }

    /** Throws per ring, the outside last; a throw on a line counts for the inner ring. */
    private static int[] count(AimSheetAsk ask) {
        int[] counts = new int[ask.rings().size() + 1];
        for (Landings.Point p : ask.points()) {
            double away = Math.hypot(p.xCm(), p.yCm());
            int ring = 0;
            while (ring < ask.rings().size()
                    && !Rounding.fits(away, ask.rings().get(ring).outerRadiusCm())) ring++;
            counts[ring]++;
        }
        return counts;
    }

    private static Interval radius(Rings r) {
        double perSigma = r.radiusForShareCm() / r.sigmaCm();
        return new Interval(r.sigmaLowCm() * perSigma, r.sigmaHighCm() * perSigma);
    }

    private static Interval distance(Rings r) {
        double timesSigma = r.distanceForShareM() * r.sigmaCm();
        return new Interval(finite(timesSigma / r.sigmaHighCm()), finite(timesSigma / r.sigmaLowCm()));
    }

    private static double finite(double x) {
        return Math.min(x, Double.MAX_VALUE);
    }

    private static Interval points(AimSheetAsk ask, Rings r) {
        double wide = Rings.pointsPerThrow(ask.rings(), r.sigmaHighCm());
        double narrow = Rings.pointsPerThrow(ask.rings(), r.sigmaLowCm());
        return new Interval(Math.min(wide, narrow), Math.max(wide, narrow));
    }

    private static Integer throwsToTell(Landings l, int already) {
        if (l.direction() != Landings.Direction.CENTRED || l.biasCm() < Rounding.SLACK) return null;
        for (int n = already + 1; n <= MOST_THROWS; n++)
            if (Landings.chanceOfBias(l.biasCm(), l.spreadCm(), n) < Landings.CENTRED_FROM) return n;
        return null;
    }

    /** Scatter is worth work when, even aimed true, fewer than the wanted share would land within the outermost ring. */
    private static Correct correct(AimSheetAsk ask, Landings l) {
        if (ask.points().isEmpty()) return Correct.COUNTS_ONLY;
        if (l == null || ask.points().size() < FEWEST_LANDINGS) return Correct.TOO_FEW;
        double edge = ask.rings().get(ask.rings().size() - 1).outerRadiusCm();
        double z = edge / Math.max(l.spreadCm(), Double.MIN_NORMAL);
        boolean scattered = -Math.expm1(-z * z / 2) < ask.wantShare() - Rounding.SLACK;
        boolean off = l.direction() != Landings.Direction.CENTRED;
        if (off) return scattered ? Correct.BOTH : Correct.AIM;
        return scattered ? Correct.SCATTER : Correct.NEITHER;
    }
}
