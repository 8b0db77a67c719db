package org.unrulymarble.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.server.account.AccessChanged;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.PlainNames;
import org.unrulymarble.server.platform.Stale;

@Service
@Transactional
class ClassService {

    static final int MAX_PUPILS = 60;

    private final Classes classes;
    private final ClassAccess access;
    private final Erasing erasing;
    private final EntityManager store;
    private final Audit audit;
    private final ApplicationEventPublisher events;

    ClassService(
            Classes classes,
            ClassAccess access,
            Erasing erasing,
            EntityManager store,
            Audit audit,
            ApplicationEventPublisher events) {
        this.audit = audit;
        this.events = events;
        this.classes = classes;
        this.access = access;
        this.erasing = erasing;
        this.store = store;
    }

    /** @param id null for a pupil who is new */
    record PupilDoc(@Nullable UUID id, PupilDetails details) {
        PupilDoc {
            new Checks().required("details", details).done();
            PlainNames.check("details.firstName", details.firstName());
            PlainNames.check("details.initial", details.initial());
        }
    }

    /**
     * @param version of the class that this was made from; null for a new one
     * @param helperIds accounts that may run and tally for the class; null leaves them as they are
     */
    record ClassDoc(
            @Nullable Long version,
            String name,
            List<PupilDoc> pupils,
            @Nullable List<UUID> helperIds) {
        ClassDoc {
            PlainNames.check(new Checks(), "name", name)
                    .text("name", name, 40)
                    .entries("pupils", pupils, 0, MAX_PUPILS)
                    .done();
        }
    }

    record ClassView(
            UUID id,
            long version,
            String name,
            boolean mayChange,
            List<PupilView> pupils,
            List<LeftPupil> left,
            List<UUID> helperIds) {}

    /** Somebody who left the class and whose record is kept. */
    record LeftPupil(UUID id, String name, LocalDate leftOn) {}

    record PupilView(UUID id, String name, PupilDetails details) {}

    List<ClassView> all() {
        return access.mine().stream().map(this::view).toList();
    }

    ClassView one(UUID id) {
        return view(access.see(id));
    }

    ClassView create(ClassDoc doc) {
        access.onlyTeachers();
        SchoolClass created = new SchoolClass(
                UUID.randomUUID(), doc.name().strip(), SignedIn.now().accountId());
        for (PupilDoc pupil : doc.pupils()) created.add(new Pupil(UUID.randomUUID(), pupil.details()));
        if (doc.helperIds() != null) created.helpers(known(doc.helperIds()));
        return view(classes.saveAndFlush(created));
    }

    /** Saves the class as it is given: pupils with a known id are changed, new ones added, those left out removed. */
    ClassView change(UUID id, ClassDoc doc) {
        SchoolClass known = access.teach(id);
        Stale.unless(known.version(), doc.version());
        // Pupils have rows of their own: a change of theirs alone would leave the class's version as it was.
        store.lock(known, LockModeType.PESSIMISTIC_FORCE_INCREMENT);
        known.rename(doc.name().strip());
        Map<UUID, Pupil> gone = new HashMap<>();
        for (Pupil pupil : known.pupils()) gone.put(pupil.id(), pupil);
        List<Pupil> added = new ArrayList<>();
        for (PupilDoc pupil : doc.pupils()) {
            Pupil there = pupil.id() == null ? null : gone.remove(pupil.id());
            if (there == null) added.add(new Pupil(UUID.randomUUID(), pupil.details()));
            else there.change(pupil.details());
        }
        gone.values().forEach(pupil -> {
            erasing.erase(pupil);
            audit.note(SignedIn.now().accountId(), Audit.Kind.PUPIL_ERASED, pupil.id());
        });
        added.forEach(known::add);
        if (doc.helperIds() != null) helpers(known, known(doc.helperIds()));
        return view(classes.saveAndFlush(known));
    }

    private void helpers(SchoolClass c, Set<UUID> wanted) {
        Set<UUID> before = Set.copyOf(c.helperIds());
        if (before.equals(wanted)) return;
        c.helpers(wanted);
        audit.note(SignedIn.now().accountId(), Audit.Kind.HELPERS_CHANGED, c.id());
        for (UUID helper : before) if (!wanted.contains(helper)) events.publishEvent(new AccessChanged(helper));
    }

    private Set<UUID> known(List<UUID> helperIds) {
        new Checks().entries("helperIds", helperIds, 0, 50).done();
        Set<UUID> ids = new HashSet<>(helperIds);
        new Checks()
                .that(ids.isEmpty() || classes.accounts(ids) == ids.size(), "helperIds", Fault.Rule.UNKNOWN, ids)
                .done();
        return ids;
    }

    private ClassView view(SchoolClass c) {
        boolean mayChange = access.teaches(c);
        return new ClassView(
                c.id(),
                c.version(),
                c.name(),
                mayChange,
                c.pupils().stream()
                        .map(p -> new PupilView(
                                p.id(),
                                p.name(),
                                mayChange ? p.details() : p.details().forHelpers()))
                        .toList(),
                mayChange
                        ? c.left().stream()
                                .map(p -> new LeftPupil(p.id(), p.name(), p.leftOn()))
                                .toList()
                        : List.of(),
                c.helperIds());
    }
}
