package org.unrulymarble.core.rotation;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.unrulymarble.core.check.Checks;

/**
 * Groups over stations so that each group visits every station once. Source: a cyclic table; with more groups than stations those left over rest,
 * and each group rests equally often.
 *
 * @param rounds as many as there are stations, or groups if there are more of those
 * @param totalSec explaining, rounds and swaps
 */
public record Stations(List<Round> rounds, long totalSec) {

    /**
     * One round.
     *
     * @param stationOfGroup from 1, by group; null rests
     */
    public record Round(long startSec, long endSec, List<Integer> stationOfGroup) {}

    /** groups and stations 1 to 60; seconds whole, 0 to 14,400; roundSec at least 1. */
    public record StationsAsk(Integer groups, Integer stations, Integer explainSec, Integer roundSec, Integer swapSec) {
        public StationsAsk {
            new Checks()
                    .range("groups", groups, 1, 60)
                    .range("stations", stations, 1, 60)
                    .seconds("explainSec", explainSec)
                    .range("roundSec", roundSec, 1, Checks.MAX_SEC)
                    .seconds("swapSec", swapSec)
                    .done();
        }
    }

    public static Stations of(StationsAsk ask) {
        int places = Math.max(ask.groups(), ask.stations());
        List<Round> rounds = new ArrayList<>();
        long start = ask.explainSec();
        for (int round = 0; round < places; round++) {
            List<Integer> at = new ArrayList<>();
            for (int group = 0; group < ask.groups(); group++) {
                int place = (group + round) % places;
                at.add(place < ask.stations() ? (Integer) (place + 1) : null);
            }
            rounds.add(new Round(start, start + ask.roundSec(), Collections.unmodifiableList(at)));
            start += ask.roundSec() + ask.swapSec();
        }
        return new Stations(List.copyOf(rounds), start - ask.swapSec());
    }
}
