package org.unrulymarble.server.lesson;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.rotation.Groups;
import tools.jackson.databind.json.JsonMapper;

/** Who was together in a class's lessons before one. */
@Component
class MetBefore {

    /** Who met last is kept apart where that costs little; what is longer ago nobody remembers. */
    private static final int LESSONS_LOOKED_BACK = 3;

    private final LessonRows rows;
    private final JsonMapper json;
    private final LessonRuns runs;

    MetBefore(LessonRows rows, JsonMapper json, LessonRuns runs) {
        this.rows = rows;
        this.json = json;
        this.runs = runs;
    }

    /**
     * Who shared a spot in the last lessons that were taught. Nothing where the class list alone says who shares one.
     *
     * @param lesson as it stands now, in this row or not
     */
    List<Groups.Met> atSpots(UUID classId, UUID lessonId, LocalDate onDay, Lesson lesson) {
        if (lesson.blocks().stream().allMatch(b -> b.together() == Block.Together.IN_ORDER)) return List.of();
        return runs.sharedSpots(classId, lessonId, onDay, LESSONS_LOOKED_BACK).stream()
                .flatMap(shared -> shared.stream().flatMap(MetBefore::pairs).distinct())
                .toList();
    }

    /** Who were in one group in the last lessons that had groups of their own. */
    List<Groups.Met> inGroups(LessonRow row) {
        return rows.findByClassIdAndGoneAtNullOrderByOnDayAscNameAsc(row.classId()).stream()
                .filter(earlier -> earlier.onDay().isBefore(row.onDay()))
                .sorted(Comparator.comparing(LessonRow::onDay).reversed())
                .map(earlier -> LessonJson.read(json, earlier.plan()))
                .map(lesson -> lesson.circuits().stream()
                        .flatMap(c -> c.groups().stream())
                        .toList())
                .filter(groups -> !groups.isEmpty())
                .limit(LESSONS_LOOKED_BACK)
                .flatMap(List::stream)
                .flatMap(MetBefore::pairs)
                .toList();
    }

    private static Stream<Groups.Met> pairs(List<String> group) {
        return IntStream.range(0, group.size())
                .boxed()
                .flatMap(a -> IntStream.range(a + 1, group.size())
                        .mapToObj(b -> new Groups.Met(group.get(a), group.get(b), 1)));
    }
}
