package org.unrulymarble.core.skill;

import java.util.List;

/** An ability as it is known day by day. Not thread-safe. */
public final class Ability {

    private final SkillFigures figures;
    private final AbilityGrid grid;
    private int practised;

    /** Before the first day. @param begins where the prior's middle lies, logits */
    public Ability(SkillFigures figures, double begins) {
        this.figures = figures;
        this.grid = AbilityGrid.normal(begins, figures.priorSd());
    }

    /** A day of practice, so many days after the one before. A day on which nothing was seen is no day. */
    public void practised(int daysLater, List<Seen> day) {
        if (practised > 0) grid.moved(figures.gainAfter(practised), figures.driftSdPerDay() * Math.sqrt(daysLater));
        grid.seen(day, figures.formSd());
        practised++;
    }

    /** So many days without practice: only the drift. */
    public void rested(int days) {
        if (practised > 0) grid.moved(0, figures.driftSdPerDay() * Math.sqrt(days));
    }

    /** On how many days something was seen. */
    public int practised() {
        return practised;
    }

    public double mean() {
        return grid.mean();
    }

    public double sd() {
        return grid.sd();
    }

    /** Share of tries that go in on a rung, without the form of a day. */
    public double share(double difficulty) {
        return grid.expectedShare(difficulty);
    }

    /** The share on a rung below which the ability lies with this chance. */
    public double shareAt(double chance, double difficulty) {
        return 1 / (1 + Math.exp(difficulty - grid.quantile(chance)));
    }

    /** The ability below which it lies with this chance. */
    public double at(double chance) {
        return grid.quantile(chance);
    }

    /** That the true share on a rung is at least this, 0 to 1. */
    public double atLeast(double share, double difficulty) {
        return grid.above(difficulty + logit(share));
    }

    /** Infinite at 0 and 1, where no ability is beyond it. */
    public static double logit(double share) {
        return Math.log(share / (1 - share));
    }
}
