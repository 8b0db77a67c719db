package org.unrulymarble.core.run;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a run's log says.
 *
 * @param finished whether the run was ended
 * @param stopped whether everybody was stopped and nobody said go since
 * @param touchesPerPupil tries that were counted, on average of the pupils with a result; takes the place of the plan's estimate
 * @param results one for each pupil, round and take that has any count, in the order of the script
 * @param away pupils who are put aside now
 * @param disputes counts of the same pupil in the same round by several devices, never added up; settled ones stay readable
 * @param scoresOnWall whether the wall shows what was scored
 * @param remarks faults seen and pupils' own words, in order; then the rungs that they chose
 */
public record RunState(
        RunClock clock,
        boolean finished,
        boolean stopped,
        List<RoundResult> results,
        int touchesPerPupil,
        Set<String> away,
        List<Dispute> disputes,
        boolean scoresOnWall,
        List<Remark> remarks) {

    /**
     * Several counts of one pupil in one round.
     *
     * @param stands the device whose count was said to stand, or null while nobody has said so: then that of whoever began first does
     */
    public record Dispute(
            int segment,
            int take,
            String pupilId,
            List<Count> counts,
            @Nullable String stands) {}

    /** What one device counted. */
    public record Count(String device, int hits, int misses, int longestRun) {}

    /**
     * @param pupilId null for a fault that was seen in general
     * @param rungId the rung that the pupil was on, or the block's; null where it has none
     * @param note the fault's id, the word, or the rung that was chosen
     */
    public record Remark(
            What.Remarked.Kind kind,
            int segment,
            @Nullable String pupilId,
            @Nullable String rungId,
            String note) {}
}
