package org.unrulymarble.core.rehearse;

import java.util.List;
import java.util.random.RandomGenerator;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.rehearse.Rehearsal.RehearsalAsk;

/** One play of a lesson with those who are there. Used once. */
final class Play {

    /** By block, and for those who are there in their order. */
    record Outcome(double endSec, double[] blockEndSec, int[] tries, boolean[][] met, boolean[][] metWithOneMore) {}

    private final RehearsalAsk ask;
    private final Cast cast;
    private final Abilities abilities;
    private final int[] present;
    private final RandomGenerator random;
    private final double[][] day;
    private final double[] blockEndSec;
    private final int[] tries;
    /** For each side of the block whether its gate was met. */
    private final boolean[][][] metSides;

    Play(RehearsalAsk ask, Cast cast, Abilities abilities, int[] present, RandomGenerator random) {
        this.ask = ask;
        this.cast = cast;
        this.abilities = abilities;
        this.present = present;
        this.random = random;
        this.day = abilities.day(present.length, random);
        int blocks = ask.lesson().blocks().size();
        blockEndSec = new double[blocks];
        tries = new int[blocks];
        metSides = new boolean[blocks][present.length][2];
    }

    Outcome played() {
        double now = 0;
        double aroundOfBlock = 1;
        int block = -1;
        List<Segment> segments = cast.segments();
        for (int i = 0; i < segments.size(); i++) {
            Segment s = segments.get(i);
            if (s.block() != block) {
                block = s.block();
                // By its mean, the spread being that of the logarithm.
                double sd = ask.aroundSd();
                aroundOfBlock = ask.aroundMean() * Math.exp(sd * random.nextGaussian() - sd * sd / 2);
            }
            double took =
                    s.kind() == Segment.Kind.WORK ? round(i, s) : s.durationSec() * (around(s) ? aroundOfBlock : 1);
            if (s.beside() == null) now += took;
            if (s.kind() != Segment.Kind.TRANSITION) blockEndSec[s.block()] = now;
        }
        boolean[][] met = new boolean[blockEndSec.length][present.length];
        boolean[][] more = new boolean[blockEndSec.length][present.length];
        for (int b = 0; b < met.length; b++) {
            if (!cast.told(b)) continue;
            int sides = cast.scriptBlock(b).sides().size();
            for (int p = 0; p < present.length; p++) {
                met[b][p] = metSides[b][p][0] && (sides < 2 || metSides[b][p][1]);
                if (!met[b][p]) more[b][p] = withOneMore(b, p, sides);
            }
        }
        return new Outcome(now, blockEndSec, tries, met, more);
    }

    /** What is not work and not a rest that is timed. */
    private static boolean around(Segment s) {
        return switch (s.kind()) {
            case SETUP, EXPLAIN, TURN_SWAP, TRANSITION, STATION_CHANGE, TALK, WATER -> true;
            default -> false;
        };
    }

    /** One more round on each side that is still open. */
    private boolean withOneMore(int block, int p, int sides) {
        for (int side = 0; side < sides; side++)
            if (!metSides[block][p][side] && tried(block, p).metSec() == Double.POSITIVE_INFINITY) return false;
        return true;
    }

    private TriedRound tried(int block, int p) {
        TriedRound.Asked asked = abilities.asked(block, present[p]);
        return TriedRound.of(asked, abilities.share(block, present[p], day[p]), random);
    }

    /** @return seconds that it took: where a count or a gate ends it, until the last one is through */
    private double round(int index, Segment s) {
        Placed placed = cast.placed(s.block());
        if (!placed.isTask()) return s.durationSec();
        double last = 0;
        for (int p : cast.workers(index)) {
            TriedRound tried = tried(s.block(), p);
            tries[s.block()] += tried.tries();
            if (tried.metSec() < Double.POSITIVE_INFINITY) metSides[s.block()][p][Math.max(0, s.side())] = true;
            double through = placed.block().dose().type() == BlockDose.Type.GATE ? tried.metSec() : tried.doneSec();
            last = Math.max(last, through);
        }
        BlockDose.Type dose = placed.block().dose().type();
        boolean endsEarly = dose == BlockDose.Type.GATE || dose == BlockDose.Type.COUNT;
        return endsEarly && placed.station() == null ? Math.min(s.durationSec(), last) : s.durationSec();
    }
}
