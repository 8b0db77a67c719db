package org.unrulymarble.core.record;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.run.What;

/**
 * What was said of a pupil's round, by the pupil or by whoever watched.
 *
 * @param ladderId null for what was said after free combining
 * @param note the fault's id, a {@link What.Word}, the pupil's one word, or the id of the rung that the pupil chose
 * @param set in which it was seen, said or called, from 1; null for remarks of earlier versions
 */
public record PupilRemark(
        String pupilId,
        LocalDate on,
        @Nullable String ladderId,
        @Nullable String rungId,
        What.Remarked.Kind kind,
        String note,
        @Nullable Integer set) {

    public PupilRemark(
            String pupilId, LocalDate on, String ladderId, String rungId, What.Remarked.Kind kind, String note) {
        this(pupilId, on, ladderId, rungId, kind, note, null);
    }
}
