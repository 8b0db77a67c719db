package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.List;

/** The checks that look at one task by itself: room, kit, safety. */
final class TaskChecks {

    private TaskChecks() {}

    static List<Found> all(View view) {
        List<Found> found = new ArrayList<>();
        RoomChecks.look(view, found);
        FloorChecks.look(view, found);
        CircuitChecks.look(view, found);
        KitChecks.look(view, found);
        SafetyChecks.look(view, found);
        AgeChecks.look(view, found);
        return found;
    }

    static List<Found> stops(View view) {
        return all(view).stream()
                .filter(f -> f.finding().level() == Finding.Level.STOP)
                .toList();
    }
}
