package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.hipparchus.distribution.discrete.BinomialDistribution;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.skill.Ability;
import org.unrulymarble.core.skill.Difficulties;

/**
 * Whom to watch in a block: only counted misses tell, and one adult can watch few. Source: for each side, over all that the tries of the block may come
 * to, how likely it is that the word on the pupil's rung is another one after them.
 *
 * @param chance that watching changes the word
 * @param word what it is now
 * @param lastOn when the pupil was last seen on this ladder, or null
 */
public record Watch(
        String pupilId,
        double chance,
        Mastery.Advice word,
        @Nullable LocalDate lastOn) {

    private static final int MOST = 5;
    private static final int MOST_TRIES = 20;
    private static final int LEAST_TRIES = 3;

    /** Somebody whose watching changes so little is not named. */
    private static final double WORTH_IT = 0.15;

    private static final int POINTS = 81;
    private static final double WIDTH = 4;

    /**
     * The few of a block, the most telling first; of equals who has not been seen for longest.
     *
     * @param rungOf which rung each pupil works on; records of the class on this ladder, those who have none are new to it
     * @param roundSec seconds of all the rounds of one side
     */
    public static List<Watch> of(
            Ladder ladder, Map<String, String> rungOf, List<OnLadder> records, int roundSec, Judge judge) {
        return records.stream()
                .filter(r -> r.ladderId().equals(ladder.id()) && rungOf.containsKey(r.pupilId()))
                .map(r -> of(ladder, rungOf.get(r.pupilId()), r, roundSec, judge))
                .filter(Objects::nonNull)
                .filter(w -> w.chance() >= WORTH_IT)
                .sorted(Comparator.comparingDouble((Watch w) -> -Math.round(w.chance() * 20))
                        .thenComparing(Watch::lastOn, Comparator.nullsFirst(Comparator.naturalOrder()))
                        .thenComparing(Watch::pupilId))
                .limit(MOST)
                .toList();
    }

    private static Watch of(Ladder ladder, String rungId, OnLadder on, int roundSec, Judge judge) {
        Rung rung = ladder.rung(rungId).orElse(null);
        Rung stands = ladder.rung(on.rungId()).orElse(null);
        if (rung == null || stands == null || !EvidenceWorth.countable(rung.measure())) return null;
        double secPerTry = rung.pace().share() * rung.pace().hitSec()
                + (1 - rung.pace().share()) * rung.pace().missSec();
        int tries = (int) Math.max(LEAST_TRIES, Math.min(MOST_TRIES, roundSec / secPerTry));
        double same = 1;
        for (OnLadder.OnSide side : on.sides()) same *= 1 - changes(ladder, rung, stands, side, tries, judge);
        return new Watch(on.pupilId(), 1 - same, on.verdict(), on.lastOn());
    }

    private static double changes(Ladder ladder, Rung rung, Rung stands, OnLadder.OnSide side, int tries, Judge judge) {
        Difficulties difficulties = judge.difficulties(ladder);
        Readiness how = judge.how();
        double hold = difficulties.standard(stands.id());
        double needed = difficulties.of(stands.id()) + Ability.logit(hold);
        double floor = difficulties.of(stands.id()) + Ability.logit(SkillRead.floor(hold, how));
        boolean enough = SkillRead.enough(
                side.weightedTries() + (rung.id().equals(stands.id()) ? tries : 0), side.triesOnLadder() + tries, how);
        double[] x = new double[POINTS];
        double[] weight = new double[POINTS];
        double all = 0;
        for (int i = 0; i < POINTS; i++) {
            double z = -WIDTH + 2 * WIDTH * i / (POINTS - 1);
            x[i] = side.ability() + z * side.abilitySd();
            all += weight[i] = Math.exp(-z * z / 2);
        }
        double form = judge.learnt().figures().formSd();
        double changed = 0;
        BinomialDistribution[] told = new BinomialDistribution[POINTS];
        for (int i = 0; i < POINTS; i++) {
            // A day's form makes a share nearer to a half, on average.
            double z = (x[i] - difficulties.of(rung.id())) / Math.sqrt(1 + Math.PI * form * form / 8);
            told[i] = new BinomialDistribution(tries, 1 / (1 + Math.exp(-z)));
        }
        for (int hits = 0; hits <= tries; hits++) {
            double likely = 0;
            double holds = 0;
            double below = 0;
            for (int i = 0; i < POINTS; i++) {
                double w = weight[i] / all * told[i].probability(hits);
                likely += w;
                if (x[i] >= needed) holds += w;
                if (x[i] <= floor) below += w;
            }
            if (likely <= 0) continue;
            Mastery.Advice after = enough
                    ? SkillRead.word(side.reckoned(), holds / likely, below / likely, how.sure())
                    : Mastery.Advice.MORE;
            if (after != side.reckoned()) changed += likely;
        }
        return Math.min(1, changed);
    }
}
