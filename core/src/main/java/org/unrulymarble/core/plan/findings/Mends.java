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
import org.unrulymarble.core.plan.BlockDraft;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
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
    private boolean sound(Placed p, Block changed) {
        return view.trial()
                || TaskChecks.stops(View.trial(view.lesson().withBlocks(List.of(lone(changed))), view.setting()))
                        .isEmpty();
    }

    private static Block lone(Block block) {
        return block.reverses() == null ? block : block.with(d -> d.reverses = null);
    }

    private Change change(
            Mend.Kind kind, Map<String, Object> figures, Placed p, java.util.function.Consumer<BlockDraft> how) {
        String id = p.block().id();
        return Change.of(kind, figures, lesson -> lesson.change(id, how));
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
            java.util.function.Consumer<BlockDraft> how = d -> {
                d.rungId = rung.id();
                d.rungBy = Block.RungBy.ONE;
                d.gate = null;
                d.modifiers = d.modifiers.stream()
                        .filter(m -> rung.modifiers().contains(m))
                        .toList();
            };
            if (sound(p, p.block().with(how)))
                return Optional.of(change(
                        Mend.Kind.OTHER_RUNG,
                        Map.of("rung", rung.words().name(), "number", p.ladder().numberOf(rung.id()) + 1),
                        p,
                        how));
        }
        return Optional.empty();
    }

    /** A ball that is as wished, from what may stand in and is there. */
    Optional<Change> otherBall(Placed p, Mend.Kind kind, Predicate<KitKind> wish) {
        for (KitRole role : p.ladder().kit()) {
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
        List<String> chosen = List.copyOf(kinds);
        java.util.function.Consumer<BlockDraft> how = d -> d.play(role.role(), chosen);
        if (!sound(p, p.block().with(how))) return Optional.empty();
        return Optional.of(change(kind, Map.of("ball", choice.name(), "changes", choice.changes()), p, how));
    }

    /** Less free floor between and beside the spots, where nothing is swung and nobody runs. */
    Optional<Change> tighter(Placed p, Predicate<Placed> better) {
        if (p.ladder().swingM() != null || p.ladder().effort() > 3) return Optional.empty();
        Footprint f = p.ladder().footprint(p.rung());
        if (f.edgeM() <= TIGHT_EDGE_M && f.gapM() <= TIGHT_GAP_M) return Optional.empty();
        Footprint tight = new Footprint(
                f.lengthM(),
                f.widthM(),
                Math.min(f.gapM(), TIGHT_GAP_M),
                Math.min(f.edgeM(), TIGHT_EDGE_M),
                f.needsWall(),
                f.oneRow(),
                null);
        java.util.function.Consumer<BlockDraft> how = d -> d.spot = tight;
        Block changed = p.block().with(how);
        if (!sound(p, changed)) return Optional.empty();
        Placed after = Placed.all(view.lesson().withBlocks(List.of(lone(changed))), view.setting())
                .get(0);
        if (!better.test(after)) return Optional.empty();
        return Optional.of(change(
                Mend.Kind.TIGHTER_SPOTS,
                Map.of(
                        "gapM",
                        tight.gapM(),
                        "edgeM",
                        tight.edgeM(),
                        "spots",
                        after.layout().spots().spots()),
                p,
                how));
    }

    /** The nearest of kin that is sound here. */
    Optional<Change> otherTask(Placed p) {
        if (!view.mayLeaveTheTask()) return Optional.empty();
        return Kin.of(view, p)
                .map(kin -> Change.of(
                        Mend.Kind.OTHER_TASK,
                        Map.of(
                                "task",
                                kin.ladder().name(),
                                "rung",
                                kin.rung().words().name()),
                        lesson -> lesson.change(p.block().id(), kin::into)));
    }

    Optional<Change> remove(Placed p) {
        if (!view.mayLeaveTheTask()) return Optional.empty();
        String id = p.block().id();
        return Optional.of(
                Change.of(Mend.Kind.REMOVE, Map.of("task", p.ladder().name()), lesson -> removed(lesson, id)));
    }

    /** What went backwards through a block that is gone stands on its own. */
    private static Lesson removed(Lesson lesson, String id) {
        Lesson without = lesson.without(id);
        return without.withBlocks(without.blocks().stream()
                .map(b -> id.equals(b.reverses()) ? b.with(d -> d.reverses = null) : b)
                .toList());
    }
}
