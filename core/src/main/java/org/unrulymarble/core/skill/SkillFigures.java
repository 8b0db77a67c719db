package org.unrulymarble.core.skill;

/**
 * The five figures by which an ability is read.
 *
 * @param priorMean ability of somebody new on the rung where they begin, above its planning rate, logits
 * @param priorSd how far pupils lie from each other at the beginning
 * @param gainPerDay what a day of practice adds
 * @param driftSdPerDay how far an ability wanders in a day; in a week at least as far as a lesson adds, or growth would be told too surely
 * @param formSd how far one day's form lies from the ability
 */
public record SkillFigures(double priorMean, double priorSd, double gainPerDay, double driftSdPerDay, double formSd) {

    /** The house's own, before a school's records say better; tried on simulated pupils: docs/truth.md. */
    public static final SkillFigures HOUSE = new SkillFigures(-0.8, 1.0, 0.06, 0.06, 0.4);

    /** What a lesson of practice makes of a share of a half. */
    public double afterALesson() {
        return 1 / (1 + Math.exp(-gainPerDay));
    }

    /** What a good day makes of a share of a half: one of six is as good. */
    public double onAGoodDay() {
        return 1 / (1 + Math.exp(-formSd));
    }
}
