package org.unrulymarble.core.chance;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.distribution.continuous.GammaDistribution;
import org.hipparchus.special.Beta;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * Scores of rounds of different length, made comparable. Source: a count in a time is Poisson about its rate; the interval is the exact one from
 * the gamma distribution; the chance that the last rate is above the first follows from two gamma rates, whose ratio is a beta.
 *
 * @param lastHigherThanFirst chance that the last round's rate is truly above the first round's; null with one score
 */
public record Rates(List<Rate> rates, @Nullable Double lastHigherThanFirst) {

    /** Per minute, with the interval of the count's own chance. */
    public record Rate(double perMin, double lowPerMin, double highPerMin) {}

    /** count 0 to 100,000; roundSec 1 to 14,400. */
    public record TimedCount(Integer count, Integer roundSec) {
        public TimedCount {
            new Checks()
                    .range("count", count, 0, 100_000)
                    .range("roundSec", roundSec, 1, Checks.MAX_SEC)
                    .done();
        }
    }

    /** 1 to 50 scores, the oldest first; sure between 0 and 1. */
    public record RatesAsk(List<TimedCount> scores, Double sure) {
        public RatesAsk {
            new Checks()
                    .entries("scores", scores, 1, 50)
                    .range("sure", sure, 0.01, 0.9999)
                    .done();
            scores = List.copyOf(scores);
        }
    }

    public static Rates of(RatesAsk ask) {
        double tail = (1 - ask.sure()) / 2;
        List<Rate> rates = new ArrayList<>();
        for (TimedCount s : ask.scores()) {
            double min = s.roundSec() / 60.0;
            double low = s.count() == 0 ? 0 : new GammaDistribution(s.count(), 1).inverseCumulativeProbability(tail);
            double high = new GammaDistribution(s.count() + 1.0, 1).inverseCumulativeProbability(1 - tail);
            rates.add(new Rate(s.count() / min, low / min, high / min));
        }
        return new Rates(List.copyOf(rates), ask.scores().size() < 2 ? null : (Double) higher(ask.scores()));
    }

    private static double higher(List<TimedCount> scores) {
        TimedCount first = scores.get(0);
        TimedCount last = scores.get(scores.size() - 1);
        double split = (double) last.roundSec() / (first.roundSec() + last.roundSec());
        return 1 - Beta.regularizedBeta(split, last.count() + 1.0, first.count() + 1.0);
    }
}
