package org.unrulymarble.core.chance;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * Numbered balls, a number called for each throw, until all are kept. With fewer left guessing gets easier, so the score takes it out: of the hits,
 * those that guessing would have given on average, which is one in as many numbers as could come. Source: correction for guessing,
 * (hits - guessed) / (tries - guessed), not below nought.
 *
 * @param called the number of every try, from 1
 * @param next the number to call, null when all are kept
 * @param guessedHits hits that guessing alone would have given
 * @param shareWithoutGuessing null before the first try, or where guessing could not have failed
 */
public record NumberCall(
        List<Integer> called,
        @Nullable Integer next,
        List<Integer> kept,
        List<Integer> left,
        double guessedHits,
        @Nullable Double shareWithoutGuessing) {

    /** Which numbers may come. */
    public enum DrawFrom {
        ALL,
        LEFT
    }

    /** seed whole, 0 to 2,147,483,647; balls 1 to 64; results at most 10,000 letters H and M, none after all are kept. */
    public record NumberCallAsk(Integer seed, Integer balls, DrawFrom drawFrom, String results) {
        public NumberCallAsk {
            Checks checks = new Checks()
                    .range("seed", seed, 0, Integer.MAX_VALUE)
                    .range("balls", balls, 1, 64)
                    .required("drawFrom", drawFrom)
                    .required("results", results);
            if (results != null)
                checks.that(results.length() <= 10_000, "results", Fault.Rule.LENGTH, 0, 10_000)
                        .that(
                                results.chars().allMatch(c -> c == 'H' || c == 'M'),
                                "results",
                                Fault.Rule.LETTERS,
                                "H, M");
            checks.done();
        }
    }

    /** Tries told after all balls are kept are not looked at. */
    public static NumberCall of(NumberCallAsk ask) {
        Random random = new Random(ask.seed());
        TreeSet<Integer> left = new TreeSet<>();
        for (int n = 1; n <= ask.balls(); n++) left.add(n);
        List<Integer> called = new ArrayList<>();
        List<Integer> kept = new ArrayList<>();
        double guessed = 0;
        int hits = 0;
        for (char result : ask.results().toCharArray()) {
            if (left.isEmpty()) break;
            int number = draw(ask, left, random);
            called.add(number);
            guessed += 1.0 / (ask.drawFrom() == DrawFrom.ALL ? ask.balls() : left.size());
            if (result == 'H') {
                hits++;
                if (left.remove(number)) kept.add(number);
            }
        }
        Integer next = left.isEmpty() ? null : (Integer) draw(ask, left, random);
        double open = called.size() - guessed;
        Double share = open < 1e-9 ? null : (Double) Math.max(0, (hits - guessed) / open);
        return new NumberCall(List.copyOf(called), next, List.copyOf(kept), List.copyOf(left), guessed, share);
    }

    private static int draw(NumberCallAsk ask, TreeSet<Integer> left, Random random) {
        if (ask.drawFrom() == DrawFrom.ALL) return 1 + random.nextInt(ask.balls());
        return new ArrayList<>(left).get(random.nextInt(left.size()));
    }
}
