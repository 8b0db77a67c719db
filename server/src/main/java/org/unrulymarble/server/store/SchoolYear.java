package org.unrulymarble.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Sort;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.server.account.AccessChanged;
import org.unrulymarble.server.account.AccountService;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.Moved;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;

/** Who is in which class, from one school year to the next: pupils change class, leave and come back with all that is recorded of them; a class gets another teacher. */
@Service
@Transactional
class SchoolYear {

    private final ClassAccess access;
    private final Classes classes;
    private final List<Moved> rooms;
    private final AccountService accounts;
    private final Audit audit;
    private final ApplicationEventPublisher events;
    private final EntityManager store;
    private final Clock clock;

    SchoolYear(
            ClassAccess access,
            Classes classes,
            List<Moved> rooms,
            AccountService accounts,
            Audit audit,
            ApplicationEventPublisher events,
            EntityManager store,
            Clock clock) {
        this.access = access;
        this.classes = classes;
        this.rooms = rooms;
        this.accounts = accounts;
        this.audit = audit;
        this.events = events;
        this.store = store;
        this.clock = clock;
    }

    /** @param classId the class; here: whether the pupil is in it, or has left it */
    record PupilPlace(UUID classId, Boolean here) {
        PupilPlace {
            new Checks().required("classId", classId).required("here", here).done();
        }
    }

    /** @param version of the class that this was made from */
    record OtherTeacher(@Nullable Long version, UUID accountId) {
        OtherTeacher {
            new Checks().required("accountId", accountId).done();
        }
    }

    /** A class of another teacher: its name, and whose it is. */
    record ClassElsewhere(UUID classId, String name, String teacher) {}

    /** Classes of other teachers that a pupil may be given to; none for helpers. */
    @Transactional(readOnly = true)
    List<ClassElsewhere> elsewhere() {
        if (!SignedIn.now().teaches()) return List.of();
        Map<UUID, String> teachers = accounts.colleagues().stream()
                .filter(AccountService.Colleague::teaches)
                .collect(Collectors.toMap(AccountService.Colleague::id, AccountService.Colleague::displayName));
        return classes.findAll(Sort.by("name")).stream()
                .filter(c -> teachers.containsKey(c.teacherId()))
                .map(c -> new ClassElsewhere(c.id(), c.name(), teachers.get(c.teacherId())))
                .toList();
    }

    /** Puts a pupil where the asker says: into another class, also one of another teacher's; out of the class, or back into it. */
    void put(UUID pupilId, PupilPlace place) {
        Pupil pupil = access.pupil(pupilId);
        SchoolClass from = access.teach(pupil.schoolClass().id());
        boolean given =
                place.here() && elsewhere().stream().anyMatch(c -> c.classId().equals(place.classId()));
        SchoolClass to = given ? access.lent(place.classId()) : access.teach(place.classId());
        boolean comes = place.here() && (!pupil.isHere() || !to.id().equals(from.id()));
        new Checks()
                .that(
                        !comes || to.pupils().size() < ClassService.MAX_PUPILS,
                        "classId",
                        Fault.Rule.KIND,
                        "a class with fewer than " + ClassService.MAX_PUPILS + " pupils")
                .done();
        // Who changes a class from an older sight of it would take it back. Always in one order: two moves the other
        // way round would wait for each other.
        Stream.of(from, to)
                .distinct()
                .sorted(Comparator.comparing(SchoolClass::id))
                .forEach(c -> store.lock(c, LockModeType.PESSIMISTIC_FORCE_INCREMENT));
        if (!to.id().equals(from.id())) {
            audit.note(SignedIn.now().accountId(), Audit.Kind.PUPIL_MOVED, pupilId + " " + to.id());
            classes.move(pupilId, to, to.nextPlace());
            rooms.forEach(room -> room.move(pupilId, from.id(), to.id()));
            pupil = classes.pupil(pupilId).orElseThrow(NotFound::new);
            pupil.comesFrom(from.id());
        }
        if (given) events.publishEvent(new AccessChanged(SignedIn.now().accountId()));
        if (place.here() == pupil.isHere()) return;
        pupil.leave(place.here() ? null : LocalDate.now(clock));
        audit.note(SignedIn.now().accountId(), place.here() ? Audit.Kind.PUPIL_BACK : Audit.Kind.PUPIL_LEFT, pupilId);
    }

    /** Gives a class to another teacher for good, with its record, lessons and cards. */
    void give(UUID classId, OtherTeacher other) {
        SchoolClass c = access.teach(classId);
        Stale.unless(c.version(), other.version());
        new Checks()
                .that(
                        accounts.colleagues().stream().anyMatch(a -> a.teaches() && a.id().equals(other.accountId())),
                        "accountId",
                        Fault.Rule.UNKNOWN,
                        other.accountId())
                .done();
        c.taughtFromNowBy(other.accountId());
        audit.note(SignedIn.now().accountId(), Audit.Kind.CLASS_GIVEN, other.accountId() + " " + classId);
        events.publishEvent(new AccessChanged(SignedIn.now().accountId()));
    }
}
