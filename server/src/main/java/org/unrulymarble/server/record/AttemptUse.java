package org.unrulymarble.server.record;

import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.unrulymarble.server.ladder.LadderUse;

/** Results that hang on a ladder's rungs. */
@Component
class AttemptUse implements LadderUse {

    private final AttemptRows rows;

    AttemptUse(AttemptRows rows) {
        this.rows = rows;
    }

    @Override
    public Map<String, Long> timesByRung(String ladderId) {
        return rows.countByRung(ladderId).stream()
                .collect(Collectors.toMap(AttemptRows.RungCount::getRungId, AttemptRows.RungCount::getTimes));
    }
}
