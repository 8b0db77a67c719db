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
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.BlockDraft;
import org.unrulymarble.core.plan.Placed;

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

    private boolean sound(View view, Placed p) {
        Block changed = p.block().with(this::into);
        View trial = View.trial(view.lesson().withBlocks(List.of(changed)), view.setting());
        return trial.placed().get(0).waves() <= Math.max(view.thresholds().wavesMost(), p.waves())
                && TaskChecks.all(trial).isEmpty();
    }

    /** Puts this task in the place of the block's; time and sets stay where the school of dose is by clock. */
    void into(BlockDraft d) {
        BlockDraft fresh = BlockDraft.on(d.id, ladder, rung);
        boolean byClock = d.dose.type() == BlockDose.Type.CLOCK && fresh.dose.type() == BlockDose.Type.CLOCK;
        d.ladderId = fresh.ladderId;
        d.rungId = fresh.rungId;
        d.rungBy = Block.RungBy.ONE;
        d.modifiers = List.of();
        if (!byClock) {
            d.dose = fresh.dose;
            d.sets = Math.max(fresh.sets, d.optionalLast || d.cue == Block.Cue.AFTER_A_TRY ? 2 : 1);
        }
        d.sides = Block.SideChoice.EACH;
        d.part = null;
        d.reverses = null;
        d.attitude = null;
        d.kit = List.of();
        d.gate = null;
        d.mark = null;
        d.spot = null;
        d.mostSpots = null;
        d.variants = List.of();
        d.counted = ladder.counted();
    }
}
