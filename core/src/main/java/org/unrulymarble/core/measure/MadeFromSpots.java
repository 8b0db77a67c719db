package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.unrulymarble.core.check.Checks;

/**
 * So many from spot to spot in the round's time.
 *
 * @param spots 2 to 12; 5 where nothing was said
 * @param spotOrder round and round where nothing was said
 * @param spotBackM how much further back each spot lies than the one before, 0 to 10 m; 0 where they lie round the target, all as far
 */
public record MadeFromSpots(Integer spots, Order spotOrder, Double spotBackM) implements Measure {

    /** From where next. */
    public enum Order {
        ROUND,
        OUT_AND_BACK,
        /** Whoever misses stays. */
        UNTIL_MADE,
        /** As the thrower likes. */
        ANY
    }

    private static final int USUAL = 5;

    public MadeFromSpots {
        spots = spots == null ? (Integer) USUAL : spots;
        spotOrder = spotOrder == null ? Order.ROUND : spotOrder;
        spotBackM = spotBackM == null ? (Double) 0.0 : spotBackM;
        new Checks()
                .range("spots", spots, 2, 12)
                .range("spotBackM", spotBackM, 0, 10)
                .done();
    }

    public MadeFromSpots(Integer spots) {
        this(spots, null, null);
    }

    /** How far the last spot lies behind the first. */
    public double wayM() {
        return (spots - 1) * spotBackM;
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
