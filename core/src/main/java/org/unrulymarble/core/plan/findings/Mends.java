package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.edit.BlockEdit;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.edit.LessonEdit;
import org.unrulymarble.core.plan.findings.Finding.Mend;
import org.unrulymarble.core.plan.findings.Found.Change;

/** Mends that several checks offer. The first that works is taken: ball, rung, spots before another task, another task before none. */
final class Mends {

    private static final double TIGHT_EDGE_M = 0.1;
    private static final double TIGHT_GAP_M = 0.2;

    private final View view;

    Mends(View view) {
        this.view = view;
    }

    /** The first of these that there is. */
    @SafeVarargs
    final Change first(java.util.function.Supplier<Optional<Change>>... offers) {
        if (view.trial()) return null;
        for (java.util.function.Supplier<Optional<Change>> offer : offers) {
            Optional<Change> change = offer.get();
            if (change.isPresent()) return change.get();
        }
        return null;
    }

    /** Whether nothing stands against the block any more after a change of it alone. */
    private boolean sound(Placed p, List<Edit> edits) {
        return view.trial()
                || TaskChecks.stops(View.trial(alone(p, edits), view.setting())).isEmpty();
    }

    /** A lesson of the changed block alone. */
    private Lesson alone(Placed p, List<Edit> edits) {
        Lesson changed = Edit.all(edits, view.lesson().withBlocks(List.of(p.block())), view.setting());
        return changed.withBlocks(changed.blocks().stream().map(Mends::lone).toList());
    }

    private static Block lone(Block block) {
        return block.reverses() == null ? block : block.with(d -> d.reverses = null);
    }

    /** Another rung of the same ladder, the nearest below first, that is as wished and sound here. */
    Optional<Change> otherRung(Placed p, Predicate<Rung> wish) {
        if (!view.mayLeaveTheTask()) return Optional.empty();
        List<Rung> rungs = p.ladder().rungs();
        int at = p.ladder().numberOf(p.rung().id());
        List<Rung> order = new ArrayList<>();
        for (int i = at - 1; i >= 0; i--) order.add(rungs.get(i));
        for (int i = at + 1; i < rungs.size(); i++) order.add(rungs.get(i));
        for (Rung rung : order) {
            if (!wish.test(rung)) continue;
            List<Edit> edits = List.of(
                    new BlockEdit.ChooseRung(p.block().id(), rung.id()),
                    new BlockEdit.ChooseWho(p.block().id(), Block.RungBy.ONE));
            if (sound(p, edits))
                return Optional.of(Change.of(
                        Mend.Kind.OTHER_RUNG,
                        Map.of("rung", rung.words().name(), "number", p.ladder().numberOf(rung.id()) + 1),
                        edits));
        }
        return Optional.empty();
    }

    /** A ball that is as wished, from what may stand in and is there. */
    Optional<Change> otherBall(Placed p, Mend.Kind kind, Predicate<KitKind> wish) {
        for (KitRole role : p.kit()) {
            if (!role.countsAsBall() || view.kinds(p, role).stream().allMatch(wish)) continue;
            List<Kit.Choice> choices = new ArrayList<>(view.setting().kit().standInsFor(role));
            view.setting()
                    .kit()
                    .kind(role.kind())
                    .ifPresent(best -> choices.add(0, new Kit.Choice(best.id(), best.name(), "", null, 0)));
            for (Kit.Choice choice : choices) {
                if (view.setting().kit().have(choice.kind()) == 0) continue;
                if (view.setting().kit().kind(choice.kind()).filter(wish).isEmpty()) continue;
                List<String> kinds = new ArrayList<>(List.of(choice.kind()));
                // What is left short is filled up with whatever else is as wished.
                for (Kit.Choice more : choices)
                    if (!kinds.contains(more.kind())
                            && view.setting().kit().have(more.kind()) > 0
                            && view.setting()
                                    .kit()
                                    .kind(more.kind())
                                    .filter(wish)
                                    .isPresent()) kinds.add(more.kind());
                Optional<Change> found = withKinds(p, role, kind, choice, kinds.subList(0, 1))
                        .or(() -> withKinds(p, role, kind, choice, kinds));
                if (found.isPresent()) return found;
            }
        }
        return Optional.empty();
    }

    private Optional<Change> withKinds(Placed p, KitRole role, Mend.Kind kind, Kit.Choice choice, List<String> kinds) {
        List<Edit> edits = List.of(new BlockEdit.PlayWith(p.block().id(), role.role(), kinds));
        if (!sound(p, edits)) return Optional.empty();
        return Optional.of(Change.of(kind, Map.of("ball", choice.name(), "changes", choice.changes()), edits));
    }

    /** Less free floor between and beside the spots, where nothing is swung and nobody runs. */
    Optional<Change> tighter(Placed p, Predicate<Placed> better) {
        if (p.ladder().swingM() != null || p.ladder().effort() > 3) return Optional.empty();
        Footprint f = p.needed();
        if (f.edgeM() <= TIGHT_EDGE_M && f.gapM() <= TIGHT_GAP_M) return Optional.empty();
        Footprint tight = new Footprint(
                f.lengthM(),
                f.widthM(),
                Math.min(f.gapM(), TIGHT_GAP_M),
                Math.min(f.edgeM(), TIGHT_EDGE_M),
                f.needsWall(),
                f.oneRow(),
                null);
        List<Edit> edits = List.of(new BlockEdit.SetSpot(p.block().id(), tight));
        if (!sound(p, edits)) return Optional.empty();
        Placed after = Placed.all(alone(p, edits), view.setting()).get(0);
        if (!better.test(after)) return Optional.empty();
        return Optional.of(Change.of(
                Mend.Kind.TIGHTER_SPOTS,
                Map.of(
                        "gapM",
                        tight.gapM(),
                        "edgeM",
                        tight.edgeM(),
                        "spots",
                        after.layout().spots().spots()),
                edits));
    }

    /** The nearest of kin that is sound here. */
    Optional<Change> otherTask(Placed p) {
        return otherTask(p, kin -> true);
    }

    Optional<Change> otherTask(Placed p, Predicate<Kin> wish) {
        if (!view.mayLeaveTheTask()) return Optional.empty();
        return Kin.of(view, p, wish)
                .map(kin -> Change.of(
                        Mend.Kind.OTHER_TASK,
                        Map.of(
                                "task",
                                kin.ladder().name(),
                                "rung",
                                kin.rung().words().name()),
                        kin.into(p.block().id())));
    }

    Optional<Change> remove(Placed p) {
        if (!view.mayLeaveTheTask()) return Optional.empty();
        return Optional.of(Change.of(
                Mend.Kind.REMOVE,
                Map.of("task", p.ladder().name()),
                new LessonEdit.Remove(p.block().id())));
    }
}
