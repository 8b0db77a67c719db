package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.chance.Share;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.skill.Ability;
import org.unrulymarble.core.skill.Difficulties;
import org.unrulymarble.core.skill.Seen;

/**
 * One pupil's ability on one ladder and side, read day by day, and the word on the rung where they stand. The word changes on days with tries only:
 * it comes when it is sure enough, and stays until that is plainly no longer so. Source of the reckoning: {@link org.unrulymarble.core.skill.Skill}.
 *
 * @param word by the tries; MORE where there are too few
 * @param known whether anything was seen at all; else all of it is what is expected of somebody new
 * @param seeAgain whether it has become too old to be leant on
 * @param ability today, logits, with its {@code sd}; on the rung {@code share} of tries that go in, {@code next} on the one above or null
 * @param chanceHolds,chanceBelowFloor today
 * @param enough tries on this rung, with age and doubt taken off; {@code tries} counted on the whole ladder
 * @param practices lessons of practice until the rung is likely held, or null where the record does not say
 */
record SkillRead(
        Mastery.Advice word,
        boolean known,
        boolean seeAgain,
        double ability,
        double sd,
        Share share,
        Share next,
        double chanceHolds,
        double chanceBelowFloor,
        double enough,
        double tries,
        Practices practices) {

    /** From so many to so many, four times of five; {@code most} null where it may be more than can be said. */
    record Practices(int least, Integer most) {}

    private static final double BAND = 0.9;

    /** A word stays until its chance has fallen this far below what it took to come. */
    private static final double STAYS = 0.15;

    /** Of the tries that a word needs, this part must be on the rung itself. */
    private static final double ON_THE_RUNG = 0.5;

    private static final int MOST_PRACTICES = 20;
    private static final double EARLY = 0.9;
    private static final double LATE = 0.1;

    static SkillRead of(Side side, Ladder ladder, Rung rung, List<Attempt> attempts, Judge judge) {
        Difficulties difficulties = judge.difficulties(ladder);
        Readiness how = judge.how();
        TreeMap<LocalDate, List<Attempt>> days = new TreeMap<>();
        for (Attempt a : attempts)
            if (together(a.side(), side) && !a.on().isAfter(judge.today()))
                days.computeIfAbsent(a.on(), k -> new ArrayList<>()).add(a);
        Ability ability = null;
        Mastery.Advice word = Mastery.Advice.MORE;
        LocalDate before = null;
        double onRung = 0;
        double onLadder = 0;
        double tries = 0;
        double hold = difficulties.standard(rung.id());
        double floor = floor(hold, how);
        double here = difficulties.of(rung.id());
        for (Map.Entry<LocalDate, List<Attempt>> day : days.entrySet()) {
            List<Seen> seen = day.getValue().stream()
                    .map(a -> EvidenceWorth.seen(a, ladder, difficulties, how))
                    .filter(Objects::nonNull)
                    .toList();
            if (seen.isEmpty()) continue;
            if (ability == null)
                ability = new Ability(
                        judge.learnt().figures(),
                        judge.learnt().figures().priorMean()
                                + difficulties.begins(day.getValue().get(0).rungId()));
            int later = before == null ? 0 : (int) ChronoUnit.DAYS.between(before, day.getKey());
            ability.practised(later, seen);
            before = day.getKey();
            double old = Math.pow(0.5, later / how.halfLifeDays());
            onRung *= old;
            onLadder *= old;
            for (Attempt a : day.getValue()) {
                Rung its = ladder.rung(a.rungId()).orElse(null);
                if (its == null) continue;
                double counts = EvidenceWorth.enough(a, its, how);
                onLadder += counts;
                tries += counts;
                if (a.rungId().equals(rung.id())) onRung += counts;
            }
            boolean enough = enough(onRung, onLadder, how);
            word = enough
                    ? word(word, ability.atLeast(hold, here), 1 - ability.atLeast(floor, here), how.sure())
                    : Mastery.Advice.MORE;
        }
        if (ability == null) return unseen(ladder, rung, difficulties, judge, floor);
        int since = (int) ChronoUnit.DAYS.between(before, judge.today());
        ability.rested(since);
        double old = Math.pow(0.5, since / how.halfLifeDays());
        double holds = ability.atLeast(hold, here);
        double below = 1 - ability.atLeast(floor, here);
        double less = how.sure() - STAYS;
        boolean stale = !enough(onRung * old, onLadder * old, how);
        boolean seeAgain = switch (word) {
            case UP -> stale || holds < less;
            case BACK -> stale || below < less;
            case STAY -> stale;
            case MORE -> false;
        };
        return new SkillRead(
                word,
                true,
                seeAgain,
                ability.mean(),
                ability.sd(),
                share(ability, here),
                next(ladder, rung, difficulties, ability),
                holds,
                below,
                onRung * old,
                tries,
                word == Mastery.Advice.STAY ? practices(ability, here + Ability.logit(hold), judge) : null);
    }

    /** Nobody has seen anything: what is expected of somebody new on this rung. */
    private static SkillRead unseen(Ladder ladder, Rung rung, Difficulties difficulties, Judge judge, double floor) {
        Ability ability = new Ability(
                judge.learnt().figures(), judge.learnt().figures().priorMean() + difficulties.begins(rung.id()));
        double here = difficulties.of(rung.id());
        return new SkillRead(
                Mastery.Advice.MORE,
                false,
                false,
                ability.mean(),
                ability.sd(),
                share(ability, here),
                next(ladder, rung, difficulties, ability),
                ability.atLeast(difficulties.standard(rung.id()), here),
                1 - ability.atLeast(floor, here),
                0,
                0,
                null);
    }

    /** A floor lies as far below its own standard as the class's floor below the class's. */
    static double floor(double hold, Readiness how) {
        return hold * how.floorShare() / how.holdShare();
    }

    /** What is done with no side, or with both in one, says something of either. */
    private static boolean together(Side one, Side other) {
        return one == other || shared(one) || shared(other);
    }

    private static boolean shared(Side side) {
        return side == Side.NONE || side == Side.MIXED;
    }

    static boolean enough(double onRung, double onLadder, Readiness how) {
        return onLadder >= how.minTries() - 1e-9 && onRung >= ON_THE_RUNG * how.minTries() - 1e-9;
    }

    static Mastery.Advice word(Mastery.Advice before, double holds, double below, double sure) {
        if (holds >= sure) return Mastery.Advice.UP;
        if (below >= sure) return Mastery.Advice.BACK;
        if (before == Mastery.Advice.UP && holds >= sure - STAYS) return Mastery.Advice.UP;
        return before == Mastery.Advice.BACK && below >= sure - STAYS ? Mastery.Advice.BACK : Mastery.Advice.STAY;
    }

    private static Share share(Ability ability, double difficulty) {
        double tail = (1 - BAND) / 2;
        return new Share(
                ability.share(difficulty), ability.shareAt(tail, difficulty), ability.shareAt(1 - tail, difficulty));
    }

    private static Share next(Ladder ladder, Rung rung, Difficulties difficulties, Ability ability) {
        int above = ladder.numberOf(rung.id()) + 1;
        return above < ladder.rungs().size()
                ? share(ability, difficulties.of(ladder.rungs().get(above).id()))
                : null;
    }

    private static Practices practices(Ability ability, double wanted, Judge judge) {
        if (judge.learnt().figures().gainPerDay() <= 0) return null;
        Integer early = until(wanted - ability.at(EARLY), ability.practised(), judge);
        if (early == null) return null;
        return new Practices(early, until(wanted - ability.at(LATE), ability.practised(), judge));
    }

    /** Lessons of practice that add so much, at least one; null where more than can be told. */
    private static Integer until(double wanted, int practised, Judge judge) {
        double gained = 0;
        for (int lessons = 1; lessons <= MOST_PRACTICES; lessons++) {
            gained += judge.learnt().figures().gainAfter(practised + lessons - 1);
            if (gained >= wanted) return lessons;
        }
        return null;
    }
}
