package org.unrulymarble.core.measure;

import java.util.List;

/** The furthest place that was held. @param stairs how it is stepped back; one hit a step where nothing was said */
public record Furthest(Stairs stairs) implements Measure {

    public Furthest {
        stairs = stairs == null ? Stairs.PLAIN : stairs;
    }

    @Override
    public Kind kind() {
        return Kind.FURTHEST;
    }

    @Override
    public Scored score(List<Tap> taps, boolean missesCounted, long workedMs) {
        Scored hits = Scored.hits(taps, true);
        return new Scored(
                stairs.walk(taps).furthestHeld(),
                hits.hits(),
                hits.misses(),
                hits.inARow(),
                new Detail.Steps(stairs.stepM()));
    }

    @Override
    public int most(int sec) {
        return 1000;
    }

    @Override
    public Compared compared() {
        return Compared.SAME_SECONDS;
    }

    @Override
    public boolean countsTries() {
        return true;
    }
}
