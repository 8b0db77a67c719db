package org.unrulymarble.core.skill;

import org.jspecify.annotations.Nullable;

/**
 * The figures by which an ability is read.
 *
 * @param priorMean ability of somebody new on the rung where they begin, above its planning rate, logits
 * @param priorSd how far pupils lie from each other at the beginning
 * @param gainPerDay what the first day of practice adds to the next
 * @param driftSdPerDay how far an ability wanders in a day
 * @param formSd how far one day's form lies from the ability
 * @param gainLasts what is left of a day's gain at the next, above 0 to 1: who began to practise grows faster than who has practised long; null for all
 */
public record SkillFigures(
        double priorMean,
        double priorSd,
        double gainPerDay,
        double driftSdPerDay,
        double formSd,
        @Nullable Double gainLasts) {

    /** Of later days of practice the gain stays as small as that of this one. */
    private static final int LEAST_AT = 20;

    public SkillFigures {
        gainLasts = gainLasts == null ? 1.0 : gainLasts;
    }

    /** Where every day of practice adds the same. */
    public SkillFigures(double priorMean, double priorSd, double gainPerDay, double driftSdPerDay, double formSd) {
        this(priorMean, priorSd, gainPerDay, driftSdPerDay, formSd, 1.0);
    }

    /** What is added between a day of practice and the next. @param practised so many days before, from 1 */
    public double gainAfter(int practised) {
        return gainPerDay * Math.pow(gainLasts, Math.min(practised, LEAST_AT) - 1);
    }

    /** The house's own, before a school's records say better; tried on simulated pupils: docs/truth.md. */
    public static final SkillFigures HOUSE = new SkillFigures(-0.8, 1.0, 0.06, 0.06, 0.4, 0.9);

    /** What a lesson of practice makes of a share of a half. */
    public double afterALesson() {
        return 1 / (1 + Math.exp(-gainPerDay));
    }

    /** What a good day makes of a share of a half: one of six is as good. */
    public double onAGoodDay() {
        return 1 / (1 + Math.exp(-formSd));
    }
}
