package org.unrulymarble.core.skill;

/**
 * What was seen of a pupil on one rung on one day.
 *
 * @param difficulty of the rung, logits
 * @param hits,misses counted tries, weighted: a doubtful try is part of one
 * @param gate a round of which only is known whether it met its gate; null where tries were counted
 */
public record Seen(double difficulty, double hits, double misses, MetGate gate) {

    /** So many tries say about as much as one round of which only the gate is known. */
    private static final double TRIES_OF_A_GATE = 30;

    public Seen(double difficulty, double hits, double misses) {
        this(difficulty, hits, misses, null);
    }

    /** @param weight how much of a round that is */
    public record MetGate(GateCurve curve, boolean met, double weight) {}

    /** How narrow its likelihood can be, in tries. */
    double tries() {
        return hits + misses + (gate == null ? 0 : TRIES_OF_A_GATE);
    }

    boolean nothing() {
        return hits + misses <= 0 && gate == null;
    }

    /** Log-likelihood for an ability, the day's form included. */
    double logLikelihood(double ability) {
        double z = ability - difficulty;
        double told = 0;
        if (hits + misses > 0) {
            // log(1 + e^z), without overflow
            double soft = Math.max(z, 0) + Math.log(1 + Math.exp(-Math.abs(z)));
            told = hits * z - (hits + misses) * soft;
        }
        return gate == null ? told : told + gate.weight() * gate.curve().log(z, gate.met());
    }
}
