package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.CalledMarkers;

/**
 * What one role of a block's kit needs at the same time.
 *
 * @param label the role's name in the block's choices; that of a quiet task begins with "meanwhile "
 * @param kinds ids in the order in which they are handed out
 * @param count how many at once, in the fullest wave
 * @param meanwhile whether it is for those who wait
 */
public record KitNeed(String label, KitRole role, List<String> kinds, int count, boolean meanwhile) {

    public static List<KitNeed> of(Placed p) {
        if (!p.isTask()) return List.of();
        List<KitNeed> needs = new ArrayList<>();
        add(needs, p, p.kit(), p.crewsAtOnce(), false);
        if (p.quietLadder() != null) {
            int waiting = p.waiting();
            int perSpot = p.quietLadder().perSpot();
            add(needs, p, p.quietLadder().kit(p.quiet()), (waiting + perSpot - 1) / perSpot, true);
        }
        return List.copyOf(needs);
    }

    private static void add(List<KitNeed> needs, Placed p, List<KitRole> kit, int spots, boolean meanwhile) {
        if (spots == 0) return;
        for (KitRole role : kit) {
            String label = meanwhile ? "meanwhile " + role.role() : role.role();
            CalledMarkers called = p.block().called();
            int perSpot = !meanwhile && called != null && role.role().equals(KitRole.MARKERS)
                    ? called.markers().size()
                    : role.perSpot();
            needs.add(new KitNeed(label, role, p.block().kindsFor(label, role.kind()), spots * perSpot, meanwhile));
        }
    }
}
