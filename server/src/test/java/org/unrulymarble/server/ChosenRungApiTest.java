package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.unrulymarble.server.RunEvents.event;

import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Rungs that pupils choose for themselves. */
@ApiTest
class ChosenRungApiTest {

    @Autowired
    private Api api;

    @Test
    void a_rung_that_was_chosen_where_nothing_is_counted_is_kept_and_the_next_choice_begins_there() {
        api.as("okafor");
        JsonNode lesson = api.get("/api/lessons/" + api.id("/api/lessons", "Sail loft, wet Tuesday"))
                .body();
        ObjectNode plan = (ObjectNode) lesson.get("lesson");
        ObjectNode block = (ObjectNode) plan.get("blocks").get(1);
        block.put("rungBy", "CHOOSE").put("counted", false).putArray("laterRungIds");
        String id = api.post(
                        "/api/lessons",
                        "{\"version\":null,\"classId\":%s,\"spaceId\":%s,\"name\":\"As they choose\",\"onDay\":\"2026-11-20\",\"lesson\":%s}"
                                .formatted(lesson.get("classId"), lesson.get("spaceId"), plan))
                .body()
                .get("id")
                .stringValue();
        JsonNode run =
                api.post("/api/runs", "{\"lessonId\":\"%s\"}".formatted(id)).body();
        JsonNode rungs = run.get("sheet").get("script").get("blocks").get(1).get("rungs");
        JsonNode script = run.get("sheet").get("script");
        int round = script.get("segments")
                .valueStream()
                .filter(s -> s.get("kind").stringValue().equals("WORK")
                        && s.get("block").intValue() == 1)
                .findFirst()
                .orElseThrow()
                .get("index")
                .intValue();
        String worker = script.at("/blocks/1/turns/0/crews/0/workers/0").stringValue();
        String before = rungOf(run, worker);
        String chosen = rungs.valueStream()
                .map(r -> r.get("id").stringValue())
                .filter(r -> !r.equals(before))
                .findFirst()
                .orElseThrow();

        String on = ",\"segment\":%d,\"pupilId\":\"%s\",\"rungId\":\"%s\"".formatted(round, worker, chosen);
        assertThat(api.post(
                                "/api/runs/events",
                                "{\"runId\":%s,\"events\":[%s,%s]}"
                                        .formatted(run.get("id"), event("ON_RUNG", on), event("FINISH", "")))
                        .status())
                .isEqualTo(200);

        JsonNode remarks = api.get("/api/pupils/" + worker + "/record").body().get("remarks");
        assertThat(remarks).last().satisfies(r -> {
            assertThat(r.get("kind").stringValue()).isEqualTo("CHOSE");
            assertThat(r.get("rungId").stringValue()).isEqualTo(chosen);
        });
        JsonNode next =
                api.post("/api/runs", "{\"lessonId\":\"%s\"}".formatted(id)).body();
        assertThat(rungOf(next, worker)).isEqualTo(chosen);
        assertThat(api.delete("/api/lessons/" + id).status()).isEqualTo(204);
    }

    private static String rungOf(JsonNode ofRun, String pupilId) {
        JsonNode block = ofRun.get("sheet").get("script").get("blocks").get(1);
        JsonNode own = block.get("rungOf").get(pupilId);
        return (own == null ? block.get("rungId") : own).stringValue();
    }
}
