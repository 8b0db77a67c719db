package org.unrulymarble.core.score;

import java.util.List;

/**
 * What one pupil scored in one round.
 *
 * @param segment the round
 * @param take from 1: how often it had been begun
 * @param score in the unit of the block's measure
 * @param hits tries that counted, or null if only the score is known
 * @param misses tries that did not, or null if nobody counted them
 * @param tries all tries, or null if that is not known
 * @param source who counted
 * @param jointWith pupils who share this one result, else empty
 */
public record RoundResult(
        String pupilId,
        int segment,
        int take,
        int score,
        Integer hits,
        Integer misses,
        Integer tries,
        Source source,
        List<String> jointWith) {

    /** Who counted. */
    public enum Source {
        /** The adult, try by try. */
        ADULT,
        /** The partner, told to the adult after the round. */
        PARTNER,
        /** The pupil alone, told to the adult after the round. */
        SELF
    }
}
