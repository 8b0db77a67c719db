package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitKind;

/**
 * What to gather before the lesson: of each kind as many as the block (or the stations at the same time) that needs most of it, spare balls on top, what to make and what to look
 * over. A drink for everyone is always on the list.
 *
 * @param drinks how many
 */
public record Gather(List<GatherItem> items, int drinks) {

    /**
     * @param called as one says so many of it
     * @param count needed at the same time, the most of any block or circuit
     * @param spare on top of that, for balls that are lost or split; as many as there are
     * @param have how many there are, or null for as many as are asked
     * @param make how to make one, or null
     * @param makeMin whole minutes that one takes; everyone makes their own
     * @param worn whether some are known to be worn
     * @param usedFor what it is used for, as the tasks call it
     * @param blocks ids of the blocks that need it
     */
    public record GatherItem(
            String kind,
            String name,
            String called,
            KitKind.Group group,
            int count,
            int spare,
            @Nullable Integer have,
            @Nullable String make,
            int makeMin,
            boolean worn,
            List<String> usedFor,
            List<String> blocks) {}

    public static Gather of(Lesson lesson, Setting setting) {
        return of(Placed.all(lesson, setting), setting);
    }

    public static Gather of(List<Placed> placed, Setting setting) {
        Kit kit = setting.kit();
        Map<String, Integer> most = new LinkedHashMap<>();
        Map<String, Set<String>> blocks = new HashMap<>();
        Map<String, Set<String>> usedFor = new HashMap<>();
        Map<Circuit, Map<String, Integer>> inCircuits = new HashMap<>();
        for (Placed p : placed) {
            // The stations of a circuit need their kit at the same time.
            Map<String, Integer> atOnce = p.station() == null
                    ? new LinkedHashMap<>()
                    : inCircuits.computeIfAbsent(p.station().circuit(), c -> new LinkedHashMap<>());
            Map<String, Integer> before = Map.copyOf(atOnce);
            for (KitNeed need : KitNeed.of(p)) hand(need, kit, atOnce, usedFor);
            atOnce.forEach((kind, count) -> {
                most.merge(kind, count, Math::max);
                if (count > before.getOrDefault(kind, 0))
                    blocks.computeIfAbsent(kind, k -> new LinkedHashSet<>())
                            .add(p.block().id());
            });
        }
        List<GatherItem> items = new ArrayList<>();
        most.forEach((id, count) -> kit.kind(id)
                .ifPresent(kind -> items.add(item(
                        kind,
                        count,
                        setting,
                        List.copyOf(usedFor.getOrDefault(id, Set.of())),
                        List.copyOf(blocks.get(id))))));
        items.sort(Comparator.comparing(GatherItem::group));
        int pupils = placed.stream()
                .mapToInt(p -> p.station() == null
                        ? p.pupils() + p.others()
                        : setting.pupils().size())
                .max()
                .orElse(0);
        return new Gather(List.copyOf(items), pupils);
    }

    /** Hands out in the order chosen; what is still short is put down for the first kind, so that the list shows it. */
    private static void hand(KitNeed need, Kit kit, Map<String, Integer> inBlock, Map<String, Set<String>> usedFor) {
        int left = need.count();
        for (String kind : need.kinds()) {
            int free =
                    kit.have(kind) == Kit.PLENTY ? left : Math.max(0, kit.have(kind) - inBlock.getOrDefault(kind, 0));
            int got = Math.min(left, free);
            if (got > 0) note(inBlock, usedFor, kind, got, need.role().what());
            left -= got;
        }
        if (left > 0)
            note(inBlock, usedFor, need.kinds().get(0), left, need.role().what());
    }

    private static void note(
            Map<String, Integer> inBlock, Map<String, Set<String>> usedFor, String kind, int count, String what) {
        inBlock.merge(kind, count, Integer::sum);
        usedFor.computeIfAbsent(kind, k -> new LinkedHashSet<>()).add(what);
    }

    private static GatherItem item(
            KitKind kind, int count, Setting setting, List<String> usedFor, List<String> blocks) {
        int have = setting.kit().have(kind.id());
        boolean plenty = have == Kit.PLENTY;
        int wanted = kind.group() == KitKind.Group.BALL
                ? (count + setting.planning().thresholds().spareEvery() - 1)
                        / setting.planning().thresholds().spareEvery()
                : 0;
        return new GatherItem(
                kind.id(),
                kind.name(),
                kind.called(count),
                kind.group(),
                count,
                plenty ? wanted : Math.max(0, Math.min(wanted, have - count)),
                plenty ? null : (Integer) have,
                kind.make(),
                kind.make() == null ? 0 : kind.makeMin(),
                setting.kit()
                        .condition(kind.id())
                        .filter(c -> c == Kit.Condition.WORN)
                        .isPresent(),
                usedFor,
                blocks);
    }
}
