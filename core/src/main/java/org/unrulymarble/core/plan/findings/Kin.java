package org.unrulymarble.core.plan.findings;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.edit.BlockEdit;

/** Another task that keeps as much as it can of the aim of one that cannot stay: its family, its sports, what it trains. */
record Kin(Ladder ladder, Rung rung) {

    private static final int SAME_FAMILY = 6;
    private static final int SAME_SPORT = 2;
    private static final int MOST_SPORTS = 2;
    private static final int IN_THE_LESSON_ALREADY = -5;

    static Optional<Kin> of(View view, Placed p) {
        return of(view, p, kin -> true);
    }

    /** The nearest of kin that is sound here and as wished; ties by the catalogue's order. */
    static Optional<Kin> of(View view, Placed p, Predicate<Kin> wish) {
        return view.kin(p).stream()
                .filter(wish)
                .filter(kin -> view.soundOnce(p, kin, () -> kin.sound(view, p)))
                .findFirst();
    }

    /** All that could take a task's place, the likest first. */
    static List<Kin> nearestFirst(View view, Placed p) {
        Set<String> used = view.lesson().blocks().stream()
                .map(Block::ladderId)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        return view.setting().catalogue().all().stream()
                .filter(l -> !l.id().equals(p.ladder().id())
                        && l.part() == p.ladder().part())
                .map(l -> new Ranked(
                        likeness(l, p.ladder(), used), new Kin(l, l.rungs().get(0))))
                .sorted(Comparator.comparingInt((Ranked r) -> -r.likeness()))
                .map(Ranked::kin)
                .toList();
    }

    private record Ranked(int likeness, Kin kin) {}

    private static int likeness(Ladder a, Ladder b, Set<String> used) {
        int sports = (int) a.sports().stream().filter(b.sports()::contains).count();
        int aspects = (int) a.aspects().stream().filter(b.aspects()::contains).count();
        return (a.family() == b.family() ? SAME_FAMILY : 0)
                + SAME_SPORT * Math.min(MOST_SPORTS, sports)
                + aspects
                - Math.abs(a.effort() - b.effort())
                + (used.contains(a.id()) ? IN_THE_LESSON_ALREADY : 0);
    }

    boolean sound(View view, Placed p) {
        Lesson alone = into(p.block().id()).on(view.lesson().withBlocks(List.of(p.block())), view.setting());
        View trial = View.trial(alone, view.setting());
        return trial.placed().get(0).waves() <= Math.max(view.thresholds().wavesMost(), p.waves())
                && TaskChecks.all(trial).isEmpty();
    }

    /** Puts this task in the place of the block's. */
    BlockEdit.ChooseTask into(String blockId) {
        return new BlockEdit.ChooseTask(blockId, ladder.id(), rung.id());
    }
}
