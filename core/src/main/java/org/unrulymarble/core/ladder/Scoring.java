package org.unrulymarble.core.ladder;

import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * What a rung's measure needs so that a round can be scored; what the measure has no use for is null.
 *
 * @param rings for RINGS: from the middle out, 1 to 8
 * @param n for TIME_FOR_N: so many, 1 to 1,000
 * @param spots for MADE_FROM_SPOTS: 2 to 12
 * @param balls for KEEP_ALL: numbered balls, 2 to 12
 * @param draw for KEEP_ALL: whether a kept ball may be thrown again
 * @param noBalls whether the counter stands as a batter and no-balls are kept
 * @param calls words that are called at random, 2 to 8, or null where nothing is called
 * @param callEverySec from call to call, 1 to 60
 */
public record Scoring(
        List<Ring> rings,
        Integer n,
        Integer spots,
        Integer balls,
        Draw draw,
        Boolean noBalls,
        List<String> calls,
        Double callEverySec) {

    /** The outer radius of a ring, 1 to 500 cm, and what it is worth, 0 to 1,000. */
    public record Ring(Integer radiusCm, Integer points) {
        public Ring {
            new Checks()
                    .range("radiusCm", radiusCm, 1, 500)
                    .range("points", points, 0, 1000)
                    .done();
        }
    }

    /** Which numbers may come. */
    public enum Draw {
        ALL,
        LEFT
    }

    public static final Scoring NONE = new Scoring(null, null, null, null, null, null, null, null);

    private static final List<Ring> USUAL_RINGS = List.of(new Ring(10, 5), new Ring(20, 3), new Ring(30, 1));
    private static final int USUAL_N = 20;
    private static final int USUAL_SPOTS = 5;
    private static final int USUAL_BALLS = 6;
    private static final double USUAL_CALL_SEC = 3;

    public Scoring {
        noBalls = noBalls != null && noBalls ? true : null;
        Checks checks = new Checks();
        if (rings != null) {
            checks.entries("rings", rings, 1, 8);
            for (int i = 1; i < rings.size(); i++)
                if (rings.get(i) != null && rings.get(i - 1) != null)
                    checks.that(
                            rings.get(i).radiusCm() > rings.get(i - 1).radiusCm(),
                            "rings[" + i + "].radiusCm",
                            Fault.Rule.ABOVE_FIELD,
                            "rings[" + (i - 1) + "].radiusCm");
        }
        if (n != null) checks.range("n", n, 1, 1000);
        if (spots != null) checks.range("spots", spots, 2, 12);
        if (balls != null) checks.range("balls", balls, 2, 12);
        if (calls != null) {
            checks.entries("calls", calls, 2, 8);
            for (int i = 0; i < calls.size(); i++) checks.text("calls[" + i + "]", calls.get(i), 20);
        }
        if (callEverySec != null) checks.range("callEverySec", callEverySec, 1, 60);
        checks.done();
    }

    /** What the measure needs, with the house's value for what was left out. */
    public Scoring forMeasure(Measure measure) {
        return new Scoring(
                measure != Measure.RINGS ? null : rings == null ? USUAL_RINGS : rings,
                measure != Measure.TIME_FOR_N ? null : n == null ? (Integer) USUAL_N : n,
                measure != Measure.MADE_FROM_SPOTS ? null : spots == null ? (Integer) USUAL_SPOTS : spots,
                measure != Measure.KEEP_ALL ? null : balls == null ? (Integer) USUAL_BALLS : balls,
                measure != Measure.KEEP_ALL ? null : draw == null ? Draw.ALL : draw,
                noBalls,
                calls,
                calls == null ? null : callEverySec == null ? (Double) USUAL_CALL_SEC : callEverySec);
    }
}
