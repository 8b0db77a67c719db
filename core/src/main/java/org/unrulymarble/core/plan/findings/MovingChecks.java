package org.unrulymarble.core.plan.findings;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.measure.Match;
import org.unrulymarble.core.plan.Circuit;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.LessonTimes;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.edit.CircuitEdit;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** A lesson in which each pupil moves for less than a third of the time, and what would raise it. Games and calm lessons may. */
final class MovingChecks {

    private static final int CALM_EFFORT = 2;
    private static final int MOST_STATIONS = 4;

    /** Groups of fewer are hardly groups. */
    private static final int FEWEST_AT_A_STATION = 3;

    private static final int[] ROUNDS = {2, 4, 6};

    private final View view;
    private final LessonPlan plan;

    private MovingChecks(View view, LessonPlan plan) {
        this.view = view;
        this.plan = plan;
    }

    static void look(View view, LessonPlan plan, List<Found> out) {
        MovingChecks checks = new MovingChecks(view, plan);
        double least = view.thresholds().movingShare();
        if (view.atHome() || plan.totalSec() == 0 || plan.movingShare() >= least || checks.calmOrGame()) return;
        long waits = plan.quietSecPerPupil() + plan.idleSecPerPupil();
        long helps = view.tasks().stream().mapToLong(MovingChecks::helpsSec).sum();
        long rest = Math.max(0, plan.totalSec() - plan.movingSecPerPupil() - waits - helps);
        String most = waits >= helps && waits >= rest ? "WAITING" : helps >= rest ? "HELPING" : "AROUND";
        out.add(Found.mind(Code.MOVING_LITTLE)
                .figure("share", plan.movingShare())
                .figure("waitsSec", waits)
                .figure("helpsSec", helps)
                .figure("restSec", rest)
                .figure("most", most)
                .beyond("movingShare", least)
                .mend(new Mends(view).first(checks::sideBySide))
                .done());
    }

    /** Seconds of one pupil at a spot while another of the crew works. */
    private static long helpsSec(Placed p) {
        return (long) p.block().sets() * (p.parts() - 1) * p.sides().size() * p.workSec();
    }

    private boolean calmOrGame() {
        List<Placed> main = main();
        return main.stream().anyMatch(p -> p.rung().measure() instanceof Match)
                || main.stream().allMatch(p -> p.effort() <= CALM_EFFORT);
    }

    private List<Placed> main() {
        return view.tasks().stream().filter(p -> p.part() == Part.MAIN).toList();
    }

    /** The two, three or four main tasks at which most time is waited, at the same time: where that ends by the bell and moves everybody enough. */
    private Optional<Change> sideBySide() {
        List<Placed> waitMost = main().stream()
                .filter(p -> p.station() == null && p.others() == 0)
                .sorted(Comparator.comparingLong(Placed::waitingSec).reversed())
                .limit(MOST_STATIONS)
                .toList();
        Change best = null;
        double bestShare = view.thresholds().movingShare();
        int stopsNow = stops(view.lesson());
        for (int n = Circuit.FEWEST_STATIONS; n <= waitMost.size(); n++) {
            if (view.setting().pupils().size() < n * FEWEST_AT_A_STATION) break;
            for (int rounds : ROUNDS) {
                List<Edit> edits = edits(waitMost.subList(0, n), rounds);
                Lesson after = Edit.all(edits, view.lesson(), view.setting());
                LessonTimes then = LessonTimes.of(after, view.setting());
                if (then.movingShare() <= bestShare
                        || then.totalSec() > Math.max(plan.totalSec(), then.bellSec())
                        || stops(after) > stopsNow) continue;
                bestShare = then.movingShare();
                best = Change.of(
                        Mend.Kind.SIDE_BY_SIDE, Map.of("stations", n, "rounds", rounds, "share", bestShare), edits);
            }
        }
        return Optional.ofNullable(best);
    }

    private List<Edit> edits(List<Placed> tasks, int rounds) {
        String id = view.lesson().freshId("circuit");
        return List.of(
                new CircuitEdit.PutTogether(
                        id, tasks.stream().map(p -> p.block().id()).toList()),
                new CircuitEdit.SetCircuit(id, rounds, null, null, null));
    }

    private int stops(Lesson lesson) {
        return TaskChecks.stops(View.trial(lesson, view.setting())).size();
    }
}
