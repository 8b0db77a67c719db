package org.unrulymarble.core.plan;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A pupil as a plan sees one.
 *
 * @param age in whole years, or null if it is not known
 * @param homeKit counts of kinds at home; empty if nothing is known
 */
public record PlanPupil(
        String id, String name, Integer age, Set<Adaptation> adaptations, Map<String, Integer> homeKit) {
    public PlanPupil {
        adaptations = adaptations == null ? Set.of() : Set.copyOf(adaptations);
        homeKit = homeKit == null ? Map.of() : Map.copyOf(homeKit);
    }

    /** A pupil of whom nothing but the name is known. */
    public static List<PlanPupil> unknown(int howMany) {
        return java.util.stream.IntStream.rangeClosed(1, howMany)
                .mapToObj(i -> new PlanPupil("p" + i, "Pupil " + i, null, Set.of(), Map.of()))
                .toList();
    }
}
