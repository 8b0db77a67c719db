package org.unrulymarble.core.measure;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * So many hits in a row (1 to 1,000) move a step of so many metres (0 to 200) back; what a miss does.
 *
 * @param startM where it begins, 0 to 200, or null for where the rung stands
 * @param unit in what steps are told
 */
public record Stairs(
        Integer makesToStep,
        OnMiss onMiss,
        Double stepM,
        @Nullable Double startM,
        Unit unit) {

    /** A step is a length in metres, or one's own shoe, for which a planning value stands. */
    public enum Unit {
        METRE,
        SHOE
    }

    /** Where nothing else was said: one hit a step, a miss stays. */
    public static final Stairs PLAIN = new Stairs(1, OnMiss.STAY, 0.0, null, Unit.METRE);

    public Stairs {
        unit = unit == null ? Unit.METRE : unit;
        Checks checks = new Checks()
                .range("makesToStep", makesToStep, 1, 1000)
                .required("onMiss", onMiss)
                .length("stepM", stepM);
        if (startM != null) checks.length("startM", startM);
        checks.done();
    }

    /** From where the rung stands, in metres. */
    public Stairs(Integer makesToStep, OnMiss onMiss, Double stepM) {
        this(makesToStep, onMiss, stepM, null, Unit.METRE);
    }

    /** The same from another place. */
    public Stairs from(double otherStartM) {
        return new Stairs(makesToStep, onMiss, stepM, otherStartM, unit);
    }

    /** Another way of stepping back over the same ground. */
    public Stairs over(Stairs ground) {
        return new Stairs(
                makesToStep, onMiss, stepM, ground.startM(), ground.stepM().equals(stepM) ? ground.unit() : Unit.METRE);
    }

    Staircase walk(List<Tap> taps) {
        StringBuilder results = new StringBuilder();
        for (Tap tap : taps) results.append(tap instanceof Tap.Hit ? 'H' : 'M');
        return Staircase.of(new Staircase.StaircaseAsk(1, makesToStep, onMiss, results.toString(), stepM));
    }
}
