package org.unrulymarble.server.run;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.lesson.LessonRuns;

@Component
@Transactional(readOnly = true)
class RecordedLessons implements LessonRuns {

    private final RunRows runs;

    RecordedLessons(RunRows runs) {
        this.runs = runs;
    }

    @Override
    public Map<UUID, LocalDate> recordedOn(Collection<UUID> lessonIds) {
        if (lessonIds.isEmpty()) return Map.of();
        return runs.recorded(lessonIds).stream()
                .collect(Collectors.toMap(RunRows.Recorded::getLessonId, RunRows.Recorded::getOnDay));
    }
}
