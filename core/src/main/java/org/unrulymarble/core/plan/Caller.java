package org.unrulymarble.core.plan;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.unrulymarble.core.chance.Calls;
import org.unrulymarble.core.ladder.RandomCalls;
import org.unrulymarble.core.ladder.Routine;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.KeepAll;
import org.unrulymarble.core.run.RunScript;

/** What is called at random in a block: sides, the words of its rung, or the next numbered ball. Seeded by the block, so that all screens call the same. */
final class Caller {

    private static final List<String> SIDES = List.of("Right", "Left");
    private static final int MOST = 1000;
    private static final int MOST_RUNNING = 2;

    private Caller() {}

    /** Null where nothing is called. */
    static RunScript.Called of(Placed p) {
        if (p.block().routine() != null) return moves(p.block().routine());
        if (!p.isTask()) return null;
        if (p.block().sideOrder() == Block.SideOrder.CALLED && p.sides().equals(List.of(Side.MIXED)))
            return called(SIDES, sideSec(p.rung()), p);
        if (InForce.measure(p, p.rung()) instanceof KeepAll keep) return numbers(keep, p);
        if (p.block().called() != null)
            return called(p.block().called().words(), p.block().called().everySec(), p)
                    .at(p.block().called());
        RandomCalls called = p.rung().calls();
        return called == null ? null : called(called.words(), called.everySec(), p);
    }

    /** Each move at its second; every round begins with the first. */
    private static RunScript.Called moves(Routine routine) {
        List<Routine.Call> calls = routine.calls();
        return new RunScript.Called(
                calls.stream().map(Routine.Call::said).toList(),
                0,
                IntStream.range(0, calls.size()).boxed().toList(),
                calls.stream().map(Routine.Call::atSec).toList(),
                null);
    }

    /** The rung's own pace of calls, else one try after the other; nobody hears more than one word a second. */
    private static double sideSec(Rung rung) {
        return rung.calls() != null
                ? rung.calls().everySec()
                : Math.max(1, rung.pace().hitSec());
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
    private static RunScript.Called numbers(KeepAll keep, Placed p) {
        List<String> words = keep.numbers().stream().map(String::valueOf).toList();
        return new RunScript.Called(
                words,
                0,
                new Random(seed(p)).ints(MOST, 0, keep.balls()).boxed().toList());
    }

    private static int seed(Placed p) {
        return p.block().id().hashCode() & Integer.MAX_VALUE;
    }
}
