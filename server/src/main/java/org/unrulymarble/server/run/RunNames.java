package org.unrulymarble.server.run;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.run.What;
import org.unrulymarble.server.platform.Erased;
import org.unrulymarble.server.platform.Exported;
import org.unrulymarble.server.store.Roster;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Runs for an export, and the names on their sheets. When a pupil goes, the name and all free words go; the taps stay under a number that is nobody's,
 * since rounds of pairs and the other pupils' counts hang on them.
 */
@Component
@Transactional
class RunNames implements Exported, Erased {

    private static final String NOBODY = "–";

    private final RunRows runs;
    private final RunEventRows events;
    private final RunSheets sheets;
    private final JsonMapper json;

    RunNames(RunRows runs, RunEventRows events, RunSheets sheets, JsonMapper json) {
        this.runs = runs;
        this.events = events;
        this.sheets = sheets;
        this.json = json;
    }

    private record RunOut(UUID id, UUID lessonId, LocalDate onDay, JsonNode sheet, List<JsonNode> events) {}

    @Override
    public String name() {
        return "runs";
    }

    @Override
    @Transactional(readOnly = true)
    public void ofClass(UUID classId, Consumer<Object> row) {
        for (RunRow r : runs.findByClassIdOrderByOnDayAsc(classId))
            row.accept(new RunOut(
                    r.id(),
                    r.lessonId(),
                    r.onDay(),
                    json.readTree(r.sheet()),
                    events.findByRunId(r.id()).stream()
                            .map(e -> json.readTree(e.body()))
                            .toList()));
    }

    private List<RunRow> with(Set<UUID> classIds, UUID pupilId) {
        return classIds.stream()
                .flatMap(classId -> runs.findByClassIdOrderByOnDayAsc(classId).stream())
                .filter(r -> r.sheet().contains(pupilId.toString()))
                .toList();
    }

    @Override
    public Map<String, Long> kept(Set<UUID> classIds, UUID pupilId, String name) {
        return Map.of("runs", (long) with(classIds, pupilId).size());
    }

    @Override
    public void erase(Set<UUID> classIds, UUID pupilId, String name) {
        for (RunRow r : with(classIds, pupilId)) {
            r.sheet(json.writeValueAsString(without(sheets.read(r.sheet()), pupilId, name)));
            sheets.forget(r.id());
            events.deleteAll(events.findByRunId(r.id()).stream()
                    .filter(e -> e.body().contains(pupilId.toString())
                            && SentEvent.read(json, e.body()).event().what() instanceof What.Said)
                    .toList());
        }
    }

    private static RunSheets.Sheet without(RunSheets.Sheet s, UUID pupilId, String name) {
        return new RunSheets.Sheet(
                s.lessonName(),
                s.className(),
                s.spaceName(),
                s.minutes(),
                s.pupils().stream()
                        .map(m -> m.pupilId().equals(pupilId) ? new Roster.Member(pupilId, NOBODY) : m)
                        .toList(),
                s.ladders(),
                s.script());
    }
}
