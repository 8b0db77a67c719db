package org.unrulymarble.core.measure;

import java.util.List;
import org.unrulymarble.core.check.Checks;

/** The time for so many. @param n 1 to 1,000; 20 where nothing was said */
public record TimeForN(Integer n) implements Measure {

    private static final int USUAL = 20;

    public TimeForN {
        n = n == null ? (Integer) USUAL : n;
        new Checks().range("n", n, 1, 1000).done();
    }

    @Override
    public Kind kind() {
        return Kind.TIME_FOR_N;
    }

    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        return CourseTime.quickest(taps);
    }

    @Override
    public int most(int sec) {
        return 86_400;
    }

    @Override
    public boolean lessIsBetter() {
        return true;
    }

    @Override
    public Compared compared() {
        return Compared.AS_IT_IS;
    }
}
