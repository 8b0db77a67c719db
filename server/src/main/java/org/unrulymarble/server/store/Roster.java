package org.unrulymarble.server.store;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.core.plan.PlanPupil;

/** A class as the other capabilities see it; pupils in the order in which they take the spots. */
public record Roster(UUID classId, String className, List<Member> pupils) {

    public record Member(UUID pupilId, String name) {}

    public static Roster of(SchoolClass c) {
        return new Roster(
                c.id(),
                c.name(),
                c.pupils().stream().map(p -> new Member(p.id(), p.name())).toList());
    }

    /** A class as a plan sees it. */
    public static List<PlanPupil> forPlan(SchoolClass c, int thisYear) {
        return c.pupils().stream().map(p -> forPlan(p, thisYear)).toList();
    }

    /** A pupil as a plan sees one. */
    public static PlanPupil forPlan(Pupil p, int thisYear) {
        PupilDetails d = p.details();
        Set<Adaptation> adaptations = d.adaptations().isEmpty() ? Set.of() : EnumSet.copyOf(d.adaptations());
        // Of a birth year alone the younger of the two ages is taken: that errs on the safe side.
        Integer age = d.birthYear() == null ? null : (Integer) (thisYear - d.birthYear() - 1);
        return new PlanPupil(p.id().toString(), p.name(), age, adaptations, d.homeKit());
    }
}
