package org.unrulymarble.server.lesson;

import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.server.ladder.LadderJson;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A lesson as it is kept, also one from before gates had types of their own. */
final class LessonJson {

    private LessonJson() {}

    static Lesson read(JsonMapper json, String plan) {
        JsonNode tree = json.readTree(plan);
        tree.path("blocks").forEach(block -> LadderJson.renewGate((ObjectNode) block));
        return json.treeToValue(tree, Lesson.class);
    }
}
