package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;

/**
 * All that is concluded from what one pupil did on one ladder, as of a day.
 *
 * @param advice without its evidence, which only a look at the single tries needs
 * @param behind which side is behind on the rung where the pupil stands; null where there is nothing to compare
 * @param found what the questions find here
 * @param firstOn,lastOn first and last day with a round, or null without any
 * @param workedSec of rounds by the clock
 */
public record LadderRecord(
        String pupilId,
        String ladderId,
        List<Challenge> challenges,
        Advice advice,
        @Nullable Behind behind,
        List<Questions.Found> found,
        @Nullable LocalDate firstOn,
        @Nullable LocalDate lastOn,
        int rounds,
        int workedSec) {

    /**
     * @param attempts of this pupil on this ladder, in any order; standings and remarks likewise
     * @param judge bests of the week and the age of tries go by its day
     */
    public static LadderRecord of(
            String pupilId,
            Ladder ladder,
            List<Attempt> attempts,
            List<Advice.Standing> standings,
            List<PupilRemark> remarks,
            Judge judge) {
        List<Challenge> challenges = Challenge.of(attempts, new Catalogue(List.of(ladder)));
        Advice advice = Advice.of(pupilId, ladder, attempts, standings, remarks, judge, false);
        Behind behind = Behind.of(advice, attempts);
        return new LadderRecord(
                pupilId,
                ladder.id(),
                challenges,
                advice,
                behind,
                Questions.onLadder(advice, behind, ladder, attempts, challenges, judge.today()),
                attempts.stream()
                        .map(Attempt::on)
                        .min(Comparator.naturalOrder())
                        .orElse(null),
                attempts.stream()
                        .map(Attempt::on)
                        .max(Comparator.naturalOrder())
                        .orElse(null),
                attempts.size(),
                attempts.stream()
                        .map(Attempt::workSec)
                        .filter(Objects::nonNull)
                        .mapToInt(s -> s)
                        .sum());
    }

    public OnLadder brief() {
        return new OnLadder(
                pupilId,
                ladderId,
                advice.rungId(),
                advice.verdict(),
                advice.seeAgain(),
                advice.sides().stream().map(OnLadder.OnSide::of).toList(),
                challenges.stream().map(LadderRecord::done).toList(),
                found,
                firstOn,
                lastOn,
                rounds,
                workedSec);
    }

    private static OnLadder.Done done(Challenge c) {
        Double gain = c.sides().stream()
                .filter(s -> s.rounds() > 1 && !s.joint())
                .map(Challenge.SideRecord::gain)
                .filter(Objects::nonNull)
                .max(Comparator.naturalOrder())
                .orElse(null);
        return new OnLadder.Done(c.rungId(), c.modifiers(), c.completedOn(), gain);
    }
}
