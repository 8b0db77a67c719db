package org.unrulymarble.server.run;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.run.RunScript;
import org.unrulymarble.server.lesson.LessonRuns;

@Component
@Transactional(readOnly = true)
class RecordedLessons implements LessonRuns {

    private final RunRows runs;
    private final RunSheets sheets;

    RecordedLessons(RunRows runs, RunSheets sheets) {
        this.runs = runs;
        this.sheets = sheets;
    }

    @Override
    public Map<UUID, LocalDate> recordedOn(Collection<UUID> lessonIds) {
        if (lessonIds.isEmpty()) return Map.of();
        return runs.recorded(lessonIds).stream()
                .collect(Collectors.toMap(RunRows.Recorded::getLessonId, RunRows.Recorded::getOnDay));
    }

    @Override
    public List<List<List<String>>> sharedSpots(UUID classId, UUID but, LocalDate until, int lessons) {
        return runs.last(classId, but, until, Limit.of(lessons)).stream()
                .map(id -> sheets.of(id).script().blocks().stream()
                        .flatMap(b -> b.turns().stream())
                        .flatMap(t -> t.crews().stream())
                        .map(RecordedLessons::all)
                        .distinct()
                        .toList())
                .toList();
    }

    private static List<String> all(RunScript.Crew crew) {
        return Stream.concat(crew.workers().stream(), crew.helpers().stream())
                .sorted()
                .toList();
    }
}
