package org.unrulymarble.server.lesson;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.plan.Lesson;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a list says of a lesson, read out of its plan without the plan: its tasks are counted, not made.
 *
 * @param startMin minutes after midnight when it begins, or null
 * @param afterNote what to remember of it, or null
 */
@JsonIgnoreProperties(ignoreUnknown = true)
record LessonHead(
        @Nullable Integer startMin,
        int minutes,
        Lesson.Audience audience,
        @Nullable String afterNote,
        List<Task> blocks) {

    /** That there is one. */
    @JsonIgnoreProperties(ignoreUnknown = true)
    record Task() {}

    static LessonHead read(JsonMapper json, String plan) {
        return json.readValue(plan, LessonHead.class);
    }
}
