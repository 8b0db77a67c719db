package org.unrulymarble.core.measure;

import java.util.List;

/** The highest level reached, such as claps under a toss. */
public record Levels() implements Measure {

    @Override
    public Kind kind() {
        return Kind.LEVELS;
    }

    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        int highest = 0;
        for (Tap tap : taps)
            if (tap instanceof Tap.Hit hit && hit.number() != null) highest = Math.max(highest, hit.number());
        return Scored.only(highest);
    }

    @Override
    public int most(int sec) {
        return 1000;
    }

    @Override
    public Compared compared() {
        return Compared.AS_IT_IS;
    }
}
