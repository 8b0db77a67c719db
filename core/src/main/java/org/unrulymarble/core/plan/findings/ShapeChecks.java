package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.ladder.Aspect;
import org.unrulymarble.core.ladder.Family;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Manner;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.edit.LessonEdit;
import org.unrulymarble.core.plan.findings.Finding.Code;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** The order of the lesson, by the school that was chosen; and neighbours whose cues contradict each other. */
final class ShapeChecks {

    private static final int MOBILITY_SEC = 120;

    private final View view;
    private final List<Found> out;
    private final List<Placed> moving;

    private ShapeChecks(View view, List<Found> out) {
        this.view = view;
        this.out = out;
        this.moving = view.placed().stream().filter(p -> p.moves()).toList();
    }

    static void look(View view, List<Found> out) {
        ShapeChecks checks = new ShapeChecks(view, out);
        if (checks.moving.isEmpty()) return;
        switch (view.lesson().shape()) {
            case MOBILITY_FIRST -> {
                checks.warmUp(Finding.School.MOBILITY_FIRST);
                checks.coolDown(Finding.School.MOBILITY_FIRST);
                checks.effort();
            }
            case MIRRORED -> {
                checks.warmUp(Finding.School.MIRRORED);
                checks.coolDown(Finding.School.MIRRORED);
                checks.reversed();
                checks.effort();
            }
            case BALL_FIRST -> checks.ballFirst();
            case ONE_SKILL -> checks.oneSkill();
            case FREE -> {
                // No order is asked.
            }
        }
        checks.cues();
    }

    private Placed first() {
        return moving.get(0);
    }

    private Placed last() {
        return moving.get(moving.size() - 1);
    }

    private void warmUp(Finding.School school) {
        if (first().part() == Part.WARM_UP) return;
        out.add(Found.mind(Code.WARM_UP_MISSING)
                .school(school)
                .mend(bring(Part.WARM_UP, Mend.Kind.WARM_UP_IN, 0))
                .done());
    }

    private void coolDown(Finding.School school) {
        if (last().part() == Part.COOL_DOWN) return;
        Optional<Placed> warmUp =
                moving.stream().filter(p -> p.part() == Part.WARM_UP).findFirst();
        Change change = school == Finding.School.MIRRORED && warmUp.isPresent()
                ? mirror(warmUp.get())
                : bring(
                        Part.COOL_DOWN,
                        Mend.Kind.COOL_DOWN_IN,
                        view.lesson().blocks().size());
        out.add(Found.mind(Code.COOL_DOWN_MISSING).school(school).mend(change).done());
    }

    /** One that stands elsewhere in the lesson is moved; else the first of the catalogue that is sound here is put in. */
    private Change bring(Part part, Mend.Kind kind, int at) {
        Optional<Placed> elsewhere =
                moving.stream().filter(p -> p.part() == part).findFirst();
        if (elsewhere.isPresent()) {
            String id = elsewhere.get().block().id();
            return Change.of(
                    Mend.Kind.OTHER_ORDER,
                    Map.of(
                            "task",
                            elsewhere.get().ladder() == null
                                    ? ""
                                    : elsewhere.get().ladder().name()),
                    new LessonEdit.Move(id, at));
        }
        for (Ladder ladder : view.setting().catalogue().all()) {
            if (ladder.part() != part) continue;
            if (!Fits.soundHere(ladder, ladder.rungs().get(0), view.setting())) continue;
            return Change.of(
                    kind,
                    Map.of("task", ladder.name(), "seconds", MOBILITY_SEC),
                    mobility(ladder, view.lesson().freshId(part == Part.WARM_UP ? "warm" : "cool"), at));
        }
        return null;
    }

    private static List<Edit> mobility(Ladder ladder, String id, int at) {
        return List.of(
                new LessonEdit.Add(id, at, ladder.id(), ladder.rungs().get(0).id()),
                new BlockEdit.SetDose(id, BlockDose.byClock(MOBILITY_SEC)),
                new BlockEdit.SetSets(id, 1),
                new BlockEdit.SetSeconds(id, 0, 10, 0));
    }

    private Change mirror(Placed warmUp) {
        return Change.of(
                Mend.Kind.COOL_DOWN_IN,
                Map.of(
                        "task",
                        warmUp.ladder() == null ? "" : warmUp.ladder().name(),
                        "seconds",
                        warmUps().stream().mapToInt(Placed::workSec).sum()),
                new LessonEdit.EndWithWarmUpBackwards(view.lesson().freshId("cool")));
    }

    /** The tasks that the lesson begins with as its warm-up. */
    private List<Placed> warmUps() {
        return view.tasks().stream().takeWhile(p -> p.part() == Part.WARM_UP).toList();
    }

    /** Whether the lesson ends with the warm-up's tasks, the last one first, each backwards. */
    private boolean endsWithWarmUpBackwards() {
        List<String> warm = warmUps().stream().map(p -> p.block().id()).toList();
        List<Placed> tasks = view.tasks();
        if (tasks.size() < 2 * warm.size()) return false;
        for (int i = 0; i < warm.size(); i++)
            if (!warm.get(i).equals(tasks.get(tasks.size() - 1 - i).block().reverses())) return false;
        return true;
    }

    /** Only where there is a warm-up and a cool-down to compare. */
    private void reversed() {
        if (first().part() != Part.WARM_UP || last().part() != Part.COOL_DOWN) return;
        if (endsWithWarmUpBackwards() || !first().isTask() || !last().isTask()) return;
        out.add(Found.mind(Code.COOL_DOWN_NOT_REVERSED)
                .school(Finding.School.MIRRORED)
                .mend(Change.of(
                        Mend.Kind.REVERSE_WARM_UP,
                        Map.of("task", first().ladder().name()),
                        new LessonEdit.EndWithWarmUpBackwards(view.lesson().freshId("cool"))))
                .done());
    }

    private void ballFirst() {
        if (opensWithBall(first())) return;
        Optional<Placed> later =
                moving.stream().filter(ShapeChecks::opensWithBall).findFirst();
        out.add(Found.mind(Code.BALL_NOT_FIRST)
                .school(Finding.School.BALL_FIRST)
                .mend(later.map(p -> Change.of(
                                Mend.Kind.OTHER_ORDER,
                                Map.of("task", p.ladder().name()),
                                new LessonEdit.Move(p.block().id(), 0)))
                        .orElse(null))
                .done());
    }

    private static boolean opensWithBall(Placed p) {
        return p.isTask()
                && p.ladder().ballRole().isPresent()
                && (p.ladder().family() == Family.HANDLE || p.ladder().family() == Family.CATCH)
                && (p.ladder().aspects().contains(Aspect.HANDS)
                        || p.ladder().aspects().contains(Aspect.BOTH_SIDES));
    }

    private void oneSkill() {
        List<Family> families = moving.stream()
                .filter(p -> p.isTask() && p.part() == Part.MAIN)
                .map(p -> p.ladder().family())
                .distinct()
                .toList();
        if (families.size() < 2) return;
        out.add(Found.mind(Code.SKILLS_MIXED)
                .figure("families", families.stream().map(Enum::name).toList())
                .school(Finding.School.ONE_SKILL)
                .mend(Change.of(Mend.Kind.FREE_SHAPE, Map.of(), new LessonEdit.ChooseShape(Lesson.Shape.FREE)))
                .done());
    }

    /** Between neighbours that move; water, talk and free time in between let the pulse go where it likes. */
    private void effort() {
        int most = view.thresholds().effortLeap();
        for (int i = 1; i < view.placed().size(); i++) {
            Placed a = view.placed().get(i - 1);
            Placed b = view.placed().get(i);
            if (!a.isTask() || !b.isTask() || Math.abs(a.effort() - b.effort()) <= most) continue;
            // A fall into the cool-down is what a cool-down is for.
            if (b.part() == Part.COOL_DOWN) continue;
            out.add(Found.mind(Code.EFFORT_LEAP)
                    .at(b)
                    .figure("from", a.effort())
                    .figure("to", b.effort())
                    .beyond("effortLeap", most)
                    .school(Finding.School.valueOf(view.lesson().shape().name()))
                    .mend(calmerOrder())
                    .done());
            return;
        }
    }

    private int leaps(List<Placed> placed) {
        int leaps = 0;
        for (int i = 1; i < placed.size(); i++) {
            Placed a = placed.get(i - 1);
            Placed b = placed.get(i);
            if (a.isTask() && b.isTask() && b.part() != Part.COOL_DOWN)
                leaps += Math.max(
                        0, Math.abs(a.effort() - b.effort()) - view.thresholds().effortLeap());
        }
        return leaps;
    }

    /** The swap of two main tasks that leaves least of the leaps; none if no swap helps. */
    private Change calmerOrder() {
        List<Placed> placed = view.placed();
        int least = leaps(placed);
        String one = null;
        String other = null;
        for (int i = 0; i < placed.size(); i++)
            for (int j = i + 1; j < placed.size(); j++) {
                if (placed.get(i).part() != Part.MAIN || placed.get(j).part() != Part.MAIN) continue;
                List<Placed> swapped = new ArrayList<>(placed);
                Collections.swap(swapped, i, j);
                int left = leaps(swapped);
                if (left < least) {
                    least = left;
                    one = placed.get(i).block().id();
                    other = placed.get(j).block().id();
                }
            }
        return one == null ? null : swap(one, other);
    }

    private Change swap(String one, String other) {
        Placed moved = view.placed().stream()
                .filter(p -> p.block().id().equals(other))
                .findFirst()
                .orElseThrow();
        return Change.of(
                Mend.Kind.OTHER_ORDER,
                Map.of("task", moved.isTask() ? moved.ladder().name() : ""),
                new LessonEdit.Swap(one, other));
    }

    private void cues() {
        for (int i = 1; i < view.placed().size(); i++) {
            Placed a = view.placed().get(i - 1);
            Placed b = view.placed().get(i);
            Optional<String> clash = clash(a, b);
            if (clash.isEmpty() || b.block().sayChange()) continue;
            String id = b.block().id();
            out.add(Found.mind(Code.CUES_CLASH)
                    .at(b)
                    .figure("what", clash.get())
                    .figure("before", a.ladder().name())
                    .mend(withoutClash(i)
                            .orElseGet(() -> Change.of(
                                    Mend.Kind.SAY_CHANGE,
                                    Map.of("seconds", BlockEdit.SayChange.SEC),
                                    new BlockEdit.SayChange(id, true))))
                    .done());
        }
    }

    /** What the second asks that the first forbade, in tasks of one family that are alike enough to mix up. */
    private static Optional<String> clash(Placed a, Placed b) {
        if (!a.isTask()
                || !b.isTask()
                || a.part() != Part.MAIN
                || b.part() != Part.MAIN
                || a.ladder().family() != b.ladder().family()
                || a.ladder().id().equals(b.ladder().id())) return Optional.empty();
        Manner m = a.manner();
        Manner n = b.manner();
        if (contrary(m.feet(), n.feet(), Manner.Feet.FREE)) return Optional.of("FEET");
        if (contrary(m.eyes(), n.eyes(), Manner.Eyes.FREE)) return Optional.of("EYES");
        if (contrary(m.attitude(), n.attitude(), Manner.Attitude.EITHER)) return Optional.of("ATTITUDE");
        return Optional.empty();
    }

    private static <E extends Enum<E>> boolean contrary(E a, E b, E either) {
        return a != b && a != either && b != either;
    }

    private Optional<Change> withoutClash(int second) {
        int before = clashes(view.placed());
        for (int j = 0; j < view.placed().size(); j++) {
            Placed other = view.placed().get(j);
            if (j == second || other.part() != Part.MAIN || !other.isTask()) continue;
            List<Placed> swapped = new ArrayList<>(view.placed());
            Collections.swap(swapped, second, j);
            if (clashes(swapped) < before && leaps(swapped) <= leaps(view.placed()))
                return Optional.of(swap(
                        view.placed().get(second).block().id(), other.block().id()));
        }
        return Optional.empty();
    }

    private static int clashes(List<Placed> placed) {
        int clashes = 0;
        for (int i = 1; i < placed.size(); i++)
            if (clash(placed.get(i - 1), placed.get(i)).isPresent()) clashes++;
        return clashes;
    }
}
