package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.List;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Side;

/**
 * One pupil on one ladder, as short as a look over a class needs it; {@link LadderRecord} tells the whole.
 *
 * @param rungId where the pupil stands, with the verdict and the counted tries that it rests on
 * @param challenges those that were tried, in the order in which they were first tried
 * @param found what the questions find here
 * @param firstOn,lastOn first and last day with a round, or null without any
 * @param workedSec of rounds by the clock
 */
public record OnLadder(
        String pupilId,
        String ladderId,
        String rungId,
        Mastery.Advice verdict,
        List<Counted> counted,
        List<Done> challenges,
        List<Questions.Found> found,
        LocalDate firstOn,
        LocalDate lastOn,
        int rounds,
        int workedSec) {

    /** Counted tries of one side on the rung where the pupil stands. */
    public record Counted(Side side, int hits, int misses) {}

    /**
     * A challenge that was tried.
     *
     * @param completedOn null if it was not yet
     * @param gain the most by which a best is better than its own first, as a share of the first; null where no first can be bettered
     */
    public record Done(String rungId, List<Modifier> modifiers, LocalDate completedOn, Double gain) {}

    /** The same without what the questions find. */
    public OnLadder withoutFound() {
        return new OnLadder(
                pupilId, ladderId, rungId, verdict, counted, challenges, List.of(), firstOn, lastOn, rounds, workedSec);
    }
}
