package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.unrulymarble.core.ladder.Caution;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockPlan;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.edit.LessonEdit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** What the clock says: past the bell, no water, a wave with nothing to do, a side left out. */
final class TimeChecks {

    private static final int WATER_SEC = 60;

    private final View view;
    private final LessonPlan plan;
    private final List<Found> out;

    private TimeChecks(View view, LessonPlan plan, List<Found> out) {
        this.view = view;
        this.plan = plan;
        this.out = out;
    }

    static void look(View view, LessonPlan plan, List<Found> out) {
        TimeChecks checks = new TimeChecks(view, plan, out);
        checks.bell();
        checks.water();
        for (Placed p : view.tasks()) {
            checks.idle(p);
            checks.side(p);
        }
        checks.quietAgain();
        checks.throwsCount();
    }

    /** The third time nobody is quiet at it any more. */
    private void quietAgain() {
        Map<Block.Task, Integer> times = new HashMap<>();
        for (Placed p : view.tasks()) {
            if (p.quiet() == null || p.waiting() == 0) continue;
            int now = times.merge(p.block().meanwhile(), 1, Integer::sum);
            if (now <= view.thresholds().quietMost()) continue;
            out.add(Found.mind(Code.QUIET_TASK_AGAIN)
                    .at(p)
                    .figure("task", p.quietLadder().name())
                    .figure("times", now)
                    .beyond("quietMost", view.thresholds().quietMost())
                    .mend(quietTask(view, p).orElse(null))
                    .done());
        }
    }

    /** Throws on ladders where throwing counts, of one pupil in the whole lesson. */
    private void throwsCount() {
        int most = view.thresholds().throwsMost();
        List<Placed> throwing = view.tasks().stream()
                .filter(p -> p.ladder().cautions().contains(Caution.THROWING_COUNTS))
                .toList();
        long all = throwing.stream().mapToLong(this::throwsIn).sum();
        if (all <= most || view.youngest() > view.thresholds().throwsCountUpTo()) return;
        Placed heaviest =
                throwing.stream().max(Comparator.comparingLong(this::throwsIn)).orElseThrow();
        out.add(Found.mind(Code.THROWS_MANY)
                .school(Finding.School.SAFETY)
                .about("throws")
                .figure("throws", all)
                .figure("age", view.youngest())
                .beyond("throwsMost", most)
                .mend(fewerSets(heaviest, all - most))
                .done());
    }

    private Change fewerSets(Placed p, long tooMany) {
        int sets = p.block().sets();
        double each = (double) throwsIn(p) / sets;
        int left = sets - (int) Math.ceil(tooMany / each);
        if (left < 1) return null;
        return Change.of(
                Mend.Kind.LESS_OF_IT,
                Map.of("sets", left, "task", p.ladder().name()),
                new BlockEdit.SetSets(p.block().id(), left));
    }

    /** As the plan estimates them; what is done at a quiet task is no throw. */
    private long throwsIn(Placed p) {
        if (p.reps() != null) return (long) p.block().sets() * p.sides().size() * p.reps();
        long movingSec = plan.blocks().stream()
                .filter(b -> b.id().equals(p.block().id()))
                .mapToLong(BlockPlan::movingSecPerPupil)
                .sum();
        return Math.round(p.rung().pace().expectedIn(movingSec));
    }

    private void bell() {
        if (plan.pastBellSec() <= 0) return;
        out.add(Found.stop(Code.PAST_BELL)
                .figure("pastSec", plan.pastBellSec())
                .figure("totalSec", plan.totalSec())
                .figure("bellSec", plan.bellSec())
                .beyond("minutes", view.lesson().minutes())
                .mend(withoutOptional().or(() -> BellFit.of(view, plan)).orElse(null))
                .done());
    }

    /** Optional rounds go first, if that is enough. */
    private Optional<Change> withoutOptional() {
        if (plan.optionalSec() < plan.pastBellSec()) return Optional.empty();
        return Optional.of(Change.of(
                Mend.Kind.WITHOUT_OPTIONAL,
                Map.of("savesSec", plan.optionalSec()),
                view.lesson().blocks().stream()
                        .filter(b -> b.optionalSets() > 0)
                        .<Edit>map(b -> new BlockEdit.DropOptional(b.id()))
                        .toList()));
    }

    private void water() {
        int most = view.lesson().heat()
                ? view.thresholds().waterHeatActiveMin()
                : view.thresholds().waterActiveMin();
        String name = view.lesson().heat() ? "waterHeatActiveMin" : "waterActiveMin";
        long active = 0;
        for (int i = 0; i < plan.blocks().size(); i++) {
            BlockPlan b = plan.blocks().get(i);
            if (b.kind() == Block.Kind.WATER) {
                active = 0;
                continue;
            }
            Circuit circuit = view.lesson().circuitOf(b.id()).orElse(null);
            boolean first = circuit != null && circuit.stationIds().get(0).equals(b.id());
            // Who moves on to the next station for half a minute drinks on the way.
            if (circuit != null && !first && circuit.timeToDrink()) active = 0;
            long after = active + b.movingSecPerPupil();
            if (after > 60L * most) {
                // Nothing goes between two stations.
                int at = active == 0 && circuit == null ? i + 1 : circuit == null ? i : placeOf(circuit);
                out.add(Found.mind(Code.WATER_MISSING)
                        .about(plan.blocks().get(i).id())
                        .figure("activeSec", after)
                        .figure("heat", view.lesson().heat())
                        .beyond(name, most)
                        .mend(at >= plan.blocks().size() ? null : waterAt(at))
                        .done());
                return;
            }
            active = after;
        }
    }

    private int placeOf(Circuit circuit) {
        return view.lesson().indexOf(circuit.stationIds().get(0));
    }

    private Change waterAt(int at) {
        return Change.of(
                Mend.Kind.WATER_IN,
                Map.of("seconds", WATER_SEC, "before", at + 1),
                new LessonEdit.AddTime(view.lesson().freshId("water"), at, Block.Kind.WATER, WATER_SEC));
    }

    private void idle(Placed p) {
        if (p.quiet() != null || p.layout().spots().waves() == null) return;
        // Whom a task is not for waits through all of it.
        boolean forSome = p.others() > 0;
        long oneTurn = (long) p.sides().size() * p.workSec();
        // How long the others work decides; how long it is to the next turn is told.
        if (oneTurn * (forSome ? p.turns() : p.turns() - p.parts())
                <= view.thresholds().idleSec()) return;
        long waits = forSome ? oneTurn * p.turns() : p.waitingSec() / p.block().sets();
        out.add(Found.mind(Code.WAVE_IDLE)
                .at(p)
                .figure("waiting", p.waiting())
                .figure("waitsSec", waits)
                .figure("waves", p.waves())
                .beyond("idleSec", view.thresholds().idleSec())
                .mend(quietTask(view, p).orElse(null))
                .done());
    }

    /** A quiet task for one that needs no wall and whose kit is there; other than the one there is. */
    static Optional<Change> quietTask(View view, Placed p) {
        if (view.trial()) return Optional.empty();
        // What the lesson has already comes last.
        List<String> there = view.lesson().blocks().stream()
                .flatMap(b -> Stream.of(
                        b.ladderId(),
                        b.meanwhile() == null ? null : b.meanwhile().ladderId()))
                .toList();
        List<Ladder> freshFirst = view.setting().catalogue().all().stream()
                .sorted(Comparator.comparing(l -> there.contains(l.id())))
                .toList();
        for (Ladder ladder : freshFirst) {
            if (!ladder.goesMeanwhile()
                    || ladder.id().equals(p.ladder().id())
                    || (p.quietLadder() != null
                            && ladder.id().equals(p.quietLadder().id()))) continue;
            Block.Task task = new Block.Task(ladder.id(), ladder.rungs().get(0).id());
            BlockEdit edit = new BlockEdit.SetMeanwhile(p.block().id(), task);
            Lesson alone =
                    edit.on(view.lesson().withBlocks(List.of(p.block().with(d -> d.reverses = null))), view.setting());
            View trial = View.trial(alone, view.setting());
            if (TaskChecks.all(trial).stream()
                    .anyMatch(f -> f.finding().code().name().startsWith("KIT"))) continue;
            return Optional.of(Change.of(
                    Mend.Kind.QUIET_TASK,
                    Map.of(
                            "task",
                            ladder.name(),
                            "rung",
                            ladder.rungs().get(0).words().name()),
                    edit));
        }
        return Optional.empty();
    }

    private void side(Placed p) {
        if (p.block().sides() == Block.SideChoice.EACH
                || Side.of(p.rung().sides()).size() < 2) return;
        double first = 0;
        double second = 0;
        for (Placed other : view.tasks()) {
            if (!other.ladder().id().equals(p.ladder().id())
                    || Side.of(other.rung().sides()).size() < 2) continue;
            double sec = (double) other.block().sets() * other.block().dose().seconds();
            if (other.block().sides() != Block.SideChoice.SECOND_ONLY) first += sec;
            if (other.block().sides() != Block.SideChoice.FIRST_ONLY) second += sec;
        }
        double least = Math.min(first, second) / Math.max(1, first + second);
        if (least >= view.thresholds().sideShare()) return;
        List<Side> sides = new ArrayList<>(Side.of(p.rung().sides()));
        Side left = p.block().sides() == Block.SideChoice.FIRST_ONLY ? sides.get(1) : sides.get(0);
        out.add(Found.mind(Code.SIDE_LEFT_OUT)
                .at(p)
                .figure("side", left.name())
                .figure("share", least)
                .beyond("sideShare", view.thresholds().sideShare())
                .mend(Change.of(
                        Mend.Kind.EACH_SIDE,
                        Map.of(),
                        new BlockEdit.ChooseSides(p.block().id(), Block.SideChoice.EACH)))
                .done());
    }
}
