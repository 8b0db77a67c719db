package org.unrulymarble.core.clock;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Checks;

/**
 * How long a lesson really takes. Source: the house's reckoning "clock".
 *
 * @param totalSec whole lesson
 * @param activeSecPerPupil seconds that one pupil works
 * @param activeShare of the total, 0 to 1; 0 for no time
 */
public record LessonClock(
        long totalSec, long activeSecPerPupil, double activeShare, List<BlockClock> blocks, List<Segment> segments) {

    /** At most so many blocks in a lesson. */
    public static final int MAX_BLOCKS = 60;

    /** @param restInsertedSec the rest of one gap between two sets, its turn swap included; 0 with one set */
    public record BlockClock(long startSec, long endSec, long activeSecPerPupil, long restInsertedSec) {}

    /** The question: the blocks in order, what lies between them, and where rest is taken. */
    public record ClockAsk(RestRule restRule, Integer transitionSec, List<Timing> blocks) {
        public ClockAsk {
            new Checks()
                    .required("restRule", restRule)
                    .seconds("transitionSec", transitionSec)
                    .entries("blocks", blocks, 0, MAX_BLOCKS)
                    .done();
            blocks = List.copyOf(blocks);
        }
    }

    public static LessonClock of(ClockAsk ask) {
        Tiler tiler = new Tiler();
        List<BlockClock> clocks = new ArrayList<>();
        long active = 0;
        for (int i = 0; i < ask.blocks().size(); i++) {
            Timing block = ask.blocks().get(i);
            boolean last = i == ask.blocks().size() - 1;
            long start = tiler.nowSec;
            tiler.block(i, block);
            if (!last && ask.restRule() == RestRule.AFTER_EVERY_SET) {
                Timing next = ask.blocks().get(i + 1);
                long rest = block.restSec() - ask.transitionSec() - next.setupSec() - next.explainSec();
                tiler.add(i, Segment.Kind.REST, rest, block.sets() - 1, -1, -1);
            }
            clocks.add(new BlockClock(start, tiler.nowSec, block.activeSec(), block.sets() > 1 ? block.gapSec() : 0));
            active += block.activeSec();
            if (!last) tiler.add(i, Segment.Kind.TRANSITION, ask.transitionSec(), -1, -1, -1);
        }
        double share = tiler.nowSec == 0 ? 0 : (double) active / tiler.nowSec;
        return new LessonClock(tiler.nowSec, active, share, List.copyOf(clocks), List.copyOf(tiler.segments));
    }

    /** Lays one segment after the other. */
    private static final class Tiler {
        final List<Segment> segments = new ArrayList<>();
        long nowSec = 0;

        void block(int block, Timing t) {
            add(block, Segment.Kind.SETUP, t.setupSec(), -1, -1, -1);
            add(block, Segment.Kind.EXPLAIN, t.explainSec(), -1, -1, -1);
            for (int set = 0; set < t.sets(); set++) {
                if (set > 0) gap(block, t, set - 1);
                for (int turn = 0; turn < t.turns(); turn++) {
                    if (turn > 0) add(block, Segment.Kind.TURN_SWAP, t.turnSwapSec(), set, turn - 1, -1);
                    turn(block, t, set, turn);
                }
            }
        }

        private void turn(int block, Timing t, int set, int turn) {
            add(block, Segment.Kind.COUNT_IN, t.countInSec(), set, turn, -1);
            for (int side = 0; side < t.sides(); side++) {
                if (side > 0) add(block, Segment.Kind.SIDE_SWAP, t.sideSwapSec(), set, turn, -1);
                add(block, Segment.Kind.WORK, t.workSec(), set, turn, side);
            }
        }

        /** Between two sets: first the places are changed, then what remains is rest. */
        private void gap(int block, Timing t, int setDone) {
            long swap = t.turns() > 1 ? t.turnSwapSec() : 0;
            add(block, Segment.Kind.TURN_SWAP, swap, setDone, t.turns() - 1, -1);
            add(block, Segment.Kind.REST, t.gapSec() - swap, setDone, t.turns() - 1, -1);
        }

        void add(int block, Segment.Kind kind, long durationSec, int set, int turn, int side) {
            if (durationSec <= 0) return;
            segments.add(new Segment(segments.size(), block, kind, nowSec, durationSec, set, turn, side));
            nowSec += durationSec;
        }
    }
}
