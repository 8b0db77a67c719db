package org.unrulymarble.core.measure;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.unrulymarble.core.check.Checks;

/**
 * Goes until all numbered balls are kept.
 *
 * @param balls 2 to 12; 6 where nothing was said
 * @param draw which numbers may come; all of them where nothing was said
 * @param firstBall the number on the first of them, the others follow on; 1 to 99, 1 where nothing was said
 */
public record KeepAll(Integer balls, Draw draw, Integer firstBall) implements Measure {

    /** Which numbers may come. */
    public enum Draw {
        ALL,
        LEFT
    }

    private static final int USUAL = 6;

    public KeepAll {
        balls = balls == null ? (Integer) USUAL : balls;
        draw = draw == null ? Draw.ALL : draw;
        firstBall = firstBall == null ? (Integer) 1 : firstBall;
        new Checks()
                .range("balls", balls, 2, 12)
                .range("firstBall", firstBall, 1, 99)
                .done();
    }

    /** Numbered from 1. */
    public KeepAll(Integer balls, Draw draw) {
        this(balls, draw, null);
    }

    /** The numbers that are on the balls. */
    public List<Integer> numbers() {
        return IntStream.range(firstBall, firstBall + balls).boxed().toList();
    }

    @Override
    public Kind kind() {
        return Kind.KEEP_ALL;
    }

    /** Goes after the last ball was kept are not looked at. Guessing gives one in the balls that may come at each go. */
    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        Set<Integer> kept = new TreeSet<>();
        int goes = 0;
        int hits = 0;
        int run = 0;
        int longest = 0;
        double guessed = 0;
        for (Tap tap : taps) {
            if (kept.size() == balls) break;
            goes++;
            guessed += 1.0 / (draw == Draw.ALL ? balls : balls - kept.size());
            if (!(tap instanceof Tap.Hit hit)) {
                run = 0;
                continue;
            }
            hits++;
            longest = Math.max(longest, ++run);
            if (hit.number() != null && hit.number() >= firstBall && hit.number() < firstBall + balls)
                kept.add(hit.number());
        }
        if (kept.size() < balls) return Scored.NOTHING;
        double open = goes - guessed;
        Double share = open < 1e-9 ? null : (Double) Math.max(0, (hits - guessed) / open);
        return new Scored(goes, hits, goes - hits, longest, new Detail.Guessed(share));
    }

    @Override
    public boolean lessIsBetter() {
        return true;
    }

    @Override
    public Compared compared() {
        return Compared.AS_IT_IS;
    }

    @Override
    public boolean countsTries() {
        return true;
    }
}
