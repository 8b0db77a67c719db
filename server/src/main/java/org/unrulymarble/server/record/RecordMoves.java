package org.unrulymarble.server.record;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.platform.Moved;

/** Rounds, corrections, words and remarks go along to a pupil's other class; what they come to is worked out anew by how that class decides. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class RecordMoves implements Moved {

    private static final List<String> BY_CLASS = List.of("AttemptRow", "CorrectionRow", "StandingRow", "RemarkRow");

    private final EntityManager store;

    RecordMoves(EntityManager store) {
        this.store = store;
    }

    @Override
    public void move(UUID pupilId, UUID fromClassId, UUID toClassId) {
        for (String row : BY_CLASS)
            moved("update " + row + " r set r.classId = :to where r.pupilId = :pupil", pupilId, toClassId);
        moved(
                "update LadderRecordRow r set r.classId = :to, r.forDay = null, r.stamp = r.stamp + 1 where r.pupilId = :pupil",
                pupilId,
                toClassId);
        store.clear();
    }

    private void moved(String update, UUID pupilId, UUID toClassId) {
        store.createQuery(update)
                .setParameter("to", toClassId)
                .setParameter("pupil", pupilId)
                .executeUpdate();
    }
}
