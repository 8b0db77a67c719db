package org.unrulymarble.core.skill;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.unrulymarble.core.chance.GateChance;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;

/**
 * How hard the rungs of a ladder are, on one scale: 0 is the ability of somebody new, for whom the first rung goes in at its planning rate. A
 * rung's planning rate is what is expected of whoever just holds the rung below; so it is harder by the distance from that standard to its own
 * rate, and by a little at least. What the school's records taught is added.
 */
public final class Difficulties {

    /** A rung above is never as easy as the one below. */
    private static final double LEAST_STEP = 0.5;

    private final Ladder ladder;
    private final double[] difficulty;
    private final double[] houses;
    private final double[] standard;
    private final GateCurve[] curves;

    private Difficulties(Ladder ladder, double[] difficulty, double[] houses, double[] standard) {
        this.ladder = ladder;
        this.difficulty = difficulty;
        this.houses = houses;
        this.standard = standard;
        this.curves = new GateCurve[standard.length];
    }

    /** The house's own. @param usualShare the standard where a gate names none */
    public static Difficulties of(Ladder ladder, double usualShare) {
        return of(ladder, usualShare, false, Map.of(), Map.of());
    }

    /**
     * @param usualShare the standard where a gate gives none, or {@code forAll} rungs
     * @param harder by how much the records found a rung harder than the house, by {@link #key}
     * @param said the standard of single rungs as their teacher has it, by {@link #key}
     */
    public static Difficulties of(
            Ladder ladder, double usualShare, boolean forAll, Map<String, Double> harder, Map<String, Double> said) {
        List<Rung> rungs = ladder.rungs();
        double[] difficulty = new double[rungs.size()];
        double[] houses = new double[rungs.size()];
        double[] standard = new double[rungs.size()];
        double below = 0;
        double asked = 0;
        for (int i = 0; i < rungs.size(); i++) {
            OptionalDouble own = GateStandard.of(rungs.get(i));
            standard[i] = said.getOrDefault(
                    key(ladder.id(), rungs.get(i).id()), forAll ? usualShare : own.orElse(usualShare));
            double expected = Ability.logit(rungs.get(i).pace().share());
            double alone = i == 0 ? -expected : below + Math.max(LEAST_STEP, asked - expected);
            difficulty[i] =
                    alone + harder.getOrDefault(key(ladder.id(), rungs.get(i).id()), 0.0);
            below = alone;
            asked = Ability.logit(own.orElse(usualShare));
        }
        return new Difficulties(ladder, difficulty, houses, standard);
    }

    /** A rung among those of all ladders. */
    public static String key(String ladderId, String rungId) {
        return ladderId + "/" + rungId;
    }

    public double of(String rungId) {
        return difficulty[ladder.numberOf(rungId)];
    }

    /** The share of tries that holds a rung. */
    public double standard(String rungId) {
        return standard[ladder.numberOf(rungId)];
    }

    /** Where somebody new begins who begins on this rung: there it goes in at the planning rate, if it is as hard as the house thinks. */
    public double begins(String rungId) {
        int i = ladder.numberOf(rungId);
        return houses[i] + Ability.logit(ladder.rungs().get(i).pace().share());
    }

    /** Chance of the gate by ability, with half at the standard. Where nobody can reckon it, it rises as if three tries were asked. */
    public GateCurve curve(String rungId) {
        int i = ladder.numberOf(rungId);
        if (curves[i] == null) {
            Rung rung = ladder.rungs().get(i);
            curves[i] = GateChance.known(rung.measure(), rung.gate())
                    ? new GateCurve(p -> GateStandard.chance(rung, p).orElse(0.5))
                    : new GateCurve(p -> 1 / (1 + Math.exp(2 * (Ability.logit(standard[i]) - Ability.logit(p)))));
        }
        return curves[i];
    }
}
