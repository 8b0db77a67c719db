package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.chance.Share;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;

/**
 * What one pupil's own tries on one side say of the rung where they stand. The share, the certainty and the word are read from every try on the ladder:
 * {@link SkillRead}. A round without counted misses stands beside it as a gate that was met or not.
 *
 * @param reckoned what the tries say; MORE where there are too few
 * @param known whether any try or gate on the ladder says something; else the figures are those of somebody new
 * @param seeAgain whether that has become too old to be leant on
 * @param hold the share of tries that holds this rung
 * @param hits,misses counted on this rung, unweighted; {@code weightedTries} with age and doubt taken off; {@code triesOnLadder} on all its rungs
 * @param ability today, logits, with its {@code abilitySd}; comparable on this ladder only
 * @param share of tries that go in on this rung today, with its 90 % interval; {@code nextShare} on the one above, null at the top
 * @param practicesLeast,practicesMost days of practice until the rung is likely held; null where the record does not say
 * @param unconfirmedShare of the counted tries here, from home or typed in and not confirmed
 * @param inARow rounds up to the last that met the gate one after the other
 * @param ofMet how many of the last {@code ofRounds} rounds met it
 * @param evidence rounds with counted tries on this rung, newest first
 */
public record SideAdvice(
        Side side,
        Mastery.Advice reckoned,
        boolean known,
        boolean seeAgain,
        double chanceHolds,
        double chanceBelowFloor,
        double hold,
        int hits,
        int misses,
        double weightedTries,
        double triesOnLadder,
        double ability,
        double abilitySd,
        Share share,
        @Nullable Share nextShare,
        @Nullable Integer practicesLeast,
        @Nullable Integer practicesMost,
        double unconfirmedShare,
        int inARow,
        int ofMet,
        int ofRounds,
        List<Piece> evidence) {

    /** One round of the evidence. {@code weight} is what each of its tries counts, {@code share} its own share with its 90 % interval. */
    public record Piece(String attemptId, LocalDate on, int hits, int misses, double weight, Share share) {}

    private static final double BAND = 0.9;

    /**
     * @param attempts of one pupil on this ladder, in any order
     * @param opened whether with the evidence
     */
    static SideAdvice of(Side side, List<Attempt> attempts, Ladder ladder, Rung rung, Judge judge, boolean opened) {
        Readiness how = judge.how();
        SkillRead read = SkillRead.of(side, ladder, rung, attempts, judge);
        List<Attempt> inOrder = attempts.stream()
                .filter(a -> a.rungId().equals(rung.id())
                        && a.side() == side
                        && a.modifiers().isEmpty()
                        && !a.trial()
                        && a.jointWith().isEmpty())
                .sorted(Comparator.comparing(Attempt::on).thenComparing(Attempt::set))
                .toList();
        List<Piece> pieces = new ArrayList<>();
        double unconfirmed = 0;
        double all = 0;
        int hits = 0;
        int misses = 0;
        for (Attempt a : inOrder) {
            double weight = EvidenceWorth.of(a, how);
            if (!a.isEvidence() || weight <= 0) continue;
            if (opened)
                pieces.add(new Piece(
                        a.id(),
                        a.on(),
                        a.hits(),
                        a.misses(),
                        weight,
                        Share.of(new Share.ShareAsk(a.hits(), a.misses(), BAND))));
            hits += a.hits();
            misses += a.misses();
            all += weight * (a.hits() + a.misses());
            if (!a.confirmed()) unconfirmed += weight * (a.hits() + a.misses());
        }
        Collections.reverse(pieces);
        List<Boolean> met = inOrder.stream().map(a -> Challenge.met(rung, a)).toList();
        List<Boolean> last = met.subList(Math.max(0, met.size() - how.ofRounds()), met.size());
        SkillRead.Practices practices = read.practices();
        return new SideAdvice(
                side,
                read.word(),
                read.known(),
                read.seeAgain(),
                read.chanceHolds(),
                read.chanceBelowFloor(),
                judge.difficulties(ladder).standard(rung.id()),
                hits,
                misses,
                read.enough(),
                read.tries(),
                read.ability(),
                read.sd(),
                read.share(),
                read.next(),
                practices == null ? null : (Integer) practices.least(),
                practices == null ? null : practices.most(),
                all == 0 ? 0 : unconfirmed / all,
                running(met),
                (int) last.stream().filter(m -> m).count(),
                last.size(),
                List.copyOf(pieces));
    }

    private static int running(List<Boolean> met) {
        int running = 0;
        for (int i = met.size() - 1; i >= 0 && met.get(i); i--) running++;
        return running;
    }

    /** What a school says of this side; the teacher's and the pupil's word are not about sides. */
    Mastery.Advice by(Readiness.School school, Readiness how) {
        return switch (school) {
            case IN_A_ROW ->
                inARow >= how.inARow() ? Mastery.Advice.UP : ofRounds == 0 ? Mastery.Advice.MORE : Mastery.Advice.STAY;
            case N_OF_M ->
                ofMet >= how.ofMet() ? Mastery.Advice.UP : ofRounds == 0 ? Mastery.Advice.MORE : Mastery.Advice.STAY;
            default -> reckoned;
        };
    }
}
