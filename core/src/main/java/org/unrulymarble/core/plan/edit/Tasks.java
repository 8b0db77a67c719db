package org.unrulymarble.core.plan.edit;

import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.plan.Setting;

/** Finds what an edit names. */
final class Tasks {

    private Tasks() {}

    static Ladder ladder(Setting setting, String ladderId) {
        new Checks().text("ladderId", ladderId, 60).done();
        return setting.catalogue()
                .ladder(ladderId)
                .orElseThrow(() -> new Refused("ladderId", Fault.Rule.UNKNOWN, ladderId));
    }

    static Rung rung(Ladder ladder, String rungId) {
        new Checks().text("rungId", rungId, 60).done();
        return ladder.rung(rungId).orElseThrow(() -> new Refused("rungId", Fault.Rule.UNKNOWN, rungId));
    }
}
