package org.unrulymarble.core.run;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.measure.Detail;

/**
 * What one pupil scored in one round.
 *
 * @param segment the round
 * @param take from 1: how often it had been begun
 * @param score in the unit of the rung's measure
 * @param hits tries that counted, or null if only the score is known
 * @param misses tries that did not, or null if nobody counted them
 * @param tries all tries, or null if that is not known
 * @param inARow most hits one after the other, or null if that is not known
 * @param time how long it was worked; null where the clock does not end a round of this kind
 * @param source who counted
 * @param rungId the rung that the pupil was on
 * @param chosen whether that was chosen in the run, and not the plan's
 * @param trial whether the round was to find out
 * @param detail what else is known, or null
 * @param jointWith pupils who share this one result, else empty
 */
public record RoundResult(
        String pupilId,
        int segment,
        int take,
        int score,
        @Nullable Integer hits,
        @Nullable Integer misses,
        @Nullable Integer tries,
        @Nullable Integer inARow,
        @Nullable RoundTime time,
        Source source,
        String rungId,
        boolean chosen,
        boolean trial,
        @Nullable Detail detail,
        List<String> jointWith) {

    /** Who counted. */
    public enum Source {
        /** The adult, try by try. */
        ADULT,
        /** The partner, told to the adult after the round. */
        PARTNER,
        /** The pupil alone, told to the adult after the round. */
        SELF,
        /** Typed in when the lesson was over. */
        TYPED
    }
}
