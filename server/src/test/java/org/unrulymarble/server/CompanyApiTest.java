package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Who is better apart and who belongs together: groups and pairs keep to it, and nobody but the teacher reads it. */
@ApiTest
class CompanyApiTest {

    @Autowired
    private Api api;

    private String classId;
    private List<String> pupils;

    @BeforeEach
    void aClassOfEight() {
        api.as("okafor");
        String eight = String.join(
                ",",
                java.util.stream.IntStream.rangeClosed(1, 8)
                        .mapToObj(n ->
                                "{\"details\":{\"firstName\":\"P%d\",\"initial\":\"\",\"birthYear\":2015,\"strongHand\":\"RIGHT\"}}"
                                        .formatted(n))
                        .toList());
        JsonNode made = api.post("/api/classes", "{\"name\":\"Eight\",\"pupils\":[%s]}".formatted(eight))
                .body();
        classId = made.get("id").stringValue();
        pupils = made.get("pupils")
                .valueStream()
                .map(p -> p.get("id").stringValue())
                .toList();
    }

    @Test
    void pairs_at_the_spots_and_groups_at_stations_keep_to_it() {
        assertThat(keep(pair(0, 1), pair(2, 7)).status()).isEqualTo(200);
        String lessonId = lesson();

        JsonNode run = run(lessonId);
        List<List<String>> crews = crews(run);
        assertThat(crews).hasSize(4).noneMatch(c -> c.containsAll(List.of(pupils.get(0), pupils.get(1))));
        assertThat(crews).anyMatch(c -> c.containsAll(List.of(pupils.get(2), pupils.get(7))));
        api.delete("/api/runs/" + run.get("id").stringValue());

        JsonNode grouped = edited(lessonId, "{\"type\":\"GROUP_BY\",\"circuitId\":\"c\",\"mode\":\"EVEN\"}");
        List<List<String>> groups = grouped.at("/circuits/0/groups")
                .valueStream()
                .map(g -> g.valueStream().map(JsonNode::stringValue).toList())
                .toList();
        assertThat(groups).hasSize(2).noneMatch(g -> g.containsAll(List.of(pupils.get(0), pupils.get(1))));
        assertThat(groups).anyMatch(g -> g.containsAll(List.of(pupils.get(2), pupils.get(7))));
        assertThat(api.get("/api/lessons/" + lessonId).text()).doesNotContain("\"company\"");
    }

    @Test
    void who_went_round_together_last_time_goes_with_others_now() {
        String before = lesson();
        JsonNode saved = api.get("/api/lessons/" + before).body();
        JsonNode grouped = edited(
                before,
                "{\"type\":\"SET_GROUPS\",\"circuitId\":\"c\",\"groups\":[%s,%s]}".formatted(ids(0, 4), ids(4, 8)));
        assertThat(api.put(
                                "/api/lessons/" + before,
                                "{\"version\":%s,\"classId\":\"%s\",\"spaceId\":%s,\"name\":\"Before\",\"onDay\":\"2030-01-01\",\"lesson\":%s}"
                                        .formatted(saved.get("version"), classId, saved.get("spaceId"), grouped))
                        .status())
                .isEqualTo(200);

        JsonNode now = edited(lesson(), "{\"type\":\"GROUP_BY\",\"circuitId\":\"c\",\"mode\":\"EVEN\"}");
        assertThat(now.at("/circuits/0/groups").valueStream())
                .hasSize(2)
                .allSatisfy(g -> assertThat(g.valueStream().filter(id -> pupils.indexOf(id.stringValue()) < 4))
                        .hasSize(2));
    }

    @Test
    void who_shared_a_spot_last_time_shares_it_with_others_now() {
        JsonNode first = run(lesson("MIXED"));
        String runId = first.get("id").stringValue();
        assertThat(api.post(
                                "/api/runs/events",
                                "{\"runId\":\"%s\",\"events\":[%s]}".formatted(runId, RunEvents.event("FINISH", "")))
                        .status())
                .isEqualTo(200);

        JsonNode next = run(lesson("MIXED"));
        assertThat(crews(next)).hasSize(4).doesNotContainAnyElementsOf(crews(first));
        api.delete("/api/runs/" + next.get("id").stringValue());

        JsonNode asInTheList = run(lesson("IN_ORDER"));
        assertThat(crews(asInTheList))
                .contains(
                        List.of(pupils.get(0), pupils.get(1)).stream().sorted().toList());
        api.delete("/api/runs/" + asInTheList.get("id").stringValue());
    }

    private JsonNode run(String lessonId) {
        return api.post("/api/runs", "{\"lessonId\":\"%s\"}".formatted(lessonId))
                .body();
    }

    /** Who shares a spot in the first block. */
    private static List<List<String>> crews(JsonNode run) {
        return run.at("/sheet/script/blocks/0/turns")
                .valueStream()
                .flatMap(t -> t.get("crews").valueStream())
                .map(c -> java.util.stream.Stream.concat(
                                c.get("workers").valueStream(), c.get("helpers").valueStream())
                        .map(JsonNode::stringValue)
                        .sorted()
                        .toList())
                .distinct()
                .toList();
    }

    /** The lesson's two blocks at the same time, and one more edit. */
    private JsonNode edited(String lessonId, String edit) {
        return api.post(
                        "/api/lessons/" + lessonId + "/edited",
                        "{\"lesson\":%s,\"edits\":[{\"type\":\"PUT_TOGETHER\",\"id\":\"c\",\"blockIds\":[\"b1\",\"b2\"]},%s]}"
                                .formatted(
                                        api.get("/api/lessons/" + lessonId)
                                                .body()
                                                .get("lesson"),
                                        edit))
                .body();
    }

    private String ids(int from, int to) {
        return "[\"" + String.join("\",\"", pupils.subList(from, to)) + "\"]";
    }

    @Test
    void it_is_the_teachers_alone_goes_with_a_pupil_and_a_bad_pair_is_named() {
        keep(pair(0, 1), pair(2, 3));
        assertThat(keep(pair(0, 1) + "," + pair(4, 4), "").badFields()).containsExactly("apart[1]");
        assertThat(keep("", pair(0, 1) + ",[\"%s\",\"%s\"]".formatted(pupils.get(0), classId))
                        .badFields())
                .containsExactly("together[1]");
        assertThat(keep(pair(0, 1), pair(1, 0)).badFields()).containsExactly("together");
        assertThat(api.get(path()).body().get("together")).hasSize(1);

        api.as("brambell");
        assertThat(api.get(path()).status()).isEqualTo(404);
        api.as("okafor");
        assertThat(api.get("/api/pupils/" + pupils.get(0) + "/kept").text()).contains("apart or together");
        api.delete("/api/pupils/" + pupils.get(0));
        assertThat(api.get(path()).body().get("apart")).isEmpty();
        assertThat(api.get(path()).body().get("together")).hasSize(1);
    }

    private String path() {
        return "/api/classes/" + classId + "/company";
    }

    private String pair(int a, int b) {
        return "[\"%s\",\"%s\"]".formatted(pupils.get(a), pupils.get(b));
    }

    private Api.Answer keep(String apart, String together) {
        return api.put(path(), "{\"apart\":[%s],\"together\":[%s]}".formatted(apart, together));
    }

    private String lesson() {
        return lesson("IN_ORDER");
    }

    private String lesson(String together) {
        String block = """
                {"id":"b%d","ladderId":"%s","rungId":"%s","modifiers":[],"dose":{"type":"CLOCK","workSec":30},"sets":1,"sides":"EACH","setupSec":30,
                "explainSec":30,"countInSec":5,"sideSwapSec":5,"turnSwapSec":20,"restSec":20,"waitIsRest":true,"counted":true,"meanwhile":null,"together":"%s"}""";
        return api.post("/api/lessons", """
                {"version":null,"classId":"%s","spaceId":"%s","name":"Pairs","onDay":"2030-01-08","lesson":{"minutes":40,
                "audience":"CLASS","restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[%s,%s]}}""".formatted(
                                classId,
                                api.id("/api/spaces", "Sail loft"),
                                block.formatted(1, "there-and-back", "one-hand-catch", together),
                                block.formatted(2, "two-ball-drum", "together", "IN_ORDER")))
                .body()
                .get("id")
                .stringValue();
    }
}
