package org.unrulymarble.server.lesson;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.platform.Erased;
import org.unrulymarble.server.platform.Exported;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Lessons for an export, and the names in their notes, which go when a pupil goes. */
@Component
@Transactional
class LessonNames implements Exported, Erased {

    private static final String GONE = "(gone)";

    private final LessonRows rows;
    private final JsonMapper json;

    LessonNames(LessonRows rows, JsonMapper json) {
        this.rows = rows;
        this.json = json;
    }

    private record LessonOut(UUID id, String name, LocalDate onDay, UUID spaceId, JsonNode lesson) {}

    @Override
    public String name() {
        return "lessons";
    }

    @Override
    @Transactional(readOnly = true)
    public void ofClass(UUID classId, Consumer<Object> row) {
        of(Set.of(classId)).stream()
                .filter(l -> !l.isGone())
                .forEach(l ->
                        row.accept(new LessonOut(l.id(), l.name(), l.onDay(), l.spaceId(), json.readTree(l.plan()))));
    }

    private List<LessonRow> of(Set<UUID> classIds) {
        return classIds.stream().flatMap(id -> rows.findByClassId(id).stream()).toList();
    }

    @Override
    public Map<String, Long> kept(Set<UUID> classIds, UUID pupilId, String name) {
        return Map.of(
                "notes",
                of(classIds).stream()
                        .filter(l -> l.plan().contains(inJson(name)))
                        .count());
    }

    @Override
    public void erase(Set<UUID> classIds, UUID pupilId, String name) {
        for (LessonRow l : of(classIds))
            if (l.plan().contains(inJson(name))) {
                String plan = l.plan().replace(inJson(name), GONE);
                l.change(l.name(), l.onDay(), l.spaceId(), plan, LessonHead.ofPlan(json, plan));
            }
    }

    /** As it stands between the quotes of a JSON text. */
    private String inJson(String name) {
        String quoted = json.writeValueAsString(name);
        return quoted.substring(1, quoted.length() - 1);
    }
}
