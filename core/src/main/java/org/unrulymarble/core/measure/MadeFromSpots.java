package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.unrulymarble.core.check.Checks;

/** So many from spot to spot in the round's time. @param spots 2 to 12; 5 where nothing was said */
public record MadeFromSpots(Integer spots) implements Measure {

    private static final int USUAL = 5;

    public MadeFromSpots {
        spots = spots == null ? (Integer) USUAL : spots;
        new Checks().range("spots", spots, 2, 12).done();
    }

    @Override
    public Kind kind() {
        return Kind.MADE_FROM_SPOTS;
    }

    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        List<Integer> made = new ArrayList<>(Collections.nCopies(spots, 0));
        for (Tap tap : taps)
            if (tap instanceof Tap.Hit hit && hit.number() != null && hit.number() >= 1 && hit.number() <= spots)
                made.set(hit.number() - 1, made.get(hit.number() - 1) + 1);
        return Scored.hits(taps, missesCounted).with(new Detail.Spots(made));
    }

    @Override
    public int most(int sec) {
        return CountInTime.MOST_A_SECOND * Math.max(1, sec);
    }

    @Override
    public Compared compared() {
        return Compared.BY_SECONDS;
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
