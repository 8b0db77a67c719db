package org.unrulymarble.core.score;

import java.util.List;

/**
 * What is known of a round beside its score; what its measure does not tell is null.
 *
 * @param timeMs for the time for so many and courses: milliseconds of the best go
 * @param splitsMs milliseconds from its start, in order
 * @param landings where the throws landed, from the middle of the target
 * @param madeAtSpots for made from spots: how many at each
 * @param stepM for the furthest place: metres of one step
 * @param noBalls how many; {@code halfScores} how often two ran to the same batter
 * @param shareWithoutGuessing for keep all: the share of goes without what guessing would have given
 */
public record RoundDetail(
        Integer timeMs,
        List<Integer> splitsMs,
        List<Landing> landings,
        List<Integer> madeAtSpots,
        Double stepM,
        Integer noBalls,
        Integer halfScores,
        Double shareWithoutGuessing) {

    /** Right of the middle, and above it. */
    public record Landing(double xCm, double yCm) {}

    static RoundDetail ofTime(int timeMs, List<Integer> splitsMs) {
        return new RoundDetail(timeMs, List.copyOf(splitsMs), null, null, null, null, null, null);
    }

    static RoundDetail ofLandings(List<Landing> landings) {
        return new RoundDetail(null, null, List.copyOf(landings), null, null, null, null, null);
    }

    static RoundDetail ofSpots(List<Integer> madeAtSpots) {
        return new RoundDetail(null, null, null, List.copyOf(madeAtSpots), null, null, null, null);
    }

    static RoundDetail ofSteps(double stepM) {
        return new RoundDetail(null, null, null, null, stepM, null, null, null);
    }

    static RoundDetail ofNoBalls(int noBalls, int halfScores) {
        return new RoundDetail(null, null, null, null, null, noBalls, halfScores, null);
    }

    static RoundDetail ofShare(Double shareWithoutGuessing) {
        return new RoundDetail(null, null, null, null, null, null, null, shareWithoutGuessing);
    }
}
