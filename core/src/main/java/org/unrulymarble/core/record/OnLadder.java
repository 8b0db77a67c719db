package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Side;

/**
 * One pupil on one ladder, as short as a look over a class needs it; {@link LadderRecord} tells the whole.
 *
 * @param rungId where the pupil stands, with the verdict, whether it is too old to be leant on, and what each side says
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
        boolean seeAgain,
        List<OnSide> sides,
        List<Done> challenges,
        List<Questions.Found> found,
        @Nullable LocalDate firstOn,
        @Nullable LocalDate lastOn,
        int rounds,
        int workedSec) {

    /**
     * One side on the rung where the pupil stands.
     *
     * @param reckoned what the tries say
     * @param hits,misses counted there, {@code weightedTries} with age and doubt taken off; {@code triesOnLadder} on all its rungs; {@code known} whether anything says something
     * @param share of tries that go in today, with its 90 % interval {@code shareLow} to {@code shareHigh}; {@code nextShare} on the rung above, null at the top
     */
    public record OnSide(
            Side side,
            Mastery.Advice reckoned,
            int hits,
            int misses,
            boolean known,
            double weightedTries,
            double triesOnLadder,
            double ability,
            double abilitySd,
            double share,
            double shareLow,
            double shareHigh,
            @Nullable Double nextShare,
            double chanceHolds) {
        static OnSide of(SideAdvice s) {
            return new OnSide(
                    s.side(),
                    s.reckoned(),
                    s.hits(),
                    s.misses(),
                    s.known(),
                    s.weightedTries(),
                    s.triesOnLadder(),
                    s.ability(),
                    s.abilitySd(),
                    s.share().share(),
                    s.share().low(),
                    s.share().high(),
                    s.nextShare() == null ? null : s.nextShare().share(),
                    s.chanceHolds());
        }
    }

    /**
     * A challenge that was tried.
     *
     * @param completedOn null if it was not yet
     * @param gain the most by which a best is better than its own first, as a share of the first; null where no first can be bettered
     */
    public record Done(
            String rungId,
            List<Modifier> modifiers,
            @Nullable LocalDate completedOn,
            @Nullable Double gain) {}

    /** The same without what the questions find. */
    public OnLadder withoutFound() {
        return new OnLadder(
                pupilId,
                ladderId,
                rungId,
                verdict,
                seeAgain,
                sides,
                challenges,
                List.of(),
                firstOn,
                lastOn,
                rounds,
                workedSec);
    }
}
