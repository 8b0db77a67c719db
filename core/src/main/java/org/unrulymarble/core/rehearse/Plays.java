package org.unrulymarble.core.rehearse;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.unrulymarble.core.plan.BlockPlan;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.rehearse.Rehearsal.OfBlock;
import org.unrulymarble.core.rehearse.Rehearsal.OfPupil;
import org.unrulymarble.core.rehearse.Rehearsal.RehearsalAsk;
import org.unrulymarble.core.rehearse.Rehearsal.Spread;

/** Plays a lesson again and again and keeps count. Used once; not thread-safe. */
final class Plays {

    private final RehearsalAsk ask;
    private final List<PlanPupil> pupils;
    private final Map<Integer, Cast> casts = new HashMap<>();
    private final double[] ends;
    private final double[] here;
    private final double[][] blockEnds;
    private final double[][] meeting;
    private final double[] oneMore;
    private final double[] tries;
    private final double[] waits;
    private final int[][] met;
    private final int[] times;

    Plays(RehearsalAsk ask) {
        this.ask = ask;
        this.pupils = ask.setting().pupils();
        int blocks = ask.lesson().blocks().size();
        ends = new double[ask.plays()];
        here = new double[ask.plays()];
        blockEnds = new double[blocks][ask.plays()];
        meeting = new double[blocks][ask.plays()];
        oneMore = new double[blocks];
        tries = new double[blocks];
        waits = new double[blocks];
        met = new int[blocks][pupils.size()];
        times = new int[pupils.size()];
    }

    Rehearsal played() {
        SplittableRandom random = new SplittableRandom(ask.seed());
        Abilities abilities = new Abilities(ask.lesson(), ask.setting());
        for (int play = 0; play < ask.plays(); play++) {
            int[] present = present(random);
            Cast cast = casts.computeIfAbsent(present.length, n -> new Cast(ask.lesson(), ask.setting(), n));
            count(play, present, cast, new Play(ask, cast, abilities, present, random).played());
        }
        return told();
    }

    /** Who is there, by place in the class; one at least. */
    private int[] present(SplittableRandom random) {
        int[] all = new int[pupils.size()];
        int n = 0;
        for (int i = 0; i < all.length; i++) if (random.nextDouble() >= ask.absentShare()) all[n++] = i;
        if (n == 0 && all.length > 0) all[n++] = random.nextInt(pupils.size());
        return Arrays.copyOf(all, n);
    }

    private void count(int play, int[] present, Cast cast, Play.Outcome outcome) {
        ends[play] = outcome.endSec();
        here[play] = present.length;
        for (int pupil : present) times[pupil]++;
        for (int b = 0; b < blockEnds.length; b++) {
            blockEnds[b][play] = outcome.blockEndSec()[b];
            waits[b] += cast.waitSec(b);
            tries[b] += present.length == 0 ? 0 : (double) outcome.tries()[b] / present.length;
            for (int i = 0; i < present.length; i++) {
                if (outcome.met()[b][i]) {
                    met[b][present[i]]++;
                    meeting[b][play]++;
                } else if (outcome.metWithOneMore()[b][i]) oneMore[b]++;
            }
        }
    }

    private Rehearsal told() {
        long bell = 60L * ask.lesson().minutes();
        double past = Arrays.stream(ends).filter(e -> e > bell).count() / (double) ask.plays();
        Cast whole = casts.computeIfAbsent(pupils.size(), n -> new Cast(ask.lesson(), ask.setting(), n));
        List<OfBlock> blocks = new ArrayList<>();
        for (int b = 0; b < blockEnds.length; b++) blocks.add(block(b, whole));
        return new Rehearsal(ask.plays(), spread(ends), bell, past, spread(here), List.copyOf(blocks));
    }

    private OfBlock block(int b, Cast whole) {
        Placed p = whole.placed(b);
        boolean gate = whole.told(b);
        List<OfPupil> each = new ArrayList<>();
        if (gate)
            for (int i = 0; i < pupils.size(); i++)
                each.add(new OfPupil(
                        pupils.get(i).id(), pupils.get(i).name(), times[i] == 0 ? 0 : (double) met[b][i] / times[i]));
        return new OfBlock(
                p.block().id(),
                spread(blockEnds[b]),
                gate ? spread(meeting[b]) : null,
                gate ? (Double) Arrays.stream(meeting[b]).average().orElse(0) : null,
                gate ? (Double) (oneMore[b] / ask.plays()) : null,
                tries[b] / ask.plays(),
                waits[b] / ask.plays(),
                List.copyOf(each));
    }

    private static Spread spread(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return new Spread(at(sorted, 0.1), at(sorted, 0.5), at(sorted, 0.9));
    }

    private static double at(double[] sorted, double part) {
        return sorted.length == 0
                ? 0
                : sorted[(int) Math.min(sorted.length - 1L, Math.round(part * (sorted.length - 1)))];
    }

    /** Seconds that one pupil waits for a place in a block as it is planned. */
    static double waitSec(LessonPlan plan, int block) {
        BlockPlan b = plan.blocks().get(block);
        return b.idleSecPerPupil() + (double) b.quietSecPerPupil();
    }
}
