package org.unrulymarble.server.lesson;

import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.plan.Lesson;

/**
 * A lesson as the teacher sends it.
 *
 * @param version of the lesson that this was made from; null for a new one
 * @param onDay the day it is for
 */
public record LessonDoc(
        @Nullable Long version, UUID classId, UUID spaceId, String name, LocalDate onDay, Lesson lesson) {
    public LessonDoc {
        new Checks()
                .required("classId", classId)
                .required("spaceId", spaceId)
                .text("name", name, 80)
                .required("onDay", onDay)
                .required("lesson", lesson)
                .done();
    }
}
