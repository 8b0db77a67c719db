package org.unrulymarble.core.kit;

import java.util.List;
import org.unrulymarble.core.check.Checks;

/**
 * One thing that a task needs, by the part it plays.
 *
 * @param role the part it plays, such as "ball" or "mark"
 * @param what what is best for it
 * @param perSpot how many a spot needs, 1 to 40
 * @param standIns in order of preference
 * @param refused what must never stand in
 */
public record KitRole(String role, String what, Integer perSpot, List<StandIn> standIns, List<String> refused) {
    public KitRole {
        standIns = standIns == null ? List.of() : List.copyOf(standIns);
        refused = refused == null ? List.of() : List.copyOf(refused);
        new Checks()
                .text("role", role, 30)
                .text("what", what, 80)
                .range("perSpot", perSpot, 1, 40)
                .done();
    }
}
