package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Lessons made for a journey, and what the API says, asked as the page would ask it. */
final class Lessons {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Browser browser;

    Lessons(Browser browser) {
        this.browser = browser;
    }

    /** One block at the wall of the sail loft, eight in four pairs at a time, saved as it comes from the screen. */
    String newLesson(String name) {
        return newLesson(name, """
                {"id":"b1","ladderId":"wall-and-back",
                "rungId":"two-hands-bounce","modifiers":[],"dose":{"type":"CLOCK","workSec":30},"sets":1,"sides":"EACH","setupSec":30,
                "explainSec":30,"countInSec":5,"sideSwapSec":5,"turnSwapSec":20,"restSec":20,"waitIsRest":true,"counted":true,
                "meanwhile":null}""");
    }

    /** One block after the other for each rung, with nothing to wait for. */
    String ofRungs(String name, List<Rung> rungs) {
        List<String> blocks = new ArrayList<>();
        for (Rung r : rungs) blocks.add("""
                    {"id":"b%d","ladderId":"%s","rungId":"%s","modifiers":[],"dose":%s,"sets":1,"sides":"FIRST_ONLY","setupSec":0,
                    "explainSec":0,"countInSec":0,"sideSwapSec":0,"turnSwapSec":5,"restSec":0,"waitIsRest":true,"counted":true}""".formatted(blocks.size(), r.ladder(), r.rung(), r.dose()));
        return newLesson(name, String.join(",", blocks));
    }

    record Rung(String ladder, String rung, String dose) {
        Rung(String ladder, String rung) {
            this(ladder, rung, "{\"type\":\"CLOCK\",\"workSec\":300}");
        }
    }

    private String newLesson(String name, String blocks) {
        String body = """
                {"version":null,"classId":"%s","spaceId":"%s","name":"%s","onDay":"2030-01-08","lesson":{"minutes":20,
                "audience":"CLASS","restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[%s]}}""".formatted(
                        id(get("/api/classes"), "Turnstone 6"), id(get("/api/spaces"), "Sail loft"), name, blocks);
        Map<String, Object> made = browser.request("POST", "/api/lessons", body);
        assertThat(made.get("status")).as("%s", made.get("body")).isEqualTo(201L);
        return JSON.readTree((String) made.get("body")).get("id").stringValue();
    }

    Map<String, Object> put(String lessonId, String lesson) {
        return browser.request("PUT", "/api/lessons/" + lessonId, lesson);
    }

    JsonNode get(String path) {
        return read((String) browser.request("GET", path, null).get("body"));
    }

    JsonNode read(String body) {
        return JSON.readTree(body);
    }

    private static String id(JsonNode list, String name) {
        for (JsonNode n : list)
            if (n.get("name").stringValue().equals(name)) return n.get("id").stringValue();
        throw new AssertionError("no " + name);
    }
}
