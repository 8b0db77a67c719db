package org.unrulymarble.core.chance;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * What to call next: markers, colours or sides, balanced, and none too often running. Source: bags that hold each call twice, shuffled by the seed
 * until none runs too long, so that no call can be told from those before it as surely as from a bag of one each. The same seed calls the same.
 *
 * @param calls from 0, in the order called
 * @param counts of each
 * @param longestRun the longest there is
 * @param travelM from call to call, or out and back each time; 0 without places
 */
public record Calls(List<Integer> calls, List<Integer> counts, int longestRun, double travelM) {

    private static final int MOST_SHUFFLES = 10_000;

    /** Where a marker lies, -200 to 200 m from the starting place. */
    public record MarkerPlace(Double xM, Double yM) {
        public MarkerPlace {
            new Checks().range("xM", xM, -200, 200).range("yM", yM, -200, 200).done();
        }
    }

    /** seed whole, 0 to 2,147,483,647; choices 2 to 12; howMany 1 to 1,000; mostRunning 1 to 20; places none or one for each choice. */
    public record CallsAsk(
            Integer seed,
            Integer choices,
            Integer howMany,
            Integer mostRunning,
            Boolean backEachTime,
            List<MarkerPlace> places) {
        public CallsAsk {
            Checks checks = new Checks()
                    .range("seed", seed, 0, Integer.MAX_VALUE)
                    .range("choices", choices, 2, 12)
                    .range("howMany", howMany, 1, 1000)
                    .range("mostRunning", mostRunning, 1, 20)
                    .required("backEachTime", backEachTime)
                    .entries("places", places, 0, 12);
            checks.done();
            checks.that(places.isEmpty() || places.size() == choices, "places", Fault.Rule.ENTRIES, choices, choices)
                    .done();
            places = List.copyOf(places);
        }
    }

    public static Calls of(CallsAsk ask) {
        Random random = new Random(ask.seed());
        List<Integer> calls = new ArrayList<>();
        while (calls.size() < ask.howMany()) calls.addAll(bag(ask, calls, random));
        calls = calls.subList(0, ask.howMany());
        int[] counts = new int[ask.choices()];
        for (int call : calls) counts[call]++;
        List<Integer> counted = new ArrayList<>();
        for (int count : counts) counted.add(count);
        return new Calls(List.copyOf(calls), List.copyOf(counted), longest(calls), travel(ask, calls));
    }

    private static List<Integer> bag(CallsAsk ask, List<Integer> before, Random random) {
        List<Integer> bag = new ArrayList<>();
        for (int choice = 0; choice < ask.choices(); choice++) bag.addAll(List.of(choice, choice));
        List<Integer> tail = before.subList(Math.max(0, before.size() - ask.mostRunning()), before.size());
        for (int i = 0; i < MOST_SHUFFLES; i++) {
            Collections.shuffle(bag, random);
            List<Integer> joined = new ArrayList<>(tail);
            joined.addAll(bag);
            if (longest(joined) <= ask.mostRunning()) return bag;
        }
        throw new IllegalStateException("no order of " + ask.choices() + " choices keeps " + ask.mostRunning());
    }

    private static int longest(List<Integer> calls) {
        int longest = 0;
        int now = 0;
        for (int i = 0; i < calls.size(); i++) {
            now = i > 0 && calls.get(i).equals(calls.get(i - 1)) ? now + 1 : 1;
            longest = Math.max(longest, now);
        }
        return longest;
    }

    private static double travel(CallsAsk ask, List<Integer> calls) {
        if (ask.places().isEmpty()) return 0;
        double travel = 0;
        MarkerPlace at = new MarkerPlace(0.0, 0.0);
        for (int call : calls) {
            MarkerPlace next = ask.places().get(call);
            if (ask.backEachTime()) travel += 2 * Math.hypot(next.xM(), next.yM());
            else travel += Math.hypot(next.xM() - at.xM(), next.yM() - at.yM());
            at = next;
        }
        return travel;
    }
}
