package org.unrulymarble.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.unrulymarble.server.platform.TooManyTries;

/**
 * How often names and passwords may be guessed: for one name from one address, from one address in all, for one name from wherever, and in all. A try
 * that was right is given back. From where an account has come in before, only the first limit counts: whoever guesses elsewhere locks nobody out.
 */
@Component
class SignInLimit {

    private static final int REMEMBERED = 20_000;

    /** One address alone stays below what locks a name, and ten below what locks all. */
    private enum Rule {
        NAME_FROM_ADDRESS(10, 1),
        ADDRESS(60, 1),
        NAME(150, 10),
        ALL(600, 1);

        final Bandwidth limit;

        Rule(int tries, int minutes) {
            limit = Bandwidth.builder()
                    .capacity(tries)
                    .refillGreedy(tries, Duration.ofMinutes(minutes))
                    .build();
        }
    }

    private final Cache<String, Bucket> buckets =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    /** One try, counted already; {@link #right} gives it back. */
    final class Try {
        private final List<Bucket> counted;

        private Try(List<Bucket> counted) {
            this.counted = counted;
        }

        void right() {
            counted.forEach(b -> b.addTokens(1));
        }
    }

    /**
     * @param name as the account is looked up
     * @param known whether this account has come in from there before
     * @throws TooManyTries when this was one too many
     */
    Try count(String address, String name, boolean known) {
        Bucket own = bucket(Rule.NAME_FROM_ADDRESS, address + " " + name);
        List<Bucket> all = known
                ? List.of(own)
                : List.of(own, bucket(Rule.ADDRESS, address), bucket(Rule.NAME, name), bucket(Rule.ALL, ""));
        for (int i = 0; i < all.size(); i++) {
            ConsumptionProbe probe = all.get(i).tryConsumeAndReturnRemaining(1);
            if (!probe.isConsumed()) {
                all.subList(0, i).forEach(b -> b.addTokens(1));
                throw new TooManyTries(1 + TimeUnit.NANOSECONDS.toSeconds(probe.getNanosToWaitForRefill()));
            }
        }
        return new Try(all);
    }

    private Bucket bucket(Rule rule, String key) {
        return buckets.get(
                rule + " " + key, k -> Bucket.builder().addLimit(rule.limit).build());
    }
}
