package org.unrulymarble.core.games;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;

/**
 * No-balls of underarm bowling to a batter: two running to the same batter cost half a score.
 *
 * @param halfScores how many half scores were given away
 */
public record Bowling(List<Judged> deliveries, int halfScores) {

    /** What makes a delivery a no-ball, in the order in which it is told. */
    public enum NoBall {
        HIGH,
        LOW,
        BODY,
        WIDE,
        BOUNCED,
        ARM,
        FOOT
    }

    /** The kinds of a fair ball, in the order in which pads offer them; a hit's number is its place in it, from 1. */
    public enum FairKind {
        SAFE,
        DROPPING,
        RISING,
        QUICK,
        SPUN
    }

    /** @param halfScore whether this is the second no-ball running to the batter */
    public record Judged(List<NoBall> faults, boolean halfScore) {}

    /** One ball at the batter. Heights 0 to 20,000 cm; sideCm from the middle of the body, towards the bat positive. */
    public record Delivery(
            String batter,
            Double heightCm,
            Double headCm,
            Double kneeCm,
            Double sideCm,
            Double bodyHalfWidthCm,
            Double reachCm,
            Boolean bounced,
            Boolean jerkyArm,
            Boolean footOver) {
        public Delivery {
            new Checks()
                    .text("batter", batter, 200)
                    .range("heightCm", heightCm, 0, 20_000)
                    .range("headCm", headCm, 0, 20_000)
                    .range("kneeCm", kneeCm, 0, 20_000)
                    .range("sideCm", sideCm, -20_000, 20_000)
                    .range("bodyHalfWidthCm", bodyHalfWidthCm, 0, 20_000)
                    .range("reachCm", reachCm, 0, 20_000)
                    .required("bounced", bounced)
                    .required("jerkyArm", jerkyArm)
                    .required("footOver", footOver)
                    .that(
                            kneeCm == null || headCm == null || kneeCm < headCm,
                            "headCm",
                            Fault.Rule.ABOVE_FIELD,
                            "kneeCm")
                    .that(
                            bodyHalfWidthCm == null || reachCm == null || bodyHalfWidthCm < reachCm,
                            "reachCm",
                            Fault.Rule.ABOVE_FIELD,
                            "bodyHalfWidthCm")
                    .done();
        }
    }

    /** At most 10,000 deliveries, in order. */
    public record BowlingAsk(List<Delivery> deliveries) {
        public BowlingAsk {
            new Checks().entries("deliveries", deliveries, 0, 10_000).done();
            deliveries = List.copyOf(deliveries);
        }
    }

    public static Bowling of(BowlingAsk ask) {
        Ledger ledger = new Ledger();
        for (Delivery d : ask.deliveries()) ledger.add(d.batter(), faults(d));
        return new Bowling(ledger.judged, ledger.halfScores);
    }

    /** Ball after ball: the second no-ball running to the same batter is half a score, and the count starts again. Not thread-safe. */
    public static final class Ledger {
        final List<Judged> judged = new ArrayList<>();
        int halfScores;
        boolean oneRunning;
        private String batter;

        public int halfScores() {
            return halfScores;
        }

        public void add(String nextBatter, List<NoBall> faults) {
            if (!nextBatter.equals(batter) || faults.isEmpty()) oneRunning = false;
            batter = nextBatter;
            boolean half = oneRunning && !faults.isEmpty();
            if (half) halfScores++;
            oneRunning = !faults.isEmpty() && !half;
            judged.add(new Judged(faults, half));
        }
    }

    private static List<NoBall> faults(Delivery d) {
        List<NoBall> faults = new ArrayList<>();
        boolean body = Rounding.fits(Math.abs(d.sideCm()), d.bodyHalfWidthCm());
        if (!Rounding.fits(d.heightCm(), d.headCm())) faults.add(NoBall.HIGH);
        if (!Rounding.fits(d.kneeCm(), d.heightCm())) faults.add(NoBall.LOW);
        if (body) faults.add(NoBall.BODY);
        if (!body && (d.sideCm() < 0 || !Rounding.fits(d.sideCm(), d.reachCm()))) faults.add(NoBall.WIDE);
        if (d.bounced()) faults.add(NoBall.BOUNCED);
        if (d.jerkyArm()) faults.add(NoBall.ARM);
        if (d.footOver()) faults.add(NoBall.FOOT);
        return List.copyOf(faults);
    }
}
