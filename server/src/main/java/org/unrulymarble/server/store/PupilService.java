package org.unrulymarble.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.disk.Erasures;

/** What is kept of one pupil, and taking all of it away. */
@Service
@Transactional
public class PupilService {

    private final ClassAccess access;
    private final Erasing erasing;
    private final Audit audit;
    private final EntityManager store;

    PupilService(ClassAccess access, Erasing erasing, Audit audit, EntityManager store) {
        this.store = store;
        this.audit = audit;
        this.access = access;
        this.erasing = erasing;
    }

    /** @param kept how much, by what it is called */
    record KeptOf(String name, Map<String, Long> kept) {}

    KeptOf kept(UUID id) {
        Pupil pupil = taught(id);
        return new KeptOf(pupil.name(), erasing.kept(pupil));
    }

    /** @param left where it can still be found, and until when */
    record Gone(String name, Map<String, Long> went, Erasures.Left left) {}

    /** Erases the pupil and says what went. */
    Gone erase(UUID id) {
        Pupil pupil = taught(id);
        Map<String, Long> went = erasing.kept(pupil);
        String name = pupil.name();
        Erasures.Left left = erasing.erase(pupil);
        audit.note(SignedIn.now().accountId(), Audit.Kind.PUPIL_ERASED, id);
        return new Gone(name, went, left);
    }

    /**
     * Writes down what a family told of one of a pupil's homes; what it did not tell stays as it was.
     *
     * @param home 1 or 2
     */
    public void homeIs(UUID id, int home, Map<String, Integer> kit, Space space, Boolean quiet) {
        Pupil pupil = taught(id);
        PupilDetails d = pupil.details();
        PupilDetails.OtherHome there = home == 1
                ? new PupilDetails.OtherHome(d.homeKit(), d.homeSpace(), d.homeQuiet())
                : d.otherHome() == null ? new PupilDetails.OtherHome(null, null, null) : d.otherHome();
        pupil.change(d.at(
                home,
                kit.isEmpty() ? there.kit() : kit,
                space == null ? there.space() : space,
                quiet == null ? there.quiet() : quiet));
        // Who changes the class from an older sight of it would take it back.
        store.lock(pupil.schoolClass(), LockModeType.PESSIMISTIC_FORCE_INCREMENT);
    }

    private Pupil taught(UUID id) {
        Pupil pupil = access.pupil(id);
        access.teach(pupil.schoolClass().id());
        return pupil;
    }
}
