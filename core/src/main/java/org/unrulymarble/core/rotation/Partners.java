package org.unrulymarble.core.rotation;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * Partners who change every round. Source: the circle method, one stays and the others move on by one; nobody meets twice before everybody has met
 * everybody. With an odd number each sits one round out before anyone sits out twice.
 *
 * @param roundsUntilAgain rounds before any pair would meet a second time
 */
public record Partners(List<PartnerRound> rounds, int roundsUntilAgain) {

    /** People from 1. @param sitsOut null with an even number */
    public record PartnerRound(List<Pair> pairs, @Nullable Integer sitsOut) {}

    /** Two people, the smaller number first. */
    public record Pair(int one, int other) {}

    /** people 2 to 64; howMany rounds, 1 to 63. */
    public record PartnersAsk(Integer people, Integer howMany) {
        public PartnersAsk {
            new Checks()
                    .range("people", people, 2, 64)
                    .range("howMany", howMany, 1, 63)
                    .done();
        }
    }

    public static Partners of(PartnersAsk ask) {
        int even = ask.people() + ask.people() % 2;
        int cycle = even - 1;
        List<PartnerRound> rounds = new ArrayList<>();
        for (int round = 0; round < ask.howMany(); round++) {
            List<Pair> pairs = new ArrayList<>();
            Integer sitsOut = null;
            for (int i = 0; i < even / 2; i++) {
                int one = i == 0 ? even : 1 + Math.floorMod(round + i, cycle);
                int other = 1 + Math.floorMod(round - i, cycle);
                if (one > ask.people()) sitsOut = other;
                else pairs.add(new Pair(Math.min(one, other), Math.max(one, other)));
            }
            pairs.sort((a, b) -> Integer.compare(a.one(), b.one()));
            rounds.add(new PartnerRound(List.copyOf(pairs), sitsOut));
        }
        return new Partners(List.copyOf(rounds), cycle);
    }
}
