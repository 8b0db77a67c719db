package org.unrulymarble.server.lesson;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.rotation.Groups;
import tools.jackson.databind.json.JsonMapper;

/** Who went round together in a class's lessons before one. */
@Component
class GroupsBefore {

    /** Who met last is kept apart where that costs little; what is longer ago nobody remembers. */
    private static final int LESSONS_LOOKED_BACK = 3;

    private final LessonRows rows;
    private final JsonMapper json;

    GroupsBefore(LessonRows rows, JsonMapper json) {
        this.rows = rows;
        this.json = json;
    }

    /** Who were in one group in the last lessons that had groups of their own. */
    List<Groups.Met> met(LessonRow row) {
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
                .flatMap(GroupsBefore::pairs)
                .toList();
    }

    private static Stream<Groups.Met> pairs(List<String> group) {
        return IntStream.range(0, group.size())
                .boxed()
                .flatMap(a -> IntStream.range(a + 1, group.size())
                        .mapToObj(b -> new Groups.Met(group.get(a), group.get(b), 1)));
    }
}
