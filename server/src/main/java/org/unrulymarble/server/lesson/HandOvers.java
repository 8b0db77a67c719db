package org.unrulymarble.server.lesson;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.server.account.AccessChanged;
import org.unrulymarble.server.account.AccountService;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.store.ClassAccess;

/** Lessons handed to another teacher or helper for a day: who then sees that lesson and those names, and can run it. */
@Service
@Transactional
class HandOvers {

    /** So many days ahead at most. */
    private static final int AHEAD_DAYS = 366;

    private final HandOverRows rows;
    private final LessonRows lessons;
    private final ClassAccess access;
    private final AccountService accounts;
    private final Audit audit;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    HandOvers(
            HandOverRows rows,
            LessonRows lessons,
            ClassAccess access,
            AccountService accounts,
            Audit audit,
            ApplicationEventPublisher events,
            Clock clock) {
        this.rows = rows;
        this.lessons = lessons;
        this.access = access;
        this.accounts = accounts;
        this.audit = audit;
        this.events = events;
        this.clock = clock;
    }

    /** @param displayName of whom it is handed to */
    record HandOver(UUID id, UUID accountId, String displayName, LocalDate onDay) {}

    /** To whom, and for which day: today or later. */
    record HandOverDoc(UUID accountId, LocalDate onDay) {
        HandOverDoc {
            new Checks()
                    .required("accountId", accountId)
                    .required("onDay", onDay)
                    .done();
        }
    }

    /** To whom it is handed, from today on. */
    List<HandOver> of(UUID lessonId) {
        taught(lessonId);
        Map<UUID, String> names = accounts.colleagues().stream()
                .collect(Collectors.toMap(AccountService.Colleague::id, AccountService.Colleague::displayName));
        return rows.findByLessonIdOrderByOnDay(lessonId).stream()
                .filter(row -> !row.onDay().isBefore(today()) && names.containsKey(row.accountId()))
                .map(row -> new HandOver(row.id(), row.accountId(), names.get(row.accountId()), row.onDay()))
                .toList();
    }

    /** Hands it over; the same again changes nothing. Those of days gone by are dropped. */
    List<HandOver> give(UUID lessonId, HandOverDoc doc) {
        taught(lessonId);
        if (accounts.colleagues().stream().noneMatch(c -> c.id().equals(doc.accountId())))
            throw new Refused("accountId", Fault.Rule.UNKNOWN, doc.accountId().toString());
        new Checks()
                .that(!doc.onDay().isBefore(today()), "onDay", Fault.Rule.KIND, "today or a later day")
                .that(!doc.onDay().isAfter(today().plusDays(AHEAD_DAYS)), "onDay", Fault.Rule.KIND, "within a year")
                .done();
        rows.deleteByOnDayBefore(today());
        if (!rows.existsByLessonIdAndAccountIdAndOnDay(lessonId, doc.accountId(), doc.onDay())) {
            rows.saveAndFlush(new HandOverRow(UUID.randomUUID(), lessonId, doc.accountId(), doc.onDay()));
            audit.note(SignedIn.now().accountId(), Audit.Kind.LESSON_HANDED_OVER, doc.accountId() + " " + lessonId);
        }
        return of(lessonId);
    }

    /** Takes it back; what is open with it ends at once. */
    List<HandOver> takeBack(UUID lessonId, UUID id) {
        taught(lessonId);
        HandOverRow row =
                rows.findById(id).filter(r -> r.lessonId().equals(lessonId)).orElseThrow(NotFound::new);
        rows.delete(row);
        rows.flush();
        audit.note(SignedIn.now().accountId(), Audit.Kind.LESSON_TAKEN_BACK, row.accountId() + " " + lessonId);
        events.publishEvent(new AccessChanged(row.accountId()));
        return of(lessonId);
    }

    /** A lesson goes to another day, and whoever gives it on its day goes along; a hand-over for some other day stays. */
    void moved(UUID lessonId, LocalDate from, LocalDate to) {
        if (from.equals(to) || from.isBefore(today())) return;
        List<HandOverRow> there = rows.findByLessonIdOrderByOnDay(lessonId);
        for (HandOverRow row : there) {
            if (!row.onDay().equals(from)) continue;
            boolean twice = there.stream()
                    .anyMatch(o ->
                            o.accountId().equals(row.accountId()) && o.onDay().equals(to));
            if (twice || to.isBefore(today())) rows.delete(row);
            else row.day(to);
            // Whoever had it today has it no longer.
            events.publishEvent(new AccessChanged(row.accountId()));
        }
    }

    private void taught(UUID lessonId) {
        access.teach(lessons.findByIdAndGoneAtNull(lessonId)
                .orElseThrow(NotFound::new)
                .classId());
    }

    private LocalDate today() {
        return LocalDate.now(clock);
    }
}
