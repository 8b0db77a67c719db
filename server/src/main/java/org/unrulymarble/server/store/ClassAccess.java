package org.unrulymarble.server.store;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.platform.NotFound;

/** The one gate to classes: whoever asks sees their own, and of any other not even that it exists. */
@Service
@Transactional(readOnly = true)
public class ClassAccess {

    private final Classes classes;

    ClassAccess(Classes classes) {
        this.classes = classes;
    }

    public List<SchoolClass> mine() {
        return classes.of(SignedIn.now().accountId());
    }

    /** A class by its name. */
    public record Known(UUID classId, String name) {}

    /** Those that the asker teaches. */
    public List<Known> known() {
        UUID me = SignedIn.now().accountId();
        return mine().stream()
                .filter(c -> c.taughtBy(me))
                .map(c -> new Known(c.id(), c.name()))
                .toList();
    }

    /**
     * A class that the asker teaches or helps in.
     *
     * @throws NotFound for any other
     */
    public SchoolClass see(UUID classId) {
        return own(classId).orElseThrow(NotFound::new);
    }

    /** A class that the asker teaches or helps in. */
    public Optional<SchoolClass> own(UUID classId) {
        UUID me = SignedIn.now().accountId();
        return classes.findById(classId == null ? new UUID(0, 0) : classId)
                .filter(c -> c.taughtBy(me) || c.helpedBy(me));
    }

    /** A class of which the asker was lent a lesson, or that is given a pupil: whoever calls has made sure of that. */
    public SchoolClass lent(UUID classId) {
        return classes.findById(classId).orElseThrow(NotFound::new);
    }

    /**
     * A class that the asker may plan for.
     *
     * @throws AccessDeniedException for a helper of the class
     * @throws NotFound for anybody else
     */
    public SchoolClass teach(UUID classId) {
        SchoolClass seen = see(classId);
        if (!teaches(seen)) throw new AccessDeniedException("helpers do not change plans");
        return seen;
    }

    /** Whether the asker teaches it, and does not only help in it. */
    public boolean teaches(SchoolClass c) {
        return SignedIn.now().teaches() && c.taughtBy(SignedIn.now().accountId());
    }

    public void onlyTeachers() {
        if (!SignedIn.now().teaches()) throw new AccessDeniedException("helpers do not change the store");
    }

    /** The class of a pupil. @throws NotFound as {@link #pupil} */
    public UUID classOf(UUID pupilId) {
        return pupil(pupilId).schoolClass().id();
    }

    /** @throws NotFound for a pupil of a class that the asker may not see */
    public Pupil pupil(UUID pupilId) {
        Pupil pupil = classes.pupil(pupilId).orElseThrow(NotFound::new);
        see(pupil.schoolClass().id());
        return pupil;
    }
}
