package org.unrulymarble.core.ladder;

import java.util.List;
import org.unrulymarble.core.check.Checks;

/** Words that are called at random, 2 to 8; {@code everySec} from call to call, 1 to 60, or 3 where nothing was said. */
public record RandomCalls(List<String> words, Double everySec) {

    private static final double USUAL_SEC = 3;

    public RandomCalls {
        everySec = everySec == null ? (Double) USUAL_SEC : everySec;
        Checks checks = new Checks().entries("calls", words, 2, 8).range("callEverySec", everySec, 1, 60);
        if (words != null) for (int i = 0; i < words.size(); i++) checks.text("calls[" + i + "]", words.get(i), 20);
        checks.done();
        words = List.copyOf(words);
    }
}
