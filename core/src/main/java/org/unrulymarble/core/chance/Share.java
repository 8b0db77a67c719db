package org.unrulymarble.core.chance;

import org.hipparchus.distribution.continuous.BetaDistribution;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * How often it goes in, and how sure that is. Source: the rate ~ Beta(1 + hits, 1 + misses), its mean and the middle of its weight.
 *
 * @param share the mean, so that one hit of one is two of three and not certainty
 */
public record Share(double share, double low, double high) {

    /** hits and misses 0 to 100,000; sure between 0 and 1, the weight between low and high. */
    public record ShareAsk(@Nullable Integer hits, @Nullable Integer misses, Double sure) {
        public ShareAsk {
            new Checks()
                    .range("hits", hits, 0, 100_000)
                    .range("misses", misses, 0, 100_000)
                    .range("sure", sure, 0.01, 0.9999)
                    .done();
        }
    }

    public static Share of(ShareAsk ask) {
        return weighted(ask.hits(), ask.misses(), ask.sure());
    }

    /** The same of tries that count for less than one each. */
    public static Share weighted(double hits, double misses, double sure) {
        BetaDistribution rate = new BetaDistribution(1 + hits, 1 + Math.max(0, misses));
        double tail = (1 - sure) / 2;
        return new Share(
                rate.getNumericalMean(),
                rate.inverseCumulativeProbability(tail),
                rate.inverseCumulativeProbability(1 - tail));
    }
}
