package org.unrulymarble.server.lesson;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Which lessons were taught. */
public interface LessonRuns {

    /** The last day on which each of these lessons was run to its end and recorded; those that were not are absent. */
    Map<UUID, LocalDate> recordedOn(Collection<UUID> lessonIds);

    /**
     * Who shared a spot in the last lessons of a class that were run to their end.
     *
     * @param but of this lesson nothing is told
     * @param until the last day
     * @return for each lesson the pupils of each spot, some of them more than once; the last lesson first
     */
    List<List<List<String>>> sharedSpots(UUID classId, UUID but, LocalDate until, int lessons);
}
