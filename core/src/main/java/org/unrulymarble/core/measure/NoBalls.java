package org.unrulymarble.core.measure;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.games.Bowling;

/**
 * Fair balls to a batter, with the no-balls kept and two running told.
 *
 * @param n how many deliveries, 1 to 2,000; null where the clock ends the round
 */
public record NoBalls(@Nullable Integer n) implements Measure {

    public NoBalls {
        if (n != null) new Checks().range("n", n, 1, 2000).done();
    }

    @Override
    public Kind kind() {
        return Kind.NO_BALLS;
    }

    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        Bowling.Ledger ledger = new Bowling.Ledger();
        int noBalls = 0;
        for (Tap tap : taps) {
            Bowling.NoBall why = tap instanceof Tap.Miss miss ? miss.noBall() : null;
            if (why != null) noBalls++;
            ledger.add("batter", why == null ? List.of() : List.of(why));
        }
        return new HitsOfN(n)
                .score(taps, missesCounted, workedMs)
                .with(new Detail.Bowled(noBalls, ledger.halfScores()));
    }

    @Override
    public Scored told(int score, Integer timeMs) {
        return new HitsOfN(n).told(score, timeMs);
    }

    @Override
    public int most(int sec) {
        return new HitsOfN(n).most(sec);
    }

    @Override
    public Compared compared() {
        return Compared.BY_TRIES;
    }

    @Override
    public boolean countsTries() {
        return true;
    }

    @Override
    public boolean tappable() {
        return true;
    }
}
