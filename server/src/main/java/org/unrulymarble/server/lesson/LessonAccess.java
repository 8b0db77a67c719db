package org.unrulymarble.server.lesson;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.SchoolClass;

/** The gate to one lesson and its run: for whoever teaches or helps in its class, and for whom it was handed to, on that day. */
@Service
@Transactional(readOnly = true)
public class LessonAccess {

    private final ClassAccess classes;
    private final HandOverRows handed;
    private final Clock clock;

    LessonAccess(ClassAccess classes, HandOverRows handed, Clock clock) {
        this.classes = classes;
        this.handed = handed;
        this.clock = clock;
    }

    /**
     * The class of a lesson.
     *
     * @throws NotFound for anybody who has nothing to do with it today
     */
    public SchoolClass see(UUID lessonId, UUID classId) {
        Optional<SchoolClass> own = classes.own(classId);
        if (own.isPresent()) return own.get();
        LocalDate today = LocalDate.now(clock);
        if (!handed.existsByLessonIdAndAccountIdAndOnDay(
                lessonId, SignedIn.now().accountId(), today)) throw new NotFound();
        return classes.lent(classId);
    }

    /** Lessons that were handed to the asker for today. */
    public List<UUID> handedToday() {
        return handed.findByAccountIdAndOnDay(SignedIn.now().accountId(), LocalDate.now(clock)).stream()
                .map(HandOverRow::lessonId)
                .toList();
    }
}
