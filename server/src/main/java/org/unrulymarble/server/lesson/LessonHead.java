package org.unrulymarble.server.lesson;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.plan.Lesson;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a list says of a lesson. It is kept beside the plan, so that a list reads no plans.
 *
 * @param startMin minutes after midnight when it begins, or null
 * @param tasks how many blocks it has
 * @param afterNote what to remember of it, or null
 */
record LessonHead(
        @Nullable Integer startMin,
        int minutes,
        int tasks,
        Lesson.Audience audience,
        @Nullable String afterNote) {

    static LessonHead of(Lesson lesson) {
        return new LessonHead(
                lesson.startMin(), lesson.minutes(), lesson.blocks().size(), lesson.audience(), lesson.afterNote());
    }

    /** The head of a plan as it is kept, itself as it is kept. */
    static String ofPlan(JsonMapper json, String plan) {
        return json.writeValueAsString(of(LessonJson.read(json, plan)));
    }
}
