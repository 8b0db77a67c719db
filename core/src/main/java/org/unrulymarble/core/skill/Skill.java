package org.unrulymarble.core.skill;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * What a pupil can do on a ladder today, read from every try on it. Source: one ability x in logits; on a rung of difficulty b a try goes
 * in with p = logistic(x + form of the day - b); a Bayesian filter over a grid, day by day.
 *
 * @param mean of x today, with its {@code sd}
 * @param rungs in the order asked
 */
public record Skill(double mean, double sd, List<SkillOnRung> rungs) {

    /**
     * @param expectedShare of tries that go in, without the form of a day
     * @param chanceHolds that the true share is at least the standard to hold
     * @param chanceBelowFloor that it is at most the floor
     */
    public record SkillOnRung(String id, double expectedShare, double chanceHolds, double chanceBelowFloor) {}

    /** Tries of one rung on one day: daysAgo whole, 0 to 36,500; difficulty in logits, -20 to 20; counts 0 to 100,000. */
    public record Tries(Integer daysAgo, Double difficulty, Integer hits, Integer misses) {
        public Tries {
            new Checks()
                    .range("daysAgo", daysAgo, 0, 36_500)
                    .range("difficulty", difficulty, -20, 20)
                    .range("hits", hits, 0, 100_000)
                    .range("misses", misses, 0, 100_000)
                    .done();
        }
    }

    /** A rung that is asked about; the standards are shares, 0 to 1, the floor below the other. */
    public record RungAsked(String id, Double difficulty, Double holdStandard, Double floorStandard) {
        public RungAsked {
            new Checks()
                    .text("id", id, 200)
                    .range("difficulty", difficulty, -20, 20)
                    .range("holdStandard", holdStandard, 0, 1)
                    .range("floorStandard", floorStandard, 0, 1)
                    .that(
                            floorStandard == null || holdStandard == null || floorStandard < holdStandard,
                            "holdStandard",
                            Fault.Rule.ABOVE_FIELD,
                            "floorStandard")
                    .done();
        }
    }

    /**
     * @param gainPerDay how much a day of practice adds, logits
     * @param driftSdPerDay how far the ability wanders in a day, logits
     * @param formSd how far one day's form lies from the ability, logits
     * @param tries at most 10,000
     */
    public record SkillAsk(
            Double priorMean,
            Double priorSd,
            Double gainPerDay,
            Double driftSdPerDay,
            Double formSd,
            @Nullable List<Tries> tries,
            List<RungAsked> rungs) {
        public SkillAsk {
            Checks checks = new Checks()
                    .range("priorMean", priorMean, -9, 9)
                    .above("priorSd", priorSd, 0, 9)
                    .range("gainPerDay", gainPerDay, -9, 9)
                    .range("driftSdPerDay", driftSdPerDay, 0, 9)
                    .range("formSd", formSd, 0, 9)
                    .entries("tries", tries, 0, 10_000)
                    .entries("rungs", rungs, 0, 1_000);
            if (rungs != null && rungs.stream().allMatch(Objects::nonNull))
                checks.distinct("rungs", rungs.stream().map(RungAsked::id).toList());
            checks.done();
            tries = List.copyOf(tries);
            rungs = List.copyOf(rungs);
        }
    }

    public static Skill of(SkillAsk ask) {
        Ability ability = new Ability(
                new SkillFigures(ask.priorMean(), ask.priorSd(), ask.gainPerDay(), ask.driftSdPerDay(), ask.formSd()),
                ask.priorMean());
        TreeMap<Integer, List<Seen>> days = new TreeMap<>();
        for (Tries t : ask.tries())
            if (t.hits() + t.misses() > 0)
                days.computeIfAbsent(t.daysAgo(), k -> new ArrayList<>())
                        .add(new Seen(t.difficulty(), t.hits(), t.misses()));
        int before = days.isEmpty() ? 0 : days.lastKey();
        for (Map.Entry<Integer, List<Seen>> day : days.descendingMap().entrySet()) {
            ability.practised(before - day.getKey(), day.getValue());
            before = day.getKey();
        }
        ability.rested(before);
        return new Skill(
                ability.mean(),
                ability.sd(),
                ask.rungs().stream()
                        .map(r -> new SkillOnRung(
                                r.id(),
                                ability.share(r.difficulty()),
                                ability.atLeast(r.holdStandard(), r.difficulty()),
                                1 - ability.atLeast(r.floorStandard(), r.difficulty())))
                        .toList());
    }
}
