package org.unrulymarble.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.disk.Erasures;
import org.unrulymarble.server.platform.Erased;

/** Takes a pupil away with all that is kept of them, wherever it is kept. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class Erasing {

    private final List<Erased> rooms;
    private final EntityManager store;
    private final Erasures erasures;

    Erasing(List<Erased> rooms, EntityManager store, Erasures erasures) {
        this.erasures = erasures;
        this.rooms = rooms;
        this.store = store;
    }

    Map<String, Long> kept(Pupil pupil) {
        Map<String, Long> all = new TreeMap<>();
        for (Erased room : rooms)
            room.kept(pupil.classIds(), pupil.id(), pupil.name())
                    .forEach((what, many) -> all.merge(what, many, Long::sum));
        return all;
    }

    /** @return where it can still be found */
    Erasures.Left erase(Pupil pupil) {
        SchoolClass c = pupil.schoolClass();
        for (Erased room : rooms) room.erase(pupil.classIds(), pupil.id(), pupil.name());
        // Who changes the class from an older sight of it would bring the pupil back.
        store.lock(c, LockModeType.PESSIMISTIC_FORCE_INCREMENT);
        c.remove(pupil);
        store.flush();
        return erasures.erased();
    }
}
