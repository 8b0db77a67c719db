package org.unrulymarble.core.rotation;

import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * Fair teams, or like with like. Sizes differ by one at most. Up to nine pupils the best there is, beyond that by a seeded search.
 *
 * @param feasible false where apart and together cannot be kept; nothing else is given then
 * @param bound no grouping costs less; null where that is not proven
 * @param groups ids, in an order of no meaning
 */
public record Groups(
        boolean feasible,
        @Nullable Double cost,
        @Nullable Double bound,
        @Nullable List<List<String>> groups) {

    /** EVEN: each group like the class; ALIKE: each pupil like the group. */
    public enum Mode {
        EVEN,
        ALIKE
    }

    /** level in whatever unit, -1,000 to 1,000. */
    public record GroupPupil(String id, Double level) {
        public GroupPupil {
            new Checks()
                    .text("id", id, 200)
                    .range("level", level, -1_000, 1_000)
                    .done();
        }
    }

    /** How often two were in one group before, 0 to 1,000. */
    public record Met(String a, String b, Integer times) {
        public Met {
            new Checks()
                    .text("a", a, 200)
                    .text("b", b, 200)
                    .range("times", times, 0, 1_000)
                    .that(a == null || !a.equals(b), "b", Fault.Rule.TWICE, a == null ? "" : a)
                    .done();
        }
    }

    /**
     * @param groups 1 to 60
     * @param pupils 1 to 60
     * @param apart pairs of ids; those of nobody here are left out, as in {@code together} and {@code met}
     * @param metWeight what a pair that met once before costs, 0 to 1,000
     */
    public record GroupsAsk(
            Mode mode,
            Integer groups,
            List<GroupPupil> pupils,
            List<List<String>> apart,
            List<List<String>> together,
            List<Met> met,
            Double metWeight) {
        public GroupsAsk {
            Checks checks = new Checks()
                    .required("mode", mode)
                    .range("groups", groups, 1, 60)
                    .entries("pupils", pupils, 1, 60)
                    .entries("apart", apart, 0, 10_000)
                    .entries("together", together, 0, 10_000)
                    .entries("met", met, 0, 10_000)
                    .range("metWeight", metWeight, 0, 1_000);
            if (pupils != null && pupils.stream().allMatch(Objects::nonNull))
                checks.distinct("pupils", pupils.stream().map(GroupPupil::id).toList());
            pairs(checks, "apart", apart);
            pairs(checks, "together", together);
            checks.done();
            pupils = List.copyOf(pupils);
            Set<String> here = pupils.stream().map(GroupPupil::id).collect(Collectors.toSet());
            apart = apart.stream().filter(here::containsAll).map(List::copyOf).toList();
            together = together.stream()
                    .filter(here::containsAll)
                    .map(List::copyOf)
                    .toList();
            met = met.stream()
                    .filter(m -> here.contains(m.a()) && here.contains(m.b()))
                    .toList();
        }

        private static void pairs(Checks checks, String field, List<List<String>> pairs) {
            for (int i = 0; pairs != null && i < pairs.size(); i++) {
                List<String> pair = pairs.get(i);
                if (pair == null) continue;
                String at = field + "[" + i + "]";
                checks.entries(at, pair, 2, 2);
                if (pair.size() == 2 && pair.get(0) != null && pair.get(0).equals(pair.get(1)))
                    checks.that(false, at, Fault.Rule.TWICE, pair.get(0));
            }
        }
    }

    public static Groups of(GroupsAsk ask) {
        Grouping best = new GroupSearch(ask).best();
        if (best == null) return new Groups(false, null, null, null);
        return new Groups(true, best.cost(), best.proven() ? (Double) best.cost() : null, best.ids());
    }
}
