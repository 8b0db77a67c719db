package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.chance.Share;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;

/**
 * What one pupil's own tries on one side of a rung say. Source of the reckoning: {@link Mastery}, a rate ~ Beta(1 + hits, 1 + misses) with tries
 * halved every half-life; only rounds with counted misses are evidence. A round without them is the gate met or not, and stands beside it.
 *
 * @param reckoned what the tries say; MORE where there are too few
 * @param hold the share of tries that holds this rung
 * @param hits,misses of the evidence, unweighted; weightedTries with age and doubt taken off
 * @param share of all the weighted tries, with its 90 % interval
 * @param unconfirmedShare of the weighted tries, from home or typed in and not confirmed
 * @param inARow rounds up to the last that met the gate one after the other
 * @param ofMet how many of the last {@code ofRounds} rounds met it
 * @param evidence the rounds that it rests on, newest first, with their weight
 */
public record SideAdvice(
        Side side,
        Mastery.Advice reckoned,
        double chanceHolds,
        double chanceBelowFloor,
        double hold,
        int hits,
        int misses,
        double weightedTries,
        Share share,
        double unconfirmedShare,
        int inARow,
        int ofMet,
        int ofRounds,
        List<Piece> evidence) {

    /** One round of the evidence. {@code weight} is what each of its tries counts now, {@code share} its own share with its 90 % interval. */
    public record Piece(String attemptId, LocalDate on, int hits, int misses, double weight, Share share) {}

    private static final double BAND = 0.9;

    /** A floor of a gate that names its own share lies as far below it as the class's floor below the class's hold. */
    private static double floor(double hold, Readiness how) {
        return hold * how.floorShare() / how.holdShare();
    }

    /** The share that holds a rung: its gate's own, or the class's. */
    static double hold(Rung rung, Readiness how) {
        Integer of = rung.gate().outOf();
        return of == null
                ? how.holdShare()
                : Math.min(0.98, (double) rung.gate().reach() / of);
    }

    /**
     * @param mine attempts of one pupil on this rung without modifiers and on this side
     * @param opened whether with the evidence
     */
    static SideAdvice of(Side side, List<Attempt> mine, Rung rung, Readiness how, LocalDate today, boolean opened) {
        List<Attempt> inOrder = mine.stream()
                .filter(a -> !a.trial() && a.jointWith().isEmpty())
                .sorted(Comparator.comparing(Attempt::on).thenComparing(Attempt::set))
                .toList();
        List<Mastery.Evidence> evidence = new ArrayList<>();
        List<Piece> pieces = new ArrayList<>();
        double unconfirmed = 0;
        double all = 0;
        double weightedHits = 0;
        int hits = 0;
        int misses = 0;
        for (Attempt a : inOrder) {
            if (!a.isEvidence()) continue;
            double daysAgo = Math.max(0, ChronoUnit.DAYS.between(a.on(), today));
            double weight = Math.pow(0.5, daysAgo / how.halfLifeDays()) * (a.confirmed() ? 1 : how.unconfirmedWeight());
            if (weight <= 0) continue;
            // A weight is an age: half a try is a whole one a half-life older.
            double asOld = -how.halfLifeDays() * Math.log(weight) / Math.log(2);
            evidence.add(new Mastery.Evidence(Math.min(36_500, Math.max(0, asOld)), a.hits(), a.misses()));
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
            weightedHits += weight * a.hits();
            if (!a.confirmed()) unconfirmed += weight * (a.hits() + a.misses());
        }
        Collections.reverse(pieces);
        double hold = hold(rung, how);
        Mastery mastery = Mastery.of(new Mastery.MasteryAsk(
                evidence, how.halfLifeDays(), hold, floor(hold, how), how.sure(), how.minTries()));
        List<Boolean> met = inOrder.stream().map(a -> Challenge.met(rung, a)).toList();
        List<Boolean> last = met.subList(Math.max(0, met.size() - how.ofRounds()), met.size());
        return new SideAdvice(
                side,
                mastery.advice(),
                mastery.chanceHolds(),
                mastery.chanceBelowFloor(),
                hold,
                hits,
                misses,
                mastery.weightedTries(),
                Share.weighted(weightedHits, all - weightedHits, BAND),
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
