package org.unrulymarble.core.kit;

import java.util.List;
import org.unrulymarble.core.check.Checks;

/**
 * One thing that a task needs, by the part it plays.
 *
 * @param role the part it plays, such as "ball" or "mark"
 * @param kind id of the kind that is best for it
 * @param what how it is called in this task
 * @param perSpot how many a spot needs, 1 to 40
 * @param needs what any stand-in must be able to do: no bounce, no bounce tasks
 * @param standIns in order of preference
 * @param refused ids of kinds that must never stand in
 */
public record KitRole(
        String role,
        String kind,
        String what,
        Integer perSpot,
        List<KitProperty> needs,
        List<StandIn> standIns,
        List<String> refused) {
    /** What lies on the floor to run round or to: one role wherever it does. */
    public static final String MARKERS = "markers";

    public KitRole {
        needs = needs == null ? List.of() : List.copyOf(needs);
        standIns = standIns == null ? List.of() : List.copyOf(standIns);
        refused = refused == null ? List.of() : List.copyOf(refused);
        new Checks()
                .text("role", role, 30)
                .text("kind", kind, 60)
                .text("what", what, 80)
                .range("perSpot", perSpot, 1, 40)
                .done();
    }

    /** Whether this role is a ball that is played. */
    public boolean countsAsBall() {
        return role.equals("ball") || role.equals("balls") || role.equals("second ball");
    }

    /** Whether a kind can do what the task asks of this role. */
    public boolean takes(KitKind other) {
        return other.never() == null
                && !refused.contains(other.id())
                && other.properties().containsAll(needs);
    }
}
