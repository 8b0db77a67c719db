package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;

/** Every route of the server is listed here: those that lead to a class are tried by the teacher of another one, for whom it is not even there. */
@ApiTest
class RoutesApiTest {

    /** What belongs to the whole school, to oneself, or to nobody. */
    private static final Set<String> OF_NO_CLASS = Set.of(
            "/api/reckon/",
            "/api/planning",
            "/api/ladders",
            "/api/session",
            "/api/setup",
            "/api/people",
            "/api/audit",
            "/api/backups",
            "/api/disk",
            "/api/skill",
            "/api/trust",
            "/api/kit",
            "/api/routines",
            "/api/classes/list",
            "/api/classes/elsewhere",
            "/api/beginning",
            "/api/spaces");

    /** Open to whoever has the code of a run's wall, which is drawn anew for each run; RunApiTest tries wrong ones. */
    private static final Set<String> BY_CODE = Set.of("GET /api/wall/{code}", "GET /api/wall/{code}/stream");

    /** They show one's own and nothing else. */
    private static final Set<String> OWN = Set.of(
            "GET /api/classes",
            "POST /api/classes",
            "GET /api/lessons",
            "GET /api/lessons/handed",
            "GET /api/runs/open",
            "GET /api/export.json",
            "GET /api/export.zip");

    @Autowired
    private Api api;

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    @Test
    void another_teachers_class_is_out_of_reach_by_every_route_there_is() {
        api.as("okafor");
        String classId = api.id("/api/classes", "Turnstone 6");
        JsonNode pupil = api.get("/api/classes/" + classId).body().get("pupils").get(3);
        String pupilId = pupil.get("id").stringValue();
        JsonNode attempt =
                api.get("/api/pupils/" + pupilId + "/attempts").body().get(0).get("attempt");
        String lessonId = api.id("/api/lessons", "Sail loft, wet Tuesday");
        String lesson = api.get("/api/lessons/" + lessonId).text();
        JsonNode run =
                api.post("/api/runs", "{\"lessonId\":\"" + lessonId + "\"}").body();
        String readiness = api.get("/api/classes/" + classId + "/readiness").text();
        String roster = api.get("/api/classes/" + classId).text();
        String space = api.get("/api/spaces").body().get(0).get("id").stringValue();
        api.post(
                "/api/classes/" + classId + "/home/weeks",
                "{\"firstDay\":\"%s\",\"practices\":1,\"minutes\":5,\"pupilIds\":[\"%s\"]}"
                        .formatted(LocalDate.now(), pupilId));
        Awaitility.await()
                .atMost(1, TimeUnit.MINUTES)
                .until(() -> !weeks(classId).get(0).get("cards").isEmpty());
        String weekId = weeks(classId).get(0).get("id").stringValue();
        String cardId = weeks(classId).get(0).get("cards").get(0).get("id").stringValue();
        Map<String, String> ids = Map.of(
                "classes", classId,
                "pupils", pupilId,
                "attempts", attempt.get("id").stringValue(),
                "lessons", lessonId,
                "runs", run.get("id").stringValue(),
                "weeks", weekId,
                "cards", cardId);
        String file = "{\"text\":\"a,b\",\"dryRun\":true}";

        Map<String, String> bodies = new LinkedHashMap<>();
        bodies.put("GET /api/classes/{id}", null);
        bodies.put("PUT /api/classes/{id}", roster);
        bodies.put("GET /api/classes/{id}/company", null);
        bodies.put("PUT /api/classes/{id}/company", "{\"apart\":[],\"together\":[]}");
        bodies.put("PUT /api/classes/{id}/teacher", "{\"version\":0,\"accountId\":\"%s\"}".formatted(classId));
        bodies.put("PUT /api/pupils/{id}/place", "{\"classId\":\"%s\",\"here\":false}".formatted(classId));
        bodies.put("GET /api/classes/{id}/record", null);
        bodies.put("GET /api/classes/{id}/ladders/{ladderId}/record", null);
        bodies.put("GET /api/classes/{id}/ladders/{ladderId}/cues", null);
        bodies.put("GET /api/classes/{id}/ladders/{ladderId}/standards", null);
        bodies.put("GET /api/classes/{id}/ranking", null);
        bodies.put("GET /api/classes/{id}/taught?from=2026-01-01&to=2026-12-31", null);
        bodies.put("GET /api/classes/{id}/shares", null);
        bodies.put("GET /api/classes/{id}/readiness", null);
        bodies.put("PUT /api/classes/{id}/readiness", readiness);
        bodies.put("GET /api/classes/{id}/results.csv", null);
        bodies.put("GET /api/classes/{id}/results/progress/{key}", null);
        bodies.put("POST /api/classes/{id}/results", file);
        bodies.put("POST /api/classes/{id}/games", """
                {"type":"BOWLING","id":"%s","on":"2026-11-01","ladderId":"bowl-at-rings","rungId":"past-a-batter","sheet":
                {"balls":[],"batterNow":"A","bowlerNow":"B"},"bowlers":{"B":"%s"}}""".formatted(classId, pupilId));
        bodies.put("GET /api/classes/{id}/roster.csv", null);
        bodies.put("POST /api/classes/{id}/roster", file);
        bodies.put("GET /api/classes/{id}/home", null);
        bodies.put("GET /api/classes/{id}/home/waiting", null);
        bodies.put("GET /api/classes/{id}/home/by-link", null);
        bodies.put("POST /api/home/weeks/{id}/links", "{}");
        bodies.put(
                "POST /api/classes/{id}/home/weeks",
                "{\"firstDay\":\"%s\",\"practices\":1,\"minutes\":5}".formatted(LocalDate.now()));
        bodies.put("POST /api/classes/{id}/home/came", "{\"text\":\"2222\"}");
        bodies.put(
                "POST /api/classes/{id}/home/slips",
                "{\"slips\":[{\"cardId\":\"%s\",\"practice\":1,\"numbers\":[]}]}".formatted(cardId));
        bodies.put("POST /api/classes/{id}/home/kept", "{\"ids\":[\"%s\"]}".formatted(cardId));
        bodies.put("POST /api/classes/{id}/home/aside", "{\"ids\":[\"%s\"]}".formatted(cardId));
        bodies.put("DELETE /api/classes/{id}/home/unread/{unreadId}", null);
        bodies.put("POST /api/home/weeks/{id}/cards", "{}");
        bodies.put("GET /api/home/weeks/{id}/pages.zip", null);
        bodies.put("GET /api/home/weeks/{id}/cards.pdf", null);
        bodies.put("POST /api/home/cards/{id}/withdrawn", "{}");
        bodies.put("POST /api/home/cards/{id}/remade", "{\"without\":[\"cup-and-sock\"]}");
        bodies.put("GET /api/home/cards/{id}/page", null);
        bodies.put("GET /api/home/cards/{id}/card.pdf", null);
        bodies.put("GET /api/home/cards/{id}/week.ics", null);
        bodies.put("GET /api/pupils/{id}/record", null);
        bodies.put("GET /api/pupils/{id}/attempts", null);
        bodies.put("POST /api/pupils/{id}/attempts", """
                {"on":"%s","ladderId":"clap-and-collect","rungId":"both-hands","side":"NONE","score":1}""".formatted(LocalDate.now()));
        bodies.put("GET /api/pupils/{id}/ladders/{ladderId}/record", null);
        bodies.put(
                "POST /api/pupils/{id}/standings",
                "{\"ladderId\":\"clap-and-collect\",\"rungId\":\"both-hands\",\"reason\":\"x\"}");
        bodies.put("GET /api/pupils/{id}/kept", null);
        bodies.put("GET /api/pupils/{id}/export.json", null);
        bodies.put("GET /api/pupils/{id}/results.csv", null);
        bodies.put("DELETE /api/pupils/{id}", null);
        bodies.put(
                "POST /api/attempts/{id}/corrections",
                "{\"seenScore\":%s,\"score\":1,\"reason\":\"x\"}".formatted(attempt.get("score")));
        bodies.put("POST /api/attempts/{id}/confirm", null);
        bodies.put("GET /api/lessons/{id}", null);
        bodies.put("PUT /api/lessons/{id}", lesson);
        bodies.put("POST /api/lessons", lesson);
        bodies.put("POST /api/lessons/{id}/mended", "{\"version\":0,\"finding\":\"x\"}");
        bodies.put(
                "POST /api/lessons/{id}/edited",
                "{\"lesson\":%s,\"edits\":[{\"type\":\"REMOVE\",\"blockId\":\"x\"}]}"
                        .formatted(api.get("/api/lessons/" + lessonId).body().get("lesson")));
        bodies.put(
                "POST /api/lessons/{id}/proposed",
                "{\"lesson\":%s,\"wanted\":{}}"
                        .formatted(api.get("/api/lessons/" + lessonId).body().get("lesson")));
        bodies.put(
                "POST /api/lessons/{id}/laid",
                "{\"lesson\":%s,\"circuitId\":\"x\"}"
                        .formatted(api.get("/api/lessons/" + lessonId).body().get("lesson")));
        bodies.put(
                "POST /api/lessons/{id}/rehearsed",
                "{\"lesson\":%s}"
                        .formatted(api.get("/api/lessons/" + lessonId).body().get("lesson")));
        bodies.put(
                "POST /api/lessons/{id}/instead",
                "{\"lesson\":%s,\"blockId\":\"x\"}"
                        .formatted(api.get("/api/lessons/" + lessonId).body().get("lesson")));
        bodies.put("GET /api/lessons/{id}/hand-overs", null);
        bodies.put(
                "POST /api/lessons/{id}/hand-overs",
                "{\"accountId\":\"%s\",\"onDay\":\"2027-01-12\"}".formatted(classId));
        bodies.put("DELETE /api/lessons/{id}/hand-overs/{handOverId}", null);
        bodies.put("POST /api/lessons/{id}/copies", "{\"onDay\":\"2027-01-12\"}");
        bodies.put("POST /api/lessons/{id}/shifted", "{\"days\":7}");
        bodies.put("POST /api/lessons/{id}/back", null);
        bodies.put("DELETE /api/lessons/{id}", null);
        bodies.put("GET /api/fits?classId=%s&spaceId=%s".formatted(classId, space), null);
        bodies.put("GET /api/fits/{ladderId}?classId=%s&spaceId=%s".formatted(classId, space), null);
        bodies.put("POST /api/runs", "{\"lessonId\":\"" + lessonId + "\"}");
        bodies.put("GET /api/runs/{id}", null);
        bodies.put("GET /api/runs/{id}/stream", null);
        bodies.put("GET /api/runs/{id}/against/{round}", null);
        bodies.put("GET /api/runs/{id}/watch/{block}", null);
        bodies.put("POST /api/runs/{id}/wall", null);
        bodies.put("PUT /api/runs/{id}/wall", null);
        bodies.put("DELETE /api/runs/{id}/wall", null);
        bodies.put("GET /api/runs/{id}/devices", null);
        bodies.put("POST /api/runs/{id}/devices", null);
        bodies.put("PUT /api/runs/{id}/devices", "{\"device\":\"pad\",\"spot\":1}");
        bodies.put("DELETE /api/runs/{id}/devices", null);
        bodies.put("POST /api/runs/events", "{\"runId\":%s,\"events\":[]}".formatted(run.get("id")));

        // A route that is new and stands in no list here is a mistake of whoever made it.
        Set<String> listed = new TreeSet<>(OWN);
        listed.addAll(BY_CODE);
        bodies.keySet().forEach(route -> listed.add(route.replaceAll("\\?.*", "")));
        assertThat(routes()).isEqualTo(listed);

        Map<String, Integer> answers = new TreeMap<>();
        api.as("brambell");
        bodies.forEach((route, body) -> answers.put(route, status(route, ids, body)));
        assertThat(answers)
                .allSatisfy((route, status) -> assertThat(status).as(route).isEqualTo(404));
        for (String own : OWN)
            if (own.startsWith("GET"))
                assertThat(api.get(own.substring(4)).text()).as(own).doesNotContain(classId, pupilId, "Turnstone");
        api.asNobody();
        bodies.forEach(
                (route, body) -> assertThat(status(route, ids, body)).as(route).isIn(401, 403));
        // And nothing of it was changed.
        api.as("okafor");
        assertThat(api.get("/api/classes/" + classId).text()).isEqualTo(roster);
        assertThat(api.get("/api/lessons/" + lessonId).text()).isEqualTo(lesson);
    }

    @Test
    void a_helper_sees_names_and_what_a_run_needs_and_nothing_else_of_a_child() {
        api.as("okafor");
        String classId = api.id("/api/classes", "Turnstone 6");
        JsonNode taught = api.get("/api/classes/" + classId).body().get("pupils");
        assertThat(taught.get(3).get("details").get("birthYear").isNull()).isFalse();
        String pupilId = taught.get(3).get("id").stringValue();
        String runId = api.post(
                        "/api/runs", "{\"lessonId\":\"" + api.id("/api/lessons", "Sail loft, wet Tuesday") + "\"}")
                .body()
                .get("id")
                .stringValue();

        api.as("helper");
        JsonNode helped = api.get("/api/classes/" + classId).body().get("pupils");
        assertThat(helped).hasSameSizeAs(taught);
        assertThat(helped).allSatisfy(p -> {
            assertThat(p.get("details").get("birthYear").isNull()).isTrue();
            assertThat(p.get("details").get("adaptation").isNull()).isTrue();
            assertThat(p.get("details").get("adaptations")).isEmpty();
        });
        for (String path : List.of(
                "/api/classes/" + classId + "/record",
                "/api/classes/" + classId + "/shares",
                "/api/runs/" + runId + "/watch/0",
                "/api/classes/" + classId + "/ranking",
                "/api/classes/" + classId + "/taught?from=2026-01-01&to=2026-12-31",
                "/api/classes/" + classId + "/readiness",
                "/api/classes/" + classId + "/results.csv",
                "/api/classes/" + classId + "/roster.csv",
                "/api/classes/" + classId + "/home",
                "/api/pupils/" + pupilId + "/record",
                "/api/pupils/" + pupilId + "/attempts",
                "/api/pupils/" + pupilId + "/ladders/clap-and-collect/record",
                "/api/pupils/" + pupilId + "/kept",
                "/api/pupils/" + pupilId + "/results.csv",
                "/api/pupils/" + pupilId + "/export.json",
                "/api/export.json",
                "/api/export.zip")) assertThat(api.get(path).status()).as(path).isEqualTo(403);
        assertThat(api.delete("/api/pupils/" + pupilId).status()).isEqualTo(403);
        assertThat(api.post("/api/classes/" + classId + "/results", "{\"text\":\"a,b\",\"dryRun\":true}")
                        .status())
                .isEqualTo(403);
        assertThat(api.get("/api/lessons/" + api.id("/api/lessons", "Sail loft, wet Tuesday"))
                        .status())
                .isEqualTo(200);
    }

    private JsonNode weeks(String classId) {
        return api.get("/api/classes/" + classId + "/home").body().get("weeks");
    }

    /** Method and pattern of each that may lead to a class. */
    private Set<String> routes() {
        Set<String> all = new TreeSet<>();
        for (RequestMappingInfo info :
                requestMappingHandlerMapping.getHandlerMethods().keySet())
            for (String pattern : info.getPatternValues())
                for (RequestMethod method : info.getMethodsCondition().getMethods())
                    if (pattern.startsWith("/api") && OF_NO_CLASS.stream().noneMatch(pattern::startsWith))
                        all.add(method + " " + pattern);
        return all;
    }

    private int status(String route, Map<String, String> ids, String body) {
        String[] parts = route.split(" ", 2);
        String what = parts[1].replaceAll("/\\{id}.*", "").replaceAll(".*/", "").replaceAll("\\?.*", "");
        String path = parts[1].replace("{id}", ids.getOrDefault(what, ""))
                .replace("{ladderId}", "clap-and-collect")
                .replace("{key}", "00000000-0000-0000-0000-000000000001")
                .replace("{round}", "0")
                .replace("{unreadId}", "00000000-0000-0000-0000-000000000001")
                .replace("{handOverId}", "00000000-0000-0000-0000-000000000001")
                .replace("{block}", "0");
        return api.send(HttpMethod.valueOf(parts[0]), path, body).status();
    }
}
