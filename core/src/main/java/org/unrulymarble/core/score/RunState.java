package org.unrulymarble.core.score;

import java.util.List;

/**
 * What a run's log says.
 *
 * @param finished whether the run was ended
 * @param results one for each pupil, round and take that has any count, in the order of the script
 */
public record RunState(RunClock clock, boolean finished, List<RoundResult> results) {}
