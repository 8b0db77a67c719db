package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * A course as it is laid out: from the first marker, which is the start, past the others in their order.
 *
 * @param markers 2 to 30
 * @param back the same way back; else it ends at the last marker
 */
public record Course(List<Marker> markers, Boolean back) {

    private static final double BODY_M = 0.5;

    /** Where it lies, from a corner of the course's own floor: along it and across it, 0 to 50 m, kept to centimetres. */
    public record Marker(Double xM, Double yM) {
        public Marker {
            new Checks().range("xM", xM, 0, 50).range("yM", yM, 0, 50).done();
            xM = Math.round(xM * 100) / 100.0;
            yM = Math.round(yM * 100) / 100.0;
        }
    }

    public Course {
        back = back != null && back;
        Checks checks = new Checks().entries("markers", markers, 2, 30);
        checks.done();
        markers = List.copyOf(markers);
    }

    /** All markers as they are passed, those of the way back too. */
    private List<Marker> way() {
        List<Marker> way = new ArrayList<>(markers);
        if (back) for (int i = markers.size() - 2; i >= 0; i--) way.add(markers.get(i));
        return way;
    }

    /** From marker to marker in straight lines, in metres. */
    public double lengthM() {
        List<Marker> way = way();
        double m = 0;
        for (int i = 1; i < way.size(); i++) m += apart(way.get(i - 1), way.get(i));
        return m;
    }

    /** As it is told: to a tenth of a metre. */
    public double toldM() {
        return Math.round(lengthM() * 10) / 10.0;
    }

    /** How many markers have to be put down: one that is passed twice is one. */
    public int places() {
        return (int) markers.stream().distinct().count();
    }

    /** By how much its runner turns in all, in degrees; the turn at the far end is half a circle. */
    public double turnedDeg() {
        List<Marker> way = withoutStops(way());
        double deg = 0;
        for (int i = 2; i < way.size(); i++) {
            double before = heading(way.get(i - 2), way.get(i - 1));
            double after = heading(way.get(i - 1), way.get(i));
            deg += Math.abs(Math.IEEEremainder(after - before, 360));
        }
        return deg;
    }

    /**
     * A fair time in whole seconds: the way at a pace that can be kept, and so long for each quarter turn. Source: our own planning values, to be
     * bettered by one's own first time.
     *
     * @param straightMs m/s, above 0
     */
    public int fairSec(double straightMs, double quarterTurnSec) {
        double sec = lengthM() / straightMs + turnedDeg() / 90 * quarterTurnSec;
        return Math.max(1, Rounding.ceil(sec));
    }

    /** The floor that it takes along, with a body's room at either end. */
    public double alongM() {
        return BODY_M + markers.stream().mapToDouble(Marker::xM).max().orElse(0);
    }

    /** The same across. */
    public double acrossM() {
        return BODY_M + markers.stream().mapToDouble(Marker::yM).max().orElse(0);
    }

    private static List<Marker> withoutStops(List<Marker> way) {
        List<Marker> out = new ArrayList<>();
        for (Marker m : way) if (out.isEmpty() || apart(out.get(out.size() - 1), m) > Rounding.SLACK) out.add(m);
        return out;
    }

    private static double apart(Marker a, Marker b) {
        return Math.hypot(b.xM() - a.xM(), b.yM() - a.yM());
    }

    private static double heading(Marker a, Marker b) {
        return Math.toDegrees(Math.atan2(b.yM() - a.yM(), b.xM() - a.xM()));
    }
}
