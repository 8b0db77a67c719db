package org.unrulymarble.server.run;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.ScriptWriter;
import org.unrulymarble.core.run.RunScript;
import org.unrulymarble.server.ladder.LadderJson;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.lesson.LessonService;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.store.Roster;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The sheets of runs: made when a run begins, and at hand for every tap. */
@Component
class RunSheets {

    private static final int SHEETS_KEPT = 200;

    private final Cache<UUID, Sheet> sheets =
            Caffeine.newBuilder().maximumSize(SHEETS_KEPT).build();

    private final RunRows runs;
    private final LadderService ladders;
    private final JsonMapper json;

    RunSheets(RunRows runs, LadderService ladders, JsonMapper json) {
        this.runs = runs;
        this.ladders = ladders;
        this.json = json;
    }

    /** All that a run needs besides its log, as it stood when the run began. */
    record Sheet(
            String lessonName,
            String className,
            String spaceName,
            int minutes,
            List<Roster.Member> pupils,
            List<Ladder> ladders,
            RunScript script) {}

    /** @throws org.unrulymarble.core.check.Refused for a lesson that cannot be run */
    Sheet make(LessonService.Ready ready) {
        LessonService.Known lesson = ready.known();
        Roster roster = lesson.roster();
        new Checks()
                .entries("pupils", roster.pupils(), 1, 500)
                .entries("blocks", lesson.lesson().blocks(), 1, 60)
                .that(
                        lesson.lesson().audience() == Lesson.Audience.CLASS,
                        "audience",
                        Fault.Rule.ONE_OF,
                        Lesson.Audience.CLASS)
                .done();
        RunScript script = ScriptWriter.write(lesson.lesson(), ready.setting(), ready.placed());
        Set<String> used = new HashSet<>();
        script.blocks().forEach(b -> {
            used.add(b.ladderId());
            used.add(b.meanwhileLadderId());
        });
        return new Sheet(
                lesson.name(),
                roster.className(),
                lesson.space().name(),
                lesson.lesson().minutes(),
                roster.pupils(),
                ladders.read().stream().filter(l -> used.contains(l.id())).toList(),
                script);
    }

    /** A sheet as it is kept, also one from before measures had types of their own. */
    Sheet read(String kept) {
        JsonNode tree = json.readTree(kept);
        tree.path("ladders").forEach(LadderJson::renew);
        tree.path("script").path("blocks").forEach(block -> renew((ObjectNode) block));
        return json.treeToValue(tree, Sheet.class);
    }

    /** Older blocks told their measure apart from their rungs, and the oldest no rungs at all. */
    private static void renew(ObjectNode block) {
        if (!block.has("timeIsLimit")) block.put("timeIsLimit", false);
        JsonNode measure = block.remove("measure");
        if (measure == null || measure.isNull()) return;
        ArrayNode rungs = block.path("rungs").isArray() ? (ArrayNode) block.get("rungs") : block.putArray("rungs");
        if (rungs.isEmpty())
            rungs.addObject().put("id", block.path("rungId").asString()).set("measure", measure);
        for (JsonNode rung : rungs) {
            LadderJson.renewRung((ObjectNode) rung);
            ObjectNode counted = (ObjectNode) rung.get("measure");
            boolean ofN =
                    Set.of("HITS_OF_N", "NO_BALLS").contains(counted.get("type").asString());
            if (ofN && block.hasNonNull("reps")) counted.set("n", block.get("reps"));
        }
    }

    /** It is read anew once the change is kept. */
    void forget(UUID runId) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                sheets.invalidate(runId);
            }
        });
    }

    /** A sheet never changes once its run has begun, and is asked for with every tap. */
    Sheet of(UUID runId) {
        return sheets.get(
                runId, id -> read(runs.findById(id).orElseThrow(NotFound::new).sheet()));
    }
}
