package org.unrulymarble.core.kit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.unrulymarble.core.check.Checks;

/** What a school has: counts by kind, and what it lets stand in for what beyond what a task says itself. */
public final class Kit {

    /** So many that it never runs out: what is brought or made by everyone. */
    public static final int PLENTY = Integer.MAX_VALUE;

    private final KitKinds kinds;
    private final Map<String, Held> held = new HashMap<>();
    private final List<Rule> rules;

    /**
     * @param kind with the properties as this school knows them
     * @param count how many, or null for as many as are asked
     */
    public record Held(KitKind kind, Integer count, Condition condition) {
        public Held {
            Checks checks = new Checks().required("kind", kind).required("condition", condition);
            if (count != null) checks.range("count", count, 0, 10_000);
            checks.done();
        }
    }

    /** How it is. What is broken is not counted; what is worn is looked at before the lesson. */
    public enum Condition {
        GOOD,
        WORN,
        BROKEN
    }

    /** A school's own rule: {@code by} may stand in for {@code of}. */
    public record Rule(String of, String by, String changes) {
        public Rule {
            new Checks()
                    .text("of", of, 60)
                    .text("by", by, 60)
                    .text("changes", changes, 200)
                    .that(of == null || !of.equals(by), "by", org.unrulymarble.core.check.Fault.Rule.TWICE, by)
                    .done();
        }
    }

    public Kit(KitKinds kinds, List<Held> items, List<Rule> rules) {
        this.kinds = kinds;
        this.rules = List.copyOf(rules);
        for (Held item : items) held.merge(item.kind().id(), item, Kit::together);
    }

    /**
     * The same kinds and rules in a home: so many of each, nothing hard, nothing that is never used. What anybody can make or mark with stays.
     *
     * @param counts by kind; what is not in it is not there
     */
    public Kit atHome(Map<String, Integer> counts) {
        Map<String, KitKind> all = new LinkedHashMap<>();
        kinds.all().forEach(k -> all.put(k.id(), k));
        held.values().forEach(h -> all.put(h.kind().id(), h.kind()));
        List<Held> own = new ArrayList<>();
        for (KitKind k : all.values()) {
            boolean anybodys = k.household() || k.group() == KitKind.Group.MARK;
            if (k.hard() || k.never() != null) own.add(new Held(k, 0, Condition.GOOD));
            else if (counts.containsKey(k.id())) own.add(new Held(k, counts.get(k.id()), Condition.GOOD));
            else own.add(new Held(k, anybodys ? null : (Integer) 0, Condition.GOOD));
        }
        return new Kit(kinds, own, rules);
    }

    private static Held together(Held a, Held b) {
        Integer count = a.count() == null || b.count() == null ? null : (Integer) (usable(a) + usable(b));
        Condition worse = a.condition().compareTo(b.condition()) < 0 ? b.condition() : a.condition();
        return new Held(a.kind(), count, worse == Condition.BROKEN ? Condition.WORN : worse);
    }

    private static int usable(Held h) {
        if (h.condition() == Condition.BROKEN) return 0;
        return h.count() == null ? PLENTY : h.count();
    }

    /** How many can be used: of what anybody can bring or make, as many as are asked. */
    public int have(String kindId) {
        Held h = held.get(kindId);
        if (h != null) return usable(h);
        return kind(kindId).filter(KitKind::household).isPresent() ? PLENTY : 0;
    }

    public Optional<KitKind> kind(String kindId) {
        Held h = held.get(kindId);
        return h != null ? Optional.of(h.kind()) : kinds.kind(kindId);
    }

    public Optional<Condition> condition(String kindId) {
        return Optional.ofNullable(held.get(kindId)).map(Held::condition);
    }

    /** A kind that may play a role instead of the best one, and what that changes. */
    public record Choice(String kind, String name, String changes, String make, int makeMin) {}

    /** What may stand in for a role, the task's own order first, then the school's rules; only what can do what the role asks. */
    public List<Choice> standInsFor(KitRole role) {
        List<Choice> choices = new ArrayList<>();
        Set<String> seen = new LinkedHashSet<>(Set.of(role.kind()));
        for (StandIn s : role.standIns())
            kind(s.kind()).filter(k -> role.takes(k) && seen.add(k.id())).ifPresent(k -> {
                String make = k.make() != null ? k.make() : s.make();
                choices.add(new Choice(k.id(), k.name(), s.changes(), make, make == null ? 0 : k.makeMin()));
            });
        for (Rule rule : rules)
            if (rule.of().equals(role.kind()))
                kind(rule.by())
                        .filter(k -> role.takes(k) && seen.add(k.id()))
                        .ifPresent(
                                k -> choices.add(new Choice(k.id(), k.name(), rule.changes(), k.make(), k.makeMin())));
        return List.copyOf(choices);
    }
}
