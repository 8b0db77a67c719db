package org.unrulymarble.core.score;

import java.util.List;

/**
 * What a run's log says.
 *
 * @param finished whether the run was ended
 * @param touchesPerPupil tries that were counted, on average of the pupils with a result; takes the place of the plan's estimate
 * @param results one for each pupil, round and take that has any count, in the order of the script
 */
public record RunState(RunClock clock, boolean finished, List<RoundResult> results, int touchesPerPupil) {}
