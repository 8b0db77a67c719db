package org.unrulymarble.server.lesson;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Map;
import java.util.UUID;

/** Which lessons were taught. */
public interface LessonRuns {

    /** The last day on which each of these lessons was run to its end and recorded; those that were not are absent. */
    Map<UUID, LocalDate> recordedOn(Collection<UUID> lessonIds);
}
