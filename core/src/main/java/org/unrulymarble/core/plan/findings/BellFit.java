package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.clock.Fit;
import org.unrulymarble.core.clock.RestRule;
import org.unrulymarble.core.clock.Timing;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.LessonTimes;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.Timeline;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.edit.CircuitEdit;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/**
 * Makes a lesson end by its bell: sets and seconds of the blocks by clock are chosen by the reckoning "fit"; what has another dose keeps it, and
 * gives up sets. Where even the shortest is too long, what makes the most waves gives way to a task that makes fewer, then the longest count or limit
 * is cut, and only then the last main task goes.
 */
final class BellFit {

    private static final int MOST_BLOCKS = 20;
    private static final double LONGER = 1.25;
    private static final int LEAST_WORK_SEC = 15;
    private static final int LEAST_REPS = 3;
    private static final long LEFT_SEC = 45;
    private static final int MOST_REST_MORE_SEC = 10;
    private static final int LEAST_LIMIT_SEC = 20;

    private BellFit() {}

    static Optional<Change> of(View view, LessonPlan plan) {
        return fit(view, false)
                .or(() -> fewerWaves(view))
                .or(() -> shorter(view, plan.pastBellSec()))
                .or(() -> removeLast(view));
    }

    /** The other way round: sets and seconds are added to a lesson that ends early, each main task a set or a quarter more of its seconds at most. */
    static Optional<Change> filled(View view) {
        return fit(view, true);
    }

    /** What is left even then goes to the rests between the rounds of a circuit, all alike. */
    static Lesson rested(Lesson lesson, Setting setting) {
        long leftSec = -LessonTimes.of(lesson, setting).pastBellSec();
        if (leftSec < LEFT_SEC) return lesson;
        for (Circuit c : lesson.circuits()) {
            long rests = (long) c.stations() * (c.rounds() - 1);
            int more = rests == 0 ? 0 : (int) Math.min(MOST_REST_MORE_SEC, leftSec / rests);
            if (more > 0)
                return new CircuitEdit.SetCircuit(c.id(), null, null, c.restSec() + more, null).on(lesson, setting);
        }
        return lesson;
    }

    private static Optional<Change> fit(View view, boolean more) {
        List<Fit.FitBlock> blocks = new ArrayList<>();
        List<Timeline.Piece> fitted = new ArrayList<>();
        List<Timeline.Piece> pieces = Timeline.pieces(view.placed());
        long fixedSec = 0;
        for (Timeline.Piece piece : pieces) {
            Placed p = piece.blocks().get(0);
            if (!p.moves()) {
                fixedSec += p.block().dose().seconds();
                continue;
            }
            fitted.add(piece);
            blocks.add(piece.circuit() == null ? fitBlock(p, more) : fitCircuit(piece, more));
        }
        if (blocks.isEmpty() || blocks.size() > MOST_BLOCKS) return Optional.empty();
        // Changes to and from what is not fitted take their time all the same.
        long changes = (long) (pieces.size() - blocks.size()) * view.lesson().transitionSec();
        long target = 60L * view.lesson().minutes() - fixedSec - changes;
        if (target <= 0) return Optional.empty();
        Fit fit = Fit.of(new Fit.FitAsk(RestRule.BETWEEN_SETS, view.lesson().transitionSec(), (int) target, blocks));
        if (!fit.feasible()) return Optional.empty();
        List<Edit> edits = new ArrayList<>();
        for (int i = 0; i < fitted.size(); i++)
            edits.addAll(edits(fitted.get(i), fit.blocks().get(i), more));
        Change change = Change.of(
                Mend.Kind.FIT_TO_BELL, Map.of("endsSec", 60L * view.lesson().minutes() - fit.shortOfBellSec()), edits);
        Lesson after = change.on(view.lesson(), view.setting());
        // Rest after the last set of a block, by the other rest school, is not in the fit.
        if (LessonTimes.of(after, view.setting()).pastBellSec() > 0) return Optional.empty();
        return Optional.of(change);
    }

    private static List<Edit> edits(Timeline.Piece piece, Fit.Choice choice, boolean more) {
        if (piece.circuit() != null) {
            List<Edit> edits = new ArrayList<>();
            edits.add(new CircuitEdit.SetCircuit(piece.circuit().id(), null, choice.workSec(), null, null));
            // Who worked the whole round goes on doing so.
            for (Placed p : piece.blocks())
                if (more
                        && p.block().dose().type() == BlockDose.Type.CLOCK
                        && piece.circuit().workSec() - p.workSec() < (p.mixed() ? 2 : 1))
                    edits.add(new BlockEdit.SetDose(
                            p.block().id(), BlockDose.byClock(choice.workSec() / (p.mixed() ? 2 : 1))));
            return edits;
        }
        Placed p = piece.blocks().get(0);
        List<Edit> edits = new ArrayList<>();
        edits.add(new BlockEdit.SetSets(p.block().id(), choice.sets()));
        if (p.block().dose().type() == BlockDose.Type.CLOCK)
            edits.add(new BlockEdit.SetDose(p.block().id(), BlockDose.byClock(choice.workSec() / (p.mixed() ? 2 : 1))));
        return edits;
    }

    /** Every group is at every station as often as it was to be; the rounds may become shorter, or longer. */
    private static Fit.FitBlock fitCircuit(Timeline.Piece piece, boolean more) {
        Timing t = piece.timing();
        int work = Math.max(1, t.dose().seconds());
        return new Fit.FitBlock(
                t.setupSec(),
                t.explainSec(),
                t.countInSec(),
                t.sets(),
                t.dose(),
                1,
                0,
                t.turns(),
                t.turnSwapSec(),
                t.restSec(),
                false,
                t.sets(),
                t.sets(),
                more ? work : Math.min(work, LEAST_WORK_SEC),
                more ? longer(work) : work,
                2.0);
    }

    private static int longer(int workSec) {
        return (int) (LONGER * workSec);
    }

    private static Fit.FitBlock fitBlock(Placed p, boolean more) {
        Timing t = p.timing();
        // A routine lasts as long as its moves.
        boolean byClock =
                p.block().dose().type() == BlockDose.Type.CLOCK && p.block().routine() == null;
        int work = Math.max(1, t.dose().seconds());
        int step = p.mixed() ? 2 : 1;
        int least = byClock && !more ? Math.min(work, LEAST_WORK_SEC * step) : work;
        boolean mayGrow = more && p.part() == Part.MAIN && p.block().routine() == null;
        boolean twoAtLeast = p.block().optionalSets() > 0 || p.block().cue() == Block.Cue.AFTER_A_TRY;
        return new Fit.FitBlock(
                t.setupSec(),
                t.explainSec(),
                t.countInSec(),
                t.sets(),
                org.unrulymarble.core.clock.Dose.byClock(work),
                t.sides(),
                t.sideSwapSec(),
                t.turns(),
                t.turnSwapSec(),
                t.restSec(),
                t.waitIsRest(),
                more ? t.sets() : twoAtLeast ? Math.min(2, t.sets()) : 1,
                mayGrow ? t.sets() + 1 : t.sets(),
                least,
                mayGrow && byClock ? longer(work) : work,
                p.part() == Part.MAIN ? 2.0 : 1.0);
    }

    /** The task with the most waves, if they are too many, gives way to the nearest of kin that makes fewer. */
    private static Optional<Change> fewerWaves(View view) {
        return view.tasks().stream()
                .filter(p -> p.waves() > view.thresholds().wavesMost())
                .max(Comparator.comparingInt(Placed::waves))
                .flatMap(p -> new Mends(view).otherTask(p));
    }

    /** The longest main task that goes by a count or a limit does as much less as the bell asks. */
    private static Optional<Change> shorter(View view, long pastSec) {
        return view.tasks().stream()
                .filter(p -> p.station() == null)
                .filter(p -> p.part() == Part.MAIN && p.block().dose().type() != BlockDose.Type.CLOCK)
                .max(Comparator.comparingLong(BellFit::workOfAllSec))
                .flatMap(p -> cut(p, pastSec));
    }

    private static long workOfAllSec(Placed p) {
        return roundsOf(p) * p.workSec();
    }

    private static long roundsOf(Placed p) {
        return (long) p.block().sets() * p.turns() * p.sides().size();
    }

    private static Optional<Change> cut(Placed p, long pastSec) {
        String id = p.block().id();
        BlockDose dose = p.block().dose();
        int rounds = (int) roundsOf(p) * (p.mixed() ? 2 : 1);
        int lessSec = (int) ((pastSec + rounds - 1) / rounds);
        if (dose instanceof BlockDose.ByCount count) {
            int reps = count.reps() - (int) Math.ceil(lessSec / Math.max(0.1, count.secPerRep()));
            if (reps < LEAST_REPS) return Optional.empty();
            return Optional.of(Change.of(
                    Mend.Kind.LESS_OF_IT,
                    Map.of("reps", reps),
                    new BlockEdit.SetDose(id, BlockDose.byCount(reps, count.secPerRep()))));
        }
        if (!(dose instanceof BlockDose.Limited limited)) return Optional.empty();
        int limit = limited.limitSec() - lessSec;
        if (limit < LEAST_LIMIT_SEC) return Optional.empty();
        return Optional.of(Change.of(
                Mend.Kind.LESS_OF_IT, Map.of("limitSec", limit), new BlockEdit.SetDose(id, limited.limit(limit))));
    }

    private static Optional<Change> removeLast(View view) {
        List<Placed> main =
                view.tasks().stream().filter(p -> p.part() == Part.MAIN).toList();
        if (main.size() < 2) return Optional.empty();
        return new Mends(view).remove(main.get(main.size() - 1));
    }
}
