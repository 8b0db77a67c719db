package org.unrulymarble.core.rehearse;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;

/**
 * What is likely to come of a lesson: it was played so many times with this class's own abilities, with absences, and with set-ups, talks and changes
 * that take longer or shorter than planned. The same seed plays the same.
 *
 * @param endSec when it ends, from its beginning
 * @param pastBellShare of the plays that went past the bell
 * @param here how many of the class are there
 * @param blocks in the lesson's order
 */
public record Rehearsal(
        int plays, Spread endSec, long bellSec, double pastBellShare, Spread here, List<OfBlock> blocks) {

    /** A tenth of the plays is below {@code low}, half below {@code likely}, nine tenths below {@code high}. */
    public record Spread(double low, double likely, double high) {}

    /**
     * @param endSec when it is over, from the lesson's beginning
     * @param meetGate how many pupils meet the gate in it; null where no gate is counted or it cannot be told
     * @param expected the mean of that
     * @param oneRoundMore how many more would with one round more each, on average; null with it
     * @param tries of one pupil who is there, on average; 0 where none are counted
     * @param waitSec for which one pupil waits for a place, on average
     * @param pupils each with the chance to meet it when there
     */
    public record OfBlock(
            String blockId,
            Spread endSec,
            @Nullable Spread meetGate,
            @Nullable Double expected,
            @Nullable Double oneRoundMore,
            double tries,
            double waitSec,
            List<OfPupil> pupils) {}

    /** @param chance to meet the gate in the block, when there */
    public record OfPupil(@Nullable String pupilId, String name, double chance) {}

    /**
     * The figures are the house's.
     *
     * @param plays 1 to 5,000
     * @param absentShare of the class, each by chance
     * @param aroundMean what set-ups, talks and changes take against the plan, on average
     * @param aroundSd spread of that, of its logarithm
     */
    public record RehearsalAsk(
            Lesson lesson,
            Setting setting,
            Integer plays,
            Long seed,
            Double absentShare,
            Double aroundMean,
            Double aroundSd) {

        private static final int MOST_PLAYS = 5_000;

        public RehearsalAsk {
            new Checks()
                    .required("lesson", lesson)
                    .required("setting", setting)
                    .range("plays", plays, 1, MOST_PLAYS)
                    .required("seed", seed)
                    .range("absentShare", absentShare, 0, 1)
                    .range("aroundMean", aroundMean, 0.1, 10)
                    .range("aroundSd", aroundSd, 0, 2)
                    .done();
        }

        /** One in twenty is away, and everything around the work takes a tenth longer, more or less. */
        public static RehearsalAsk usual(Lesson lesson, Setting setting) {
            return new RehearsalAsk(lesson, setting, 1_000, 311L, 0.05, 1.1, 0.25);
        }
    }

    /** @throws org.unrulymarble.core.check.Refused naming the block and field, for a ladder or rung that is not known */
    public static Rehearsal of(RehearsalAsk ask) {
        return new Plays(ask).played();
    }
}
