package org.unrulymarble.core.flight;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Checks;

/** {@link Toss} and {@link TossForClaps} together, as they are drawn: what this ceiling gives, what a wish needs, and the height of the ball over time. */
public record UnderCeiling(Toss toss, TossForClaps wish, boolean wishFits, List<Rise> rises) {

    /** How high a room each number of claps needs. */
    public record Rise(int claps, double riseM, double ceilingNeededM, boolean fits) {}

    /** The toss's own fields and the number of claps wished for, 0 to 1,000. */
    public record UnderCeilingAsk(Toss.TossAsk toss, Integer wishClaps) {
        public UnderCeilingAsk {
            new Checks()
                    .required("toss", toss)
                    .range("wishClaps", wishClaps, 0, 1000)
                    .done();
        }
    }

    public static UnderCeiling of(UnderCeilingAsk ask) {
        Toss.TossAsk t = ask.toss();
        Toss toss = Toss.of(t);
        TossForClaps wish = forClaps(t, ask.wishClaps());
        List<Rise> rises = new ArrayList<>();
        for (int claps = 0; claps <= Math.max(6, Math.min(20, ask.wishClaps() + 1)); claps++) {
            TossForClaps needed = forClaps(t, claps);
            rises.add(new Rise(
                    claps, needed.riseM(), needed.ceilingNeededM(), claps <= toss.claps() && toss.airSec() > 0));
        }
        return new UnderCeiling(toss, wish, ask.wishClaps() <= toss.claps() && toss.airSec() > 0, List.copyOf(rises));
    }

    private static TossForClaps forClaps(Toss.TossAsk t, int claps) {
        return TossForClaps.of(new TossForClaps.TossForClapsAsk(
                claps, t.clearanceM(), t.ballRadiusM(), t.releaseM(), t.catchM(), t.clapSec(), t.handsSec()));
    }
}
