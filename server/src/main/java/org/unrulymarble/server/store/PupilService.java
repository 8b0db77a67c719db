package org.unrulymarble.server.store;

import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.disk.Erasures;

/** What is kept of one pupil, and taking all of it away. */
@Service
@Transactional
class PupilService {

    private final ClassAccess access;
    private final Erasing erasing;
    private final Audit audit;

    PupilService(ClassAccess access, Erasing erasing, Audit audit) {
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

    private Pupil taught(UUID id) {
        Pupil pupil = access.pupil(id);
        access.teach(pupil.schoolClass().id());
        return pupil;
    }
}
