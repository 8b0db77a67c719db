package org.unrulymarble.core.measure;

import java.util.List;
import org.unrulymarble.core.check.Checks;

/** So many hits in a row (1 to 1,000) move a step of so many metres (0 to 200) back; what a miss does. */
public record Stairs(Integer makesToStep, OnMiss onMiss, Double stepM) {

    /** Where nothing else was said: one hit a step, a miss stays. */
    public static final Stairs PLAIN = new Stairs(1, OnMiss.STAY, 0.0);

    public Stairs {
        new Checks()
                .range("makesToStep", makesToStep, 1, 1000)
                .required("onMiss", onMiss)
                .length("stepM", stepM)
                .done();
    }

    Staircase walk(List<Tap> taps) {
        StringBuilder results = new StringBuilder();
        for (Tap tap : taps) results.append(tap instanceof Tap.Hit ? 'H' : 'M');
        return Staircase.of(new Staircase.StaircaseAsk(1, makesToStep, onMiss, results.toString(), stepM));
    }
}
