package org.unrulymarble.core.games;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.games.Bowling.Judged;
import org.unrulymarble.core.games.Bowling.NoBall;

/**
 * {@link Bowling} as an umpire keeps it: one tap of a zone beside the batter for each ball, and what the bowler must know before the next one.
 *
 * @param batters in the order in which they came in
 * @param next for the next ball to the batter who is in
 */
public record BowlingSheet(List<Judged> balls, int halfScores, List<BatterLine> batters, Next next) {

    /** Where the ball passed, as seen by the umpire. */
    public enum Zone {
        FAIR,
        HIGH,
        LOW,
        BODY,
        WIDE_OF_BAT,
        WIDE_BEHIND
    }

    /** One batter's line. */
    public record BatterLine(String batter, int balls, int noBalls, int halfScores) {}

    /** What the bowler must know. ONE_RUNNING_INHERITED: the first was another bowler's. */
    public enum Next {
        FREE,
        ONE_RUNNING,
        ONE_RUNNING_INHERITED
    }

    /** One ball. */
    public record ZoneBall(
            String batter, String bowler, Zone zone, Boolean bounced, Boolean jerkyArm, Boolean footOver) {
        public ZoneBall {
            new Checks()
                    .text("batter", batter, 200)
                    .text("bowler", bowler, 200)
                    .required("zone", zone)
                    .required("bounced", bounced)
                    .required("jerkyArm", jerkyArm)
                    .required("footOver", footOver)
                    .done();
        }
    }

    /** At most 10,000 balls, in order; who is in and who bowls the next one. */
    public record BowlingSheetAsk(List<ZoneBall> balls, String batterNow, String bowlerNow) {
        public BowlingSheetAsk {
            new Checks()
                    .entries("balls", balls, 0, 10_000)
                    .text("batterNow", batterNow, 200)
                    .text("bowlerNow", bowlerNow, 200)
                    .done();
            balls = List.copyOf(balls);
        }
    }

    public static BowlingSheet of(BowlingSheetAsk ask) {
        Bowling.Ledger ledger = new Bowling.Ledger();
        Map<String, int[]> lines = new LinkedHashMap<>();
        for (ZoneBall ball : ask.balls()) {
            List<NoBall> faults = faults(ball);
            ledger.add(ball.batter(), faults);
            int[] line = lines.computeIfAbsent(ball.batter(), name -> new int[3]);
            line[0]++;
            if (!faults.isEmpty()) line[1]++;
            if (ledger.judged.get(ledger.judged.size() - 1).halfScore()) line[2]++;
        }
        List<BatterLine> batters = new ArrayList<>();
        lines.forEach((name, line) -> batters.add(new BatterLine(name, line[0], line[1], line[2])));
        return new BowlingSheet(List.copyOf(ledger.judged), ledger.halfScores, List.copyOf(batters), next(ask, ledger));
    }

    private static Next next(BowlingSheetAsk ask, Bowling.Ledger ledger) {
        if (!ledger.oneRunning) return Next.FREE;
        ZoneBall last = ask.balls().get(ask.balls().size() - 1);
        if (!last.batter().equals(ask.batterNow())) return Next.FREE;
        return last.bowler().equals(ask.bowlerNow()) ? Next.ONE_RUNNING : Next.ONE_RUNNING_INHERITED;
    }

    private static List<NoBall> faults(ZoneBall ball) {
        List<NoBall> faults = new ArrayList<>();
        switch (ball.zone()) {
            case FAIR -> {}
            case HIGH -> faults.add(NoBall.HIGH);
            case LOW -> faults.add(NoBall.LOW);
            case BODY -> faults.add(NoBall.BODY);
            case WIDE_OF_BAT, WIDE_BEHIND -> faults.add(NoBall.WIDE);
        }
        if (ball.bounced()) faults.add(NoBall.BOUNCED);
        if (ball.jerkyArm()) faults.add(NoBall.ARM);
        if (ball.footOver()) faults.add(NoBall.FOOT);
        return List.copyOf(faults);
    }
}
