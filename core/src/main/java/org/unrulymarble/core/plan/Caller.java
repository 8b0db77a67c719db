package org.unrulymarble.core.plan;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.unrulymarble.core.chance.Calls;
import org.unrulymarble.core.ladder.Scoring;
import org.unrulymarble.core.score.RunScript;
import org.unrulymarble.core.score.Side;

/** What is called at random in a block: sides, the words of its rung, or the next numbered ball. Seeded by the block, so that all screens call the same. */
final class Caller {

    private static final List<String> SIDES = List.of("Right", "Left");
    private static final int MOST = 1000;
    private static final int MOST_RUNNING = 2;

    private Caller() {}

    /** Null where nothing is called. */
    static RunScript.Called of(Placed p) {
        if (!p.isTask()) return null;
        if (p.block().sideOrder() == Block.SideOrder.CALLED && p.sides().equals(List.of(Side.MIXED)))
            return called(SIDES, Math.max(1, p.rung().pace().hitSec()), p);
        Scoring scoring = p.rung().scoring().forMeasure(p.rung().measure());
        if (scoring.balls() != null) return numbers(scoring.balls(), p);
        return scoring.calls() == null ? null : called(scoring.calls(), scoring.callEverySec(), p);
    }

    private static RunScript.Called called(List<String> words, double everySec, Placed p) {
        int perRound = (int) Math.ceil(p.workSec() / everySec);
        int all = Math.max(
                1,
                Math.min(
                        MOST,
                        perRound * p.block().sets() * p.turns() * p.sides().size()));
        int seed = p.block().id().hashCode() & Integer.MAX_VALUE;
        Calls calls = Calls.of(new Calls.CallsAsk(seed, words.size(), all, MOST_RUNNING, false, List.of()));
        return new RunScript.Called(words, everySec, calls.calls());
    }

    /** Drawn with repeats and not by the clock: whoever leaves out what is kept has drawn from what is left. */
    private static RunScript.Called numbers(int balls, Placed p) {
        List<String> words =
                IntStream.rangeClosed(1, balls).mapToObj(String::valueOf).toList();
        return new RunScript.Called(
                words, 0, new Random(seed(p)).ints(MOST, 0, balls).boxed().toList());
    }

    private static int seed(Placed p) {
        return p.block().id().hashCode() & Integer.MAX_VALUE;
    }
}
