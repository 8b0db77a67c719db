package org.unrulymarble.core.skill;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.MaxIter;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * Learns the figures, and how hard the rungs are, from the school's own records. Source: maximum marginal likelihood over all pupils and ladders,
 * with the house's values as a prior whose weight falls as records grow; figures and difficulties by turns.
 */
public final class SkillLearner {

    /** How far the figures may lie from the house's before any record says so: mean, log sd, gain, log drift, log form, how the gain lasts. */
    private static final double[] DOUBT = {0.5, 0.3, 0.1, 0.6, 0.5, 0.15};

    /** The same for a rung's difficulty, logits. */
    private static final double DOUBT_OF_RUNG = 0.5;

    /** How far to each side of a difficulty is looked, and how far from the house's it may lie. */
    private static final double ASIDE = 0.15;

    private static final double FURTHEST = 2;

    private static final double WEEK = 7;

    /** An ability wanders in a week by at least this part of what the first lesson adds: all of it makes growth too slow to be seen, none too sure. */
    private static final double LEAST_DRIFT = 0.25;

    private static final int TURNS = 8;
    private static final int MOST_LOOKS = 160;
    /** The figures of a hundred thousand days are as sure as those of a million: more are not looked at for them, every so many-th pupil only. */
    private static final int MOST_DAYS = 60_000;

    private SkillLearner() {}

    /** Counted tries of one pupil on one rung on one day, days counted from anywhere. */
    public record DayOnRung(int day, String rungId, double hits, double misses) {}

    /** One pupil on one ladder and side, days in order. */
    public record Series(String pupilId, Difficulties house, String ladderId, List<DayOnRung> days) {}

    /** @param before the version that is replaced */
    public static LearntSkill of(List<Series> all, int before) {
        List<Series> looked = some(all);
        Map<String, Double> harder = new HashMap<>();
        SkillFigures figures = SkillFigures.HOUSE;
        for (int turn = 0; turn < TURNS; turn++) {
            figures = figures(looked, harder, figures);
            harder = harder(looked, harder, figures);
        }
        long tries = Math.round(all.stream()
                .flatMap(s -> s.days().stream())
                .mapToDouble(d -> d.hits() + d.misses())
                .sum());
        int pupils = (int) all.stream().map(Series::pupilId).distinct().count();
        return new LearntSkill(before + 1, figures, harder, tries, pupils);
    }

    private static List<Series> some(List<Series> all) {
        long days = all.stream().mapToLong(s -> s.days().size()).sum();
        int every = (int) Math.max(1, (days + MOST_DAYS - 1) / MOST_DAYS);
        List<Series> out = new ArrayList<>();
        for (int i = 0; i < all.size(); i += every) out.add(all.get(i));
        return out;
    }

    private static SkillFigures figures(List<Series> all, Map<String, Double> harder, SkillFigures from) {
        double[] best = new SimplexOptimizer(1e-5, 1e-3)
                .optimize(
                        new MaxEval(10 * MOST_LOOKS),
                        MaxIter.unlimited(),
                        new ObjectiveFunction(x -> likely(all, harder, figures(x)) + doubt(x)),
                        GoalType.MAXIMIZE,
                        new InitialGuess(point(from)),
                        new NelderMeadSimplex(new double[] {0.2, 0.15, 0.04, 0.3, 0.25, -0.1}))
                .getPoint();
        return figures(best);
    }

    private static double[] point(SkillFigures f) {
        return new double[] {
            f.priorMean(),
            Math.log(f.priorSd()),
            f.gainPerDay(),
            Math.log(f.driftSdPerDay()),
            Math.log(f.formSd()),
            f.gainLasts()
        };
    }

    /** Everything within what can be. */
    private static SkillFigures figures(double[] x) {
        double gain = Math.max(0, Math.min(0.6, x[2]));
        return new SkillFigures(
                Math.max(-3, Math.min(3, x[0])),
                Math.exp(Math.max(-1.6, Math.min(1.1, x[1]))),
                gain,
                Math.max(LEAST_DRIFT * gain / Math.sqrt(WEEK), Math.exp(Math.max(-5, Math.min(0, x[3])))),
                Math.exp(Math.max(-4, Math.min(0.4, x[4]))),
                Math.max(0.3, Math.min(1, x[5])));
    }

    private static double doubt(double[] x) {
        double[] house = point(SkillFigures.HOUSE);
        double sum = 0;
        for (int i = 0; i < x.length; i++) sum -= (x[i] - house[i]) * (x[i] - house[i]) / (2 * DOUBT[i] * DOUBT[i]);
        return sum;
    }

    private static double likely(List<Series> all, Map<String, Double> harder, SkillFigures figures) {
        double sum = 0;
        for (Series s : all) sum += through(s, harder, figures);
        return sum;
    }

    /** One step for each rung, ladder by ladder: to the top of the parabola through the likelihood here and a little to each side. */
    private static Map<String, Double> harder(List<Series> all, Map<String, Double> before, SkillFigures figures) {
        Map<String, List<Series>> onLadder = new TreeMap<>();
        for (Series s : all)
            onLadder.computeIfAbsent(s.ladderId(), k -> new ArrayList<>()).add(s);
        Map<String, Double> after = new HashMap<>(before);
        onLadder.forEach((ladderId, series) -> {
            Set<String> tried = new TreeSet<>();
            for (Series s : series) for (DayOnRung d : s.days()) tried.add(d.rungId());
            for (String rungId : tried) {
                String key = Difficulties.key(ladderId, rungId);
                double at = after.getOrDefault(key, 0.0);
                double here = with(series, after, key, at, figures);
                double up = with(series, after, key, at + ASIDE, figures);
                double down = with(series, after, key, at - ASIDE, figures);
                double bend = up - 2 * here + down;
                double step = bend < 0 ? -ASIDE * (up - down) / 2 / bend : up > down ? ASIDE : -ASIDE;
                after.put(key, Math.max(-FURTHEST, Math.min(FURTHEST, at + Math.max(-0.5, Math.min(0.5, step)))));
            }
        });
        return after;
    }

    private static double with(
            List<Series> series, Map<String, Double> harder, String key, double at, SkillFigures figures) {
        harder.put(key, at);
        return likely(series, harder, figures) - at * at / (2 * DOUBT_OF_RUNG * DOUBT_OF_RUNG);
    }

    /** The log of how likely what one pupil did was. */
    private static double through(Series series, Map<String, Double> harder, SkillFigures figures) {
        List<DayOnRung> days = series.days();
        NormalFilter filter = new NormalFilter(
                figures, figures.priorMean() + series.house().begins(days.get(0).rungId()));
        double likely = 0;
        int before = days.get(0).day();
        for (int i = 0; i < days.size(); ) {
            int day = days.get(i).day();
            filter.next(day - before);
            before = day;
            List<Seen> seen = new ArrayList<>();
            for (; i < days.size() && days.get(i).day() == day; i++) {
                DayOnRung on = days.get(i);
                double more = harder.getOrDefault(Difficulties.key(series.ladderId(), on.rungId()), 0.0);
                seen.add(new Seen(series.house().of(on.rungId()) + more, on.hits(), on.misses()));
            }
            likely += filter.seen(seen);
        }
        return likely;
    }
}
